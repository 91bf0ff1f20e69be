import type { StoredRow } from '@nuvar/book';
import { Link } from 'react-router';
import { useBookPath, useRow } from '../book/use-book.js';
import { RowField } from '../controls/row-field.js';
import { Sides, useSide } from '../controls/sides.js';
import { useView } from '../engine/use-view.js';
import { GapList } from '../figures/gap-list.js';
import { unitWords } from '../figures/format.js';
import { ConversionsGrid } from '../purchasing/conversions-grid.js';
import { AgainstProduct } from './against-product.js';
import { BatchSizes } from './batch-sizes.js';
import { BillGrid } from '../production/bill-grid.js';
import { CostCard } from './cost-card.js';
import { EquipmentGrid } from '../production/equipment-grid.js';
import { FrozenCards } from './saved-cards.js';
import { LabourGrid } from '../production/labour-grid.js';
import { OtherCostGrid } from '../production/other-cost-grid.js';
import { ProductUses } from '../production/product-uses.js';
import { PRODUCT_KIND_WORDS } from '../production/product-words.js';
import { ScrapGrid } from '../production/scrap-grid.js';
import { TypedCostGrid } from '../production/typed-cost-grid.js';

const COSTING_WORDS = { 'bill and steps': 'bill and steps', 'typed totals': 'typed totals (quick product)' };

/** One product: what it is, what goes into it, and beside that what it costs and why. */
export function ProductDetail({ id }: { id: string }) {
  const product = useRow('product', id);
  const card = useView('card', id);
  const path = useBookPath();
  if (product === undefined) {
    return (
      <section className="detail" aria-label="Product">
        <p className="empty">This product is no longer in the book.</p>
      </section>
    );
  }
  const unit = unitWords(product.outputUnit);
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
        <Sides sides={SIDES} label="Sides of the product" />
        <ProductSide product={product} />
      </div>
      <div className="product-card">
        {card && <CostCard productId={id} card={card} unit={unit} />}
        {fullCost && <GapList gaps={fullCost.gaps} />}
      </div>
    </section>
  );
}

/** The sides of a product; which one is shown stands in the address. */
const SIDES = {
  recipe: 'What goes into it',
  about: 'About it',
  batches: 'Batch sizes',
  earlier: 'Earlier cards',
  against: 'Against another',
  uses: 'Where used',
} as const;
function ProductSide({ product }: { readonly product: StoredRow<'product'> }) {
  switch (useSide(SIDES)) {
    case 'about':
      return <AboutProduct product={product} />;
    case 'batches':
      return <BatchSizes product={product} />;
    case 'earlier':
      return <FrozenCards product={product} />;
    case 'against':
      return <AgainstProduct product={product} />;
    case 'uses':
      return <ProductUses id={product.id} />;
    case 'recipe':
      return <Recipe product={product} />;
  }
}

function Recipe({ product }: { readonly product: StoredRow<'product'> }) {
  const { id } = product;
  const unit = unitWords(product.outputUnit);
  const units = unit === 'piece' ? 'pieces' : unit;
  return (
    <>
      <div className="fields fields-2">
        <RowField kind="product" id={id} field="batchSize" label="One batch starts" suffix={units} />
        <RowField kind="product" id={id} field="yieldPercent" label="Comes out good" suffix="% (yield)" />
        <RowField
          kind="product"
          id={id}
          field="plannedUnitsPerMonth"
          label="Planned sales"
          suffix="a month"
          placeholder="not yet"
        />
        <RowField kind="product" id={id} field="costing" words={COSTING_WORDS} />
      </div>
      {product.costing === 'typed totals' ? (
        <TypedCostGrid product={product} />
      ) : (
        <>
          <BillGrid product={product} />
          <LabourGrid product={product} />
          <EquipmentGrid product={product} />
          <OtherCostGrid product={product} />
          <ScrapGrid product={product} />
        </>
      )}
    </>
  );
}

function AboutProduct({ product }: { readonly product: StoredRow<'product'> }) {
  const { id } = product;
  return (
    <>
      <div className="fields fields-2">
        <RowField kind="product" id={id} field="name" />
        <RowField kind="product" id={id} field="kind" words={PRODUCT_KIND_WORDS} />
        <RowField kind="product" id={id} field="outputUnit" label="Counted in" />
        <RowField kind="product" id={id} field="category" />
        <RowField kind="product" id={id} field="code" />
        <RowField kind="product" id={id} field="gtin" />
        <RowField kind="product" id={id} field="tags" placeholder="between commas" />
        <RowField kind="product" id={id} field="archived" />
      </div>
      <ConversionsGrid of="product" id={id} baseUnit={product.outputUnit} />
      <div className="fields">
        <RowField kind="product" id={id} field="note" />
      </div>
    </>
  );
}
