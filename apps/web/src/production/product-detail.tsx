import { useState } from 'react';
import { Link } from 'react-router';
import { useBookPath, useRow } from '../book/use-book.js';
import { RowField } from '../controls/row-field.js';
import { useView } from '../engine/use-view.js';
import { GapList } from '../figures/gap-list.js';
import { unitWords } from '../figures/format.js';
import { ConversionsGrid } from '../purchasing/conversions-grid.js';
import { BillGrid } from './bill-grid.js';
import { CostCard } from './cost-card.js';
import { LabourGrid } from './labour-grid.js';
import { OtherCostGrid } from './other-cost-grid.js';

export const PRODUCT_KIND_WORDS = {
  made: 'made here',
  bundle: 'bundle of products',
  resale: 'sold on as bought',
  service: 'service',
};

/** One product: what it is, what goes into it, and beside that what it costs and why. */
export function ProductDetail({ id }: { id: string }) {
  const product = useRow('product', id);
  const card = useView('card', id);
  const path = useBookPath();
  const [withoutLabour, setWithoutLabour] = useState(false);
  if (product === undefined) {
    return (
      <section className="detail" aria-label="Product">
        <p className="empty">This product is no longer in the book.</p>
      </section>
    );
  }
  const unit = unitWords(product.outputUnit);
  const units = unit === 'piece' ? 'pieces' : unit;
  const fullCost = card?.lines.find((line) => line.id === 'fullCost')?.perUnit;
  return (
    <section className="product" aria-label={product.name}>
      <div className="product-inputs">
        <header className="flex items-baseline gap-4">
          <h2 className="detail-title">{product.name}</h2>
          <Link className="link" to={`${path}/sell/${id}`}>
            Set its price
          </Link>
        </header>
        <div className="fields fields-2">
          <RowField kind="product" id={id} field="name" />
          <RowField kind="product" id={id} field="kind" words={PRODUCT_KIND_WORDS} />
          <RowField kind="product" id={id} field="batchSize" label="One batch starts" suffix={units} />
          <RowField kind="product" id={id} field="yieldPercent" label="Comes out good" suffix="% (yield)" />
          <RowField
            kind="product"
            id={id}
            field="plannedUnitsPerMonth"
            label="Planned sales"
            suffix={`${units} a month`}
            placeholder="not yet"
          />
          <RowField kind="product" id={id} field="outputUnit" label="Counted in" />
        </div>
        <BillGrid product={product} />
        <LabourGrid product={product} />
        <OtherCostGrid product={product} />
        <ConversionsGrid of="product" id={id} baseUnit={product.outputUnit} />
        <div className="fields">
          <RowField kind="product" id={id} field="note" />
        </div>
      </div>
      <div className="product-card">
        {card && <CostCard card={card} unit={unit} withoutLabour={withoutLabour} setWithoutLabour={setWithoutLabour} />}
        {fullCost && <GapList gaps={fullCost.gaps} />}
      </div>
    </section>
  );
}
