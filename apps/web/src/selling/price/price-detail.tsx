import type { StoredRow } from '@nuvar/book';
import type { FigureView, PriceView } from '@nuvar/core';
import { useRow, useSettings } from '../../book/use-book.js';
import { RowField } from '../../controls/fields/row-field.js';
import { Sides, useSide } from '../../controls/layout/sides.js';
import { useView } from '../../engine/use-view.js';
import { LeadFigure } from '../../figures/lead-figure.js';
import { FigureLine } from '../../figures/figure-line.js';
import { GapList } from '../../figures/gap-list.js';
import { StripLegend } from '../../figures/price-strip.js';
import { Chance } from './chance.js';
import { ComingPrices } from './coming-prices.js';
import { Discounts } from './discounts.js';
import { DraggedStrip } from '../dragged-strip.js';
import { FirstPrice } from './first-price.js';
import { InChannels } from './in-channels.js';
import { PriceHistory } from './price-history.js';
import type { PricedSale } from './priced-sales.js';
import { SuggestedPrice, TargetFields } from './suggested-price.js';
import { TargetCost } from './target-cost.js';
import { WhatIsLeft } from './what-is-left.js';
import { WhatMovesIt } from './what-moves-it.js';
import { TriedDiscount } from './tried-discount.js';
import { Gone } from '../../figures/empty.js';
import { Term } from '../../figures/term.js';
import { Fields } from '../../controls/fields/fields.js';
import { ScreenLink } from '../../figures/screen-link.js';

const ENDING_WORDS = {
  none: 'as worked out',
  'nearest 0.05': 'multiples of 0.05',
  'nearest 0.10': 'multiples of 0.10',
  'nearest 0.25': 'multiples of 0.25',
};

/** The sides of a price; which one is shown stands in the address. */
const SIDES = {
  price: 'Price',
  left: 'What is left',
  channels: 'Channels',
  discounts: 'Discounts',
  target: 'Target cost',
  moves: 'What moves it',
  chance: 'Chance',
} as const;

interface PriceDetailProps {
  readonly sale: PricedSale;
}

/** The price of one product in one channel: how it is set, what it is made of, and what is left. */
export function PriceDetail({ sale }: PriceDetailProps) {
  const product = useRow('product', sale.product.id);
  const point = useRow('pricePoint', sale.pointId);
  if (product === undefined) {
    return (
      <section aria-label="Price">
        <Gone what="product" />
      </section>
    );
  }
  return point === undefined ? <FirstPrice product={product} /> : <SetPrice product={product} point={point} />;
}

interface SetPriceProps {
  readonly product: StoredRow<'product'>;
  readonly point: StoredRow<'pricePoint'>;
}

function SetPrice({ product, point }: SetPriceProps) {
  const channel = useRow('channel', point.channelId);
  return (
    <section aria-label={product.name}>
      <header className="flex flex-wrap items-baseline gap-x-4">
        <h2 className="font-serif text-detail">{product.name}</h2>
        <span className="text-soft">
          in{' '}
          <ScreenLink to="channels" row={point.channelId}>
            {channel?.name}
          </ScreenLink>
        </span>
        <ScreenLink to="make" row={product.id}>
          Its cost
        </ScreenLink>
        <ScreenLink to="plan" row={point.id}>
          Its break-even
        </ScreenLink>
      </header>
      <div className="mt-1 mb-3">
        <Sides sides={SIDES} label="Price details" />
      </div>
      <PriceSide product={product} point={point} />
    </section>
  );
}

function PriceSide({ product, point }: SetPriceProps) {
  switch (useSide(SIDES)) {
    case 'price':
      return <PriceItself point={point} />;
    case 'left':
      return <WhatIsLeft point={point} />;
    case 'channels':
      return <InChannels product={product} />;
    case 'discounts':
      return <Discounts product={product} point={point} />;
    case 'target':
      return <TargetCost point={point} />;
    case 'moves':
      return <WhatMovesIt point={point} />;
    case 'chance':
      return <Chance point={point} />;
  }
}

function PriceItself({ point }: { readonly point: StoredRow<'pricePoint'> }) {
  const view = useView('price', point.id);
  const { currency } = useSettings();
  // Without a price there is nothing yet to show but what it is to reach.
  const hasPrice = point.price !== null;
  return (
    <>
      {view && hasPrice && (
        <>
          <DraggedStrip point={point} view={view} />
          <StripLegend strip={view.strip} />
          <Left view={view} currency={currency} />
        </>
      )}
      <Fields inTwo className="mt-3">
        <RowField
          kind="pricePoint"
          id={point.id}
          field="price"
          suffix={`${currency} ${point.taxInside ? 'incl. tax' : 'before tax'}`}
          placeholder="not set yet"
        />
        <TargetFields point={point} />
        <RowField kind="pricePoint" id={point.id} field="ending" words={ENDING_WORDS} />
        {point.ending !== 'none' && <RowField kind="pricePoint" id={point.id} field="endingDirection" />}
        <TriedDiscount point={point} />
        <RowField kind="pricePoint" id={point.id} field="taxInside" />
        <RowField kind="pricePoint" id={point.id} field="taxPercent" suffix="%" placeholder="same as book" />
        <RowField kind="pricePoint" id={point.id} field="couponAmount" suffix={`${currency} off`} />
        {point.couponAmount !== '0' && (
          <RowField
            kind="pricePoint"
            id={point.id}
            field="couponFundedPercent"
            label="The channel pays of it"
            suffix="%"
          />
        )}
        <RowField
          kind="pricePoint"
          id={point.id}
          field="returnsPercent"
          suffix="% of the units"
          placeholder="as the channel"
        />
        <RowField kind="pricePoint" id={point.id} field="monthsInStore" suffix="months" placeholder="as the channel" />
      </Fields>
      {view && <SuggestedPrice point={point} view={view} />}
      {view && <GapList gaps={hasPrice ? view.profit.gaps : point.basis === 'typed' ? [] : view.suggested.gaps} />}
      {view && hasPrice && (
        <Figures view={view} currency={currency} discounted={view.discounted.amount !== view.price.amount} />
      )}
      <ComingPrices point={point} />
      <PriceHistory point={point} />
    </>
  );
}

/** What matters most of a price: what each sale leaves, before and after its share of the running costs. */
function Left({ view, currency }: { view: PriceView; currency: string }) {
  return (
    <div className="mt-3 flex flex-wrap gap-x-10 gap-y-2">
      <div>
        <p className="text-soft">
          Each sale leaves <Term>contribution</Term>
        </p>
        <LeadFigure figure={view.contribution} digits={2} unit={currency} inWords={false} />
      </div>
      <div>
        <p className="text-soft">Profit</p>
        <LeadFigure figure={view.profit} digits={2} unit={currency} inWords={false} />
      </div>
      <div>
        <p className="text-soft">Margin, of the net revenue</p>
        <LeadFigure figure={view.margin} digits={1} unit="%" inWords={false} />
      </div>
    </div>
  );
}

function Figures({ view, currency, discounted }: { view: PriceView; currency: string; discounted: boolean }) {
  const ofPrice = '% of the net revenue';
  return (
    <table className="table mt-3">
      <tbody>
        {discounted && (
          <FigureLine label="Price after the discount" figure={view.discounted} unit={currency} digits={2} />
        )}
        <FigureLine label="Price before tax" figure={view.beforeTax} unit={currency} digits={4} />
        <FigureLine label="The customer pays" figure={view.paid} unit={currency} digits={2} />
        <FigureLine label="Fees, packing, postage and returns" figure={view.sellingCost} unit={currency} digits={4} />
        <FigureLine label="Contribution margin" figure={view.contributionMargin} unit={ofPrice} digits={1} />
        <FigureLine label="Markup" figure={view.markup} unit="% of full cost" digits={1} />
        <FigureLine
          label="Each productive hour leaves"
          term="contribution per hour"
          figure={view.contributionPerHour}
          unit={`${currency} an hour`}
          digits={2}
        />
        <FigureLine
          label="A planned month leaves"
          term="contribution"
          figure={view.contributionPerMonth}
          unit={`${currency} a month`}
          digits={2}
        />
        <FigureLine
          label="Profit in a planned month"
          figure={view.profitPerMonth}
          unit={`${currency} a month`}
          digits={2}
        />
        <FloorLines
          label="Below this price each sale loses money"
          term="contribution is zero"
          floor={view.contributionFloor}
          afterDiscount={discounted ? view.contributionFloorDiscounted : null}
          currency={currency}
        />
        <FloorLines
          label="Below this price you do not cover your overheads"
          term="profit is zero"
          floor={view.profitFloor}
          afterDiscount={discounted ? view.profitFloorDiscounted : null}
          currency={currency}
        />
        {discounted && (
          <FigureLine
            label="Units that earn the same as without the discount"
            figure={view.unitsToEarnTheSame}
            unit="a month"
            digits={0}
          />
        )}
      </tbody>
    </table>
  );
}

interface FloorLinesProps {
  readonly label: string;
  readonly term: string;
  readonly floor: FigureView;
  /** The floor as the customer pays it; null where nothing is taken off. */
  readonly afterDiscount: FigureView | null;
  readonly currency: string;
}

/** A floor as a list price and, where a discount stands, as the price that is left of it. */
function FloorLines({ label, term, floor, afterDiscount, currency }: FloorLinesProps) {
  return (
    <>
      <FigureLine label={label} term={term} figure={floor} unit={currency} digits={2} />
      {afterDiscount && (
        <FigureLine
          label="The same, after the discount"
          term={term}
          figure={afterDiscount}
          unit={currency}
          digits={2}
        />
      )}
    </>
  );
}
