import type { StoredRow } from '@nuvar/book';
import type { FigureView, PriceView } from '@nuvar/core';
import { useRow, useRowsOf, useSettings } from '../book/use-book.js';
import { RowField } from '../controls/row-field.js';
import { useView } from '../engine/use-view.js';
import { LeadFigure } from '../figures/lead-figure.js';
import { FigureLine } from '../figures/figure-line.js';
import { GapList } from '../figures/gap-list.js';
import { StripLegend } from '../figures/price-strip.js';
import { DraggedStrip } from './dragged-strip.js';
import { FirstPrice } from './first-price.js';
import { SuggestedPrice, TargetFields } from './suggested-price.js';
import { TriedDiscount } from './tried-discount.js';
import { Empty } from '../figures/empty.js';
import { Term } from '../figures/term.js';
import { Fields } from '../controls/fields.js';
import { ScreenLink } from '../figures/screen-link.js';

const ENDING_WORDS = { none: 'as worked out', 'nearest 0.05': 'multiples of 0.05' };

/** The price of one product: how it is set, what it is made of, and what is left. */
export function PriceDetail({ productId }: { productId: string }) {
  const product = useRow('product', productId);
  const point = useRowsOf('pricePoint', 'productId', productId)[0];
  if (product === undefined) {
    return (
      <section aria-label="Price">
        <Empty>This product is no longer in the book.</Empty>
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
  const view = useView('price', point.id);
  const channel = useRow('channel', point.channelId);
  const { currency } = useSettings();
  // Without a price there is nothing yet to show but what it is to reach.
  const hasPrice = point.price !== null;
  return (
    <section aria-label={product.name}>
      <header className="flex items-baseline gap-4">
        <h2 className="font-serif text-detail">{product.name}</h2>
        <span className="text-soft">
          in <ScreenLink to="channels">{channel?.name}</ScreenLink>
        </span>
        <ScreenLink to="make" row={product.id}>
          Its cost
        </ScreenLink>
        <ScreenLink to="plan" row={product.id}>
          Its break-even
        </ScreenLink>
      </header>
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
      </Fields>
      {view && <SuggestedPrice point={point} view={view} />}
      {view && <GapList gaps={hasPrice ? view.profit.gaps : point.basis === 'typed' ? [] : view.suggested.gaps} />}
      {view && hasPrice && (
        <Figures view={view} currency={currency} discounted={view.discounted.amount !== view.price.amount} />
      )}
    </section>
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
        <p className="text-soft">Margin, of the price before tax</p>
        <LeadFigure figure={view.margin} digits={1} unit="%" inWords={false} />
      </div>
    </div>
  );
}

function Figures({ view, currency, discounted }: { view: PriceView; currency: string; discounted: boolean }) {
  const ofPrice = '% of the price before tax';
  return (
    <table className="table mt-3">
      <tbody>
        {discounted && (
          <FigureLine label="Price after the discount" figure={view.discounted} unit={currency} digits={2} />
        )}
        <FigureLine label="Price before tax" figure={view.beforeTax} unit={currency} digits={4} />
        <FigureLine label="The customer pays" figure={view.paid} unit={currency} digits={2} />
        <FigureLine label="Channel fees" figure={view.fees} unit={currency} digits={4} />
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
