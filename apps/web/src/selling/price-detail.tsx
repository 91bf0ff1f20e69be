import { compareDecimalText, type StoredRow } from '@nuvar/book';
import { type FigureView, fixedDigits, minorDigits, type PriceView } from '@nuvar/core';
import { Link } from 'react-router';
import { useBookPath, useEdit, useRow, useRowsOf, useSettings } from '../book/use-book.js';
import { updateOf } from '../book/operations.js';
import { RowField } from '../controls/row-field.js';
import { useView } from '../engine/use-view.js';
import { Amount } from '../figures/amount.js';
import { LeadFigure } from '../figures/lead-figure.js';
import { FigureLine } from '../figures/figure-line.js';
import { GapList } from '../figures/gap-list.js';
import { StripLegend } from '../figures/price-strip.js';
import { DraggedStrip } from './dragged-strip.js';
import { FirstPrice } from './first-price.js';
import { TriedDiscount } from './tried-discount.js';

const BASIS_WORDS = {
  typed: 'the price as typed',
  margin: 'a wanted margin',
  markup: 'a wanted markup',
  profit: 'a wanted profit per unit',
};
const ENDING_WORDS = { none: 'as worked out', 'nearest 0.05': 'multiples of 0.05' };

/** The price of one product: how it is set, what it is made of, and what is left. */
export function PriceDetail({ productId }: { productId: string }) {
  const product = useRow('product', productId);
  const point = useRowsOf('pricePoint', 'productId', productId)[0];
  if (product === undefined) {
    return (
      <section className="detail" aria-label="Price">
        <p className="empty">This product is no longer in the book.</p>
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
  const path = useBookPath();
  const { currency } = useSettings();
  return (
    <section className="detail" aria-label={product.name}>
      <header className="flex items-baseline gap-4">
        <h2 className="detail-title">{product.name}</h2>
        <span className="text-soft">
          in{' '}
          <Link className="link" to={`${path}/sell/channels`}>
            {channel?.name}
          </Link>
        </span>
        <Link className="link" to={`${path}/make/${product.id}`}>
          Its cost
        </Link>
        <Link className="link" to={`${path}/plan/${product.id}`}>
          Its break-even
        </Link>
      </header>
      {view && (
        <>
          <DraggedStrip point={point} view={view} />
          <StripLegend strip={view.strip} />
          <Left view={view} currency={currency} />
        </>
      )}
      <div className="fields fields-2 mt-3">
        <RowField
          kind="pricePoint"
          id={point.id}
          field="price"
          suffix={`${currency}${point.taxInside ? ', tax inside' : ', before tax'}`}
          placeholder="not set yet"
        />
        <RowField kind="pricePoint" id={point.id} field="basis" label="Suggest by" words={BASIS_WORDS} />
        {point.basis !== 'typed' && (
          <RowField
            kind="pricePoint"
            id={point.id}
            field="target"
            label={point.basis === 'profit' ? 'Wanted profit' : `Wanted ${point.basis}`}
            suffix={
              point.basis === 'profit'
                ? `${currency} a unit`
                : point.basis === 'margin'
                  ? '% of the price before tax'
                  : '% of full cost'
            }
            placeholder="not set yet"
          />
        )}
        <RowField kind="pricePoint" id={point.id} field="ending" words={ENDING_WORDS} />
        {point.ending !== 'none' && <RowField kind="pricePoint" id={point.id} field="endingDirection" />}
        <TriedDiscount point={point} />
        <RowField kind="pricePoint" id={point.id} field="taxInside" />
        <RowField kind="pricePoint" id={point.id} field="taxPercent" suffix="%" placeholder="as the book" />
      </div>
      {view && point.basis !== 'typed' && <Suggestion point={point} view={view} />}
      {view && <GapList gaps={view.profit.gaps} />}
      {view && <Figures view={view} currency={currency} discounted={view.discounted.amount !== view.price.amount} />}
    </section>
  );
}

/** What matters most of a price: what each sale leaves, before and after its share of the running costs. */
function Left({ view, currency }: { view: PriceView; currency: string }) {
  return (
    <div className="left-figures">
      <div>
        <p className="text-soft">
          Each sale leaves <span className="term">contribution</span>
        </p>
        <LeadFigure figure={view.contribution} digits={2} unit={currency} />
      </div>
      <div>
        <p className="text-soft">
          Of that for you <span className="term">profit</span>
        </p>
        <LeadFigure figure={view.profit} digits={2} unit={currency} />
      </div>
      <div>
        <p className="text-soft">Margin, of the price before tax</p>
        <LeadFigure figure={view.margin} digits={1} unit="%" />
      </div>
    </div>
  );
}

/** The suggested price follows the cost; the set price changes only when it is accepted. */
function Suggestion({ point, view }: { point: StoredRow<'pricePoint'>; view: PriceView }) {
  const edit = useEdit();
  const { suggested, suggestedDiscounted } = view;
  const { currency, rounding } = useSettings();
  const amount = suggested.amount;
  const price = amount === null ? null : fixedDigits(amount, minorDigits(currency), rounding);
  const isSet = price !== null && point.price !== null && compareDecimalText(price, point.price) === 0;
  return (
    <p className="suggestion">
      <span>Suggested price: </span>
      <Amount figure={suggested} digits={2} withUnit />
      {amount !== null && suggestedDiscounted.amount !== amount && (
        <span className="text-soft">
          , after the discount <Amount figure={suggestedDiscounted} digits={2} withUnit />
        </span>
      )}
      {price !== null && !isSet && (
        <button type="button" className="button" onClick={() => edit(updateOf('pricePoint', point, { price }))}>
          Set this price
        </button>
      )}
      {isSet && <span className="text-soft">It is set.</span>}
    </p>
  );
}

function Figures({ view, currency, discounted }: { view: PriceView; currency: string; discounted: boolean }) {
  const ofPrice = '% of the price before tax';
  return (
    <table className="plain-table mt-3">
      <tbody>
        {discounted && (
          <FigureLine label="Price after the discount" figure={view.discounted} unit={currency} digits={2} />
        )}
        <FigureLine label="Price before tax" figure={view.beforeTax} unit={currency} digits={4} />
        <FigureLine label="The customer pays" figure={view.paid} unit={currency} digits={2} />
        <FigureLine label="The place to sell takes" term="fees" figure={view.fees} unit={currency} digits={4} />
        <FigureLine label="Contribution margin" figure={view.contributionMargin} unit={ofPrice} digits={1} />
        <FigureLine label="On top of full cost" term="markup" figure={view.markup} unit="% of full cost" digits={1} />
        <FigureLine
          label="Each productive hour leaves"
          term="contribution per hour"
          figure={view.contributionPerHour}
          unit={`${currency} an hour`}
          digits={2}
        />
        <FigureLine
          label="The planned month leaves"
          term="contribution"
          figure={view.contributionPerMonth}
          unit={`${currency} a month`}
          digits={2}
        />
        <FigureLine
          label="The planned month, for you"
          term="profit"
          figure={view.profitPerMonth}
          unit={`${currency} a month`}
          digits={2}
        />
        <FloorLines
          label="Below this, each sale costs you money"
          term="contribution is zero"
          floor={view.contributionFloor}
          afterDiscount={discounted ? view.contributionFloorDiscounted : null}
          currency={currency}
        />
        <FloorLines
          label="Below this, the running costs are not carried"
          term="profit is zero"
          floor={view.profitFloor}
          afterDiscount={discounted ? view.profitFloorDiscounted : null}
          currency={currency}
        />
        {discounted && (
          <FigureLine
            label="Units that earn as much as without the discount"
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
        <FigureLine label="The same after the discount" term={term} figure={afterDiscount} unit={currency} digits={2} />
      )}
    </>
  );
}
