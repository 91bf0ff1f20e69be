import type { StoredRow } from '@nuvar/book';
import { useRow } from '../book/use-book.js';
import { RowField } from '../controls/fields/row-field.js';
import { Sides, useSide } from '../controls/layout/sides.js';
import { useView } from '../engine/use-view.js';
import { GapList } from '../figures/gap-list.js';
import { manyUnits, unitWords } from '../figures/format.js';
import { ConversionsGrid } from '../purchasing/conversions-grid.js';
import { AgainstProduct } from './against-product.js';
import { CardByMethod } from './card-by-method.js';
import { BatchSizes } from './batch-sizes.js';
import { BillGrid } from '../production/bill-grid.js';
import { CostCard } from './cost-card.js';
import { EquipmentGrid } from '../production/equipment-grid.js';
import { OrderNeeds } from '../production/order-needs.js';
import { FrozenCards } from './saved-cards.js';
import { LabourGrid } from '../production/labour-grid.js';
import { OtherCostGrid } from '../production/other-cost-grid.js';
import { ProductUses } from '../production/product-uses.js';
import { PlannedUnits } from '../production/planned-units.js';
import { PRODUCT_KIND_WORDS } from '../production/product-words.js';
import { ScrapGrid } from '../production/scrap-grid.js';
import { TypedCostGrid } from '../production/typed-cost-grid.js';
import { Gone } from '../figures/empty.js';
import { Fields } from '../controls/fields/fields.js';
import { ScreenLink } from '../figures/screen-link.js';

const COSTING_WORDS = { 'bill and steps': 'detailed recipe', 'typed totals': 'quick totals' };

/** One product: what it is, what goes into it, and beside that what it costs and why. */
export function ProductDetail({ id }: { id: string }) {
  const product = useRow('product', id);
  const card = useView('card', id);
  if (product === undefined) {
    return (
      <section aria-label="Product">
        <Gone what="product" />
      </section>
    );
  }
  const unit = unitWords(product.outputUnit);
  const fullCost = card?.lines.find((line) => line.id === 'fullCost')?.perUnit;
  return (
    <section
      className="grid items-start gap-x-5 gap-y-3 wide:grid-cols-[minmax(0,1fr)_21rem] wide:grid-rows-[auto_1fr] print:block"
      aria-label={product.name}
    >
      <header className="flex items-baseline gap-4">
        <h2 className="font-serif text-detail">{product.name}</h2>
        <ScreenLink to="sell" row={id} className="link link-primary print:hidden">
          Set its price
        </ScreenLink>
      </header>
      <div className="wide:sticky wide:top-0 print:static wide:col-start-2 wide:row-span-2 wide:row-start-1">
        {card && <CostCard productId={id} card={card} unit={unit} />}
        {fullCost && <GapList gaps={fullCost.gaps} />}
      </div>
      <div className="flex min-w-0 flex-col gap-4">
        <Sides sides={SIDES} label="Product details" />
        <ProductSide product={product} />
      </div>
    </section>
  );
}

/** The sides of a product; which one is shown stands in the address. */
const SIDES = {
  recipe: 'Recipe',
  about: 'Details',
  batches: 'Batch sizes',
  order: 'An order',
  earlier: 'Saved cost cards',
  methods: 'By method',
  against: 'Compare products',
  uses: 'Where used',
} as const;
function ProductSide({ product }: { readonly product: StoredRow<'product'> }) {
  switch (useSide(SIDES)) {
    case 'about':
      return <AboutProduct product={product} />;
    case 'batches':
      return <BatchSizes product={product} />;
    case 'order':
      return <OrderNeeds product={product} />;
    case 'earlier':
      return <FrozenCards product={product} />;
    case 'methods':
      return <CardByMethod product={product} />;
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
  const { outputUnit } = product;
  const units = manyUnits(outputUnit);
  return (
    <>
      <Fields inTwo>
        <RowField kind="product" id={id} field="batchSize" suffix={units} unit={outputUnit} />
        <RowField kind="product" id={id} field="yieldPercent" suffix="%" />
        <PlannedUnits product={product} />
        <RowField kind="product" id={id} field="costing" words={COSTING_WORDS} />
      </Fields>
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
      <Fields inTwo>
        <RowField kind="product" id={id} field="name" />
        <RowField kind="product" id={id} field="kind" words={PRODUCT_KIND_WORDS} />
        <RowField kind="product" id={id} field="outputUnit" label="Counted in" />
        <RowField kind="product" id={id} field="category" />
        <RowField kind="product" id={id} field="code" />
        <RowField kind="product" id={id} field="gtin" />
        <RowField kind="product" id={id} field="tags" placeholder="between commas" />
        <RowField
          kind="product"
          id={id}
          field="madePerMonth"
          suffix={manyUnits(product.outputUnit)}
          unit={product.outputUnit}
          placeholder="as sold"
        />
        <RowField
          kind="product"
          id={id}
          field="finishedStock"
          suffix={manyUnits(product.outputUnit)}
          unit={product.outputUnit}
          placeholder="not counted"
        />
        {product.finishedStock !== null && <RowField kind="product" id={id} field="finishedStockOn" />}
        <RowField kind="product" id={id} field="archived" />
        <RowField kind="product" id={id} field="packedLength" suffix="cm" label="Packed length" />
        <RowField kind="product" id={id} field="packedWidth" suffix="cm" label="Packed width" />
        <RowField kind="product" id={id} field="packedHeight" suffix="cm" label="Packed height" />
        <RowField kind="product" id={id} field="packedWeight" suffix="kg" label="Packed weight" />
        <RowField kind="product" id={id} field="packagingWeight" suffix="kg" label="Packaging weight" />
      </Fields>
      <ConversionsGrid of="product" id={id} baseUnit={product.outputUnit} />
      <Fields>
        <RowField kind="product" id={id} field="note" />
      </Fields>
    </>
  );
}
