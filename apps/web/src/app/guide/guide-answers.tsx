import type { StoredRow } from '@nuvar/book';
import { Link } from 'react-router';
import { useBookPath, useRowsOf, useSettings } from '../../book/use-book.js';
import { RowField } from '../../controls/row-field.js';
import { useView } from '../../engine/use-view.js';
import { Amount } from '../../figures/amount.js';
import { GapList } from '../../figures/gap-list.js';
import { unitWords } from '../../figures/format.js';
import { RunningCostGrid } from '../../overhead/running-cost-grid.js';
import { FirstPrice } from '../../selling/first-price.js';
import { CostCard } from '../../costing/cost-card.js';
import { PRODUCT_KIND_WORDS } from '../../production/product-words.js';

interface Answering {
  readonly product: StoredRow<'product'>;
}

const pieces = ({ outputUnit }: StoredRow<'product'>) => (outputUnit === 'each' ? 'pieces' : unitWords(outputUnit));

/** How it is made: what kind of product it is, in what it is counted, and how large a batch is. */
export function OneGo({ product }: Answering) {
  return (
    <div className="fields max-w-xl">
      <RowField kind="product" id={product.id} field="kind" label="It is" words={PRODUCT_KIND_WORDS} />
      <RowField kind="product" id={product.id} field="outputUnit" label="You count it by the" />
      <RowField kind="product" id={product.id} field="batchSize" label="One go starts" suffix={pieces(product)} />
      <RowField
        kind="product"
        id={product.id}
        field="plannedUnitsPerMonth"
        label="You hope to sell"
        suffix={`${pieces(product)} a month`}
        placeholder="not yet"
      />
    </div>
  );
}

/** What does not come out good, and what it costs those that do. */
export function LostPieces({ product }: Answering) {
  const card = useView('card', product.id);
  const unit = unitWords(product.outputUnit);
  return (
    <>
      <div className="fields max-w-xl">
        <RowField
          kind="product"
          id={product.id}
          field="yieldPercent"
          label="Of a hundred come out good"
          suffix={pieces(product)}
        />
      </div>
      {card && (
        <p className="mt-3">
          What is lost costs <Amount figure={card.losses.total} digits={4} withUnit /> of each good {unit}.
        </p>
      )}
    </>
  );
}

/** The bills of the business, and what an open day costs. */
export function YearlyBills() {
  const view = useView('overhead');
  const settings = useSettings();
  return (
    <>
      <RunningCostGrid />
      <div className="fields max-w-xl mt-3">
        <RowField kind="settings" id={settings.id} field="openDaysPerWeek" label="You are open" suffix="days a week" />
        <RowField
          kind="settings"
          id={settings.id}
          field="normalLabourHoursPerMonth"
          label="Work is done in a normal month for"
          suffix="hours"
          placeholder="as the plan needs"
        />
      </div>
      {view && (
        <p className="mt-3">
          An open day costs <Amount figure={view.perOpenDay} digits={2} withUnit />. The products carry it by the hours
          of work that are in them: <Amount figure={view.rate} digits={2} withUnit />.
        </p>
      )}
    </>
  );
}

/** What one costs, what is still missing, and the price. */
export function Result({ product }: Answering) {
  const card = useView('card', product.id);
  const point = useRowsOf('pricePoint', 'productId', product.id)[0];
  const path = useBookPath();
  const fullCost = card?.lines.find((line) => line.id === 'fullCost')?.perUnit;
  return (
    <div className="guide-result">
      <div>
        {point === undefined ? <FirstPrice product={product} /> : <WhatIsLeft product={product} point={point} />}
      </div>
      <div>
        {card && <CostCard productId={product.id} card={card} unit={unitWords(product.outputUnit)} />}
        {fullCost && <GapList gaps={fullCost.gaps} />}
        <p className="mt-3">
          <Link className="link" to={`${path}/plan/${product.id}`}>
            How many must be sold?
          </Link>
        </p>
      </div>
    </div>
  );
}

function WhatIsLeft({ product, point }: Answering & { readonly point: StoredRow<'pricePoint'> }) {
  const view = useView('price', point.id);
  const { currency } = useSettings();
  const path = useBookPath();
  return (
    <section aria-label="What is left">
      <div className="fields">
        <RowField kind="pricePoint" id={point.id} field="price" label="You ask" suffix={currency} />
      </div>
      {view && (
        <p className="mt-3">
          Each sale leaves <Amount figure={view.contribution} digits={2} withUnit /> for the bills and for you, and{' '}
          <Amount figure={view.profit} digits={2} /> when it has carried its share of the bills.
        </p>
      )}
      <p className="mt-2">
        <Link className="link" to={`${path}/sell/${product.id}`}>
          Fees, discounts and targets
        </Link>
      </p>
    </section>
  );
}
