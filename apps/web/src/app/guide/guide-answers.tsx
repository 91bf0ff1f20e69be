import type { StoredRow } from '@nuvar/book';
import { useRow, useRowsOf, useSettings } from '../../book/use-book.js';
import { RowField } from '../../controls/fields/row-field.js';
import { useView } from '../../engine/use-view.js';
import { Amount } from '../../figures/amount.js';
import { GapList } from '../../figures/gap-list.js';
import { manyUnits, unitWords } from '../../figures/format.js';
import { RunningCostGrid } from '../../overhead/running-cost-grid.js';
import { FirstPrice } from '../../selling/price/first-price.js';
import { SuggestedPrice, TargetFields } from '../../selling/price/suggested-price.js';
import { CostCard } from '../../costing/cost-card.js';
import { PlannedUnits } from '../../production/planned-units.js';
import { PRODUCT_KIND_WORDS } from '../../production/product-words.js';
import { Fields } from '../../controls/fields/fields.js';
import { ScreenLink } from '../../figures/screen-link.js';

interface Answering {
  readonly product: StoredRow<'product'>;
}

const pieces = ({ outputUnit }: StoredRow<'product'>) => manyUnits(outputUnit);

/** How it is made: what kind of product it is, in what it is counted, and how large a batch is. */
export function OneGo({ product }: Answering) {
  return (
    <Fields className="max-w-xl">
      <RowField kind="product" id={product.id} field="kind" words={PRODUCT_KIND_WORDS} />
      <RowField kind="product" id={product.id} field="outputUnit" label="Counted in" />
      <RowField kind="product" id={product.id} field="batchSize" suffix={pieces(product)} unit={product.outputUnit} />
      <PlannedUnits product={product} />
    </Fields>
  );
}

/** What does not come out good, and what it costs those that do. */
export function LostPieces({ product }: Answering) {
  const card = useView('card', product.id);
  const unit = unitWords(product.outputUnit);
  return (
    <>
      <Fields className="max-w-xl">
        <RowField kind="product" id={product.id} field="yieldPercent" suffix="% comes out good" />
      </Fields>
      {card && (
        <p className="mt-3">
          Losses cost <Amount figure={card.losses.total} digits={4} withUnit />, on each good {unit}.
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
      <Fields className="max-w-xl mt-3">
        <RowField kind="settings" id={settings.id} field="openDaysPerWeek" label="You are open" suffix="days a week" />
        <RowField
          kind="settings"
          id={settings.id}
          field="normalLabourHoursPerMonth"
          label="Normal productive hours"
          suffix="hours a month"
          placeholder="as planned"
        />
      </Fields>
      {view && (
        <p className="mt-3">
          An open day costs <Amount figure={view.perOpenDay} digits={2} withUnit />. The products share it
          {view.lots[0] && (
            <>
              : <Amount figure={view.lots[0].rate} digits={2} withUnit />
            </>
          )}
          .
        </p>
      )}
    </>
  );
}

/** What one costs, what is still missing, and the price. */
export function Result({ product }: Answering) {
  const card = useView('card', product.id);
  const points = useRowsOf('pricePoint', 'productId', product.id);
  const fullCost = card?.lines.find((line) => line.id === 'fullCost')?.perUnit;
  return (
    <div className="grid gap-8 desk:grid-cols-[minmax(0,1fr)_23rem]">
      <div>
        {points.length === 0 && <FirstPrice product={product} />}
        {points.map((point) => (
          <WhatIsLeft key={point.id} point={point} isOneOfMany={points.length > 1} />
        ))}
      </div>
      <div>
        {card && <CostCard productId={product.id} card={card} unit={unitWords(product.outputUnit)} />}
        {fullCost && <GapList gaps={fullCost.gaps} />}
        <p className="mt-3">
          <ScreenLink to="plan" row={product.id}>
            How many must be sold?
          </ScreenLink>
        </p>
      </div>
    </div>
  );
}

interface WhatIsLeftProps {
  readonly point: StoredRow<'pricePoint'>;
  readonly isOneOfMany: boolean;
}

function WhatIsLeft({ point, isOneOfMany }: WhatIsLeftProps) {
  const view = useView('price', point.id);
  const channel = useRow('channel', point.channelId)?.name ?? '';
  const { currency } = useSettings();
  return (
    <section className={isOneOfMany ? 'mb-6' : ''} aria-label={isOneOfMany ? `Result in ${channel}` : 'Result'}>
      {isOneOfMany && <h3 className="text-section">In {channel}</h3>}
      <Fields>
        <RowField
          kind="pricePoint"
          id={point.id}
          field="price"
          label="Price"
          suffix={currency}
          placeholder="not set yet"
        />
        <TargetFields point={point} />
      </Fields>
      {view && <SuggestedPrice point={point} view={view} />}
      {view && point.price !== null && (
        <p className="mt-3">
          Each sale leaves <Amount figure={view.contribution} digits={2} withUnit /> before overheads; your profit is{' '}
          <Amount figure={view.profit} digits={2} /> after them.
        </p>
      )}
      <p className="mt-2">
        <ScreenLink to="sell" row={point.id}>
          Fees, discounts and targets
        </ScreenLink>
      </p>
    </section>
  );
}
