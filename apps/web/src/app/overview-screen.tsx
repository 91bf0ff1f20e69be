import type { OverviewView } from '@nuvar/core';
import { useSettings } from '../book/use-book.js';
import { useView } from '../engine/use-view.js';
import { Amount } from '../figures/amount.js';
import { LeadFigure } from '../figures/lead-figure.js';
import { partLook } from '../figures/part-looks.js';
import { counted, countText } from '../figures/format.js';
import { PriceStrip, StripLegend } from '../figures/price-strip.js';
import { FirstSteps } from './first-steps.js';
import { LatestChanges } from './latest-changes.js';
import { useLooseEnds } from './use-loose-ends.js';
import { LooseEndList } from './loose-end-list.js';
import { Empty } from '../figures/empty.js';
import { DetailHeading } from '../figures/detail-heading.js';
import { ScreenLink } from '../figures/screen-link.js';

/** Where there are more products than this, those that earn most and those that earn least are shown. */
const MOST_PRODUCTS = 12;
const AT_EACH_END = 5;
const MOST_ENDS = 6;

/** What an owner wants to see on opening the book. */
export function OverviewScreen() {
  const overview = useView('overview');
  const ends = useLooseEnds();
  const { locale } = useSettings();
  if (overview === undefined) return <Empty>Calculating</Empty>;
  return (
    <div className="grid gap-10 desk:grid-cols-[minmax(0,1fr)_20rem]">
      <div className="min-w-0">
        <FirstSteps />
        {(overview.products.length > 0 || Number(overview.runningCosts.amount ?? 0) > 0) && <OpenDay view={overview} />}
        <Earners view={overview} />
      </div>
      <div className="min-w-0">
        <section aria-label="Loose ends">
          <h2 className="text-section">Loose ends</h2>
          {ends?.length === 0 && <p className="text-soft">None: every figure is complete.</p>}
          <LooseEndList ends={ends ?? []} most={MOST_ENDS} />
          {ends !== undefined && ends.length > 0 && (
            <ScreenLink to="looseEnds">All {counted(ends.length, 'loose end', locale)}</ScreenLink>
          )}
        </section>
        <LatestChanges />
      </div>
    </div>
  );
}

/** What it costs to open the door for a day, and how much of that the planned sales bring at today's prices. */
function OpenDay({ view }: { view: OverviewView }) {
  const { currency } = useSettings();
  const [cost, left] = [Number(view.perOpenDay.amount ?? 0), Number(view.contributionPerOpenDay.amount ?? 0)];
  const scale = Math.max(cost, left, 1e-9);
  return (
    <section aria-label="The open day" className="mb-6">
      <div className="flex flex-wrap items-baseline gap-x-10 gap-y-2">
        <div>
          <DetailHeading as="h2">An open day costs</DetailHeading>
          <LeadFigure figure={view.perOpenDay} digits={2} unit={currency} isLarge />
        </div>
        <div>
          <DetailHeading as="h2">Planned sales leave per day</DetailHeading>
          <LeadFigure figure={view.contributionPerOpenDay} digits={2} unit={currency} isLarge />
        </div>
        <div>
          <DetailHeading as="h2">Monthly result</DetailHeading>
          <LeadFigure figure={view.resultPerMonth} digits={2} unit={currency} isLarge />
        </div>
        <p className="text-soft">
          {view.covered.amount !== null && left >= 0 && (
            <>
              Planned sales cover <Amount figure={view.covered} digits={1} /> % of the fixed costs.{' '}
            </>
          )}
          Running costs <Amount figure={view.runningCosts} digits={2} /> {currency} a month
          {view.channelFees && (
            <>
              {' '}
              and channel fees of <Amount figure={view.channelFees} digits={2} /> {currency} by the month, day or
              listing
            </>
          )}
          , on <Amount figure={view.openDays} digits={1} /> open days
        </p>
      </div>
      {left < 0 && (
        <p className="mt-2 font-semibold text-error">
          At these prices the planned sales lose money: they leave nothing to cover the fixed costs.
        </p>
      )}
      {cost > 0 && (
        <div
          className="mt-2 grid grid-cols-[max-content_minmax(0,1fr)] items-center gap-x-3 gap-y-1 text-note text-soft"
          aria-hidden="true"
        >
          <span>costs</span>
          <div className={`h-3 ${partLook('overhead')}`} style={{ width: `${(cost / scale) * 100}%` }} />
          <span>sales leave</span>
          <div className={`h-3 ${partLook('profit')}`} style={{ width: `${Math.max(0, (left / scale) * 100)}%` }} />
        </div>
      )}
    </section>
  );
}

/** Which products earn and which do not, their strips on one scale. */
function Earners({ view }: { view: OverviewView }) {
  const { currency, locale } = useSettings();
  if (view.products.length === 0) return null;
  const isCut = view.products.length > MOST_PRODUCTS;
  const products = isCut ? view.products.filter(({ isKnown }) => isKnown) : view.products;
  const scale = Number(view.scale);
  return (
    <section aria-label="Which products earn most">
      <h2 className="text-section">Which products earn most</h2>
      <StripLegend />
      <table className="table">
        <thead>
          <tr>
            <th scope="col">Product</th>
            <th scope="col">Price before tax, on one scale</th>
            <th scope="col" className="text-right">
              Profit a unit, {currency}
            </th>
            <th scope="col" className="text-right">
              Margin, %
            </th>
            <th scope="col" className="text-right">
              Contribution a month, {currency}
            </th>
          </tr>
        </thead>
        <tbody>
          {(isCut ? products.slice(0, AT_EACH_END) : products).map((product) => (
            <Earner key={product.pricePointId} product={product} scale={scale} />
          ))}
          {isCut && (
            <tr>
              <td colSpan={5} className="text-note text-soft">
                {counted(Math.max(0, products.length - 2 * AT_EACH_END), 'product', locale)} between these and the{' '}
                {countText(AT_EACH_END, locale)} that earn least
              </td>
            </tr>
          )}
          {isCut &&
            products
              .slice(Math.max(AT_EACH_END, products.length - AT_EACH_END))
              .map((product) => <Earner key={product.pricePointId} product={product} scale={scale} />)}
        </tbody>
      </table>
      {isCut && <ScreenLink to="sell">All {counted(view.products.length, 'price', locale)}</ScreenLink>}
    </section>
  );
}

function Earner({ product, scale }: { product: OverviewView['products'][number]; scale: number }) {
  const view = useView('price', product.pricePointId);
  return (
    <tr>
      <th scope="row">
        <ScreenLink to="sell" row={product.pricePointId} className="block max-w-64 truncate hover:underline">
          {product.name} <span className="font-normal text-soft">{product.channel}</span>
        </ScreenLink>
      </th>
      <td className="w-[38%] pl-0!">
        {view && <PriceStrip strip={view.strip} scale={Math.max(scale, 1e-9)} height={16} />}
      </td>
      <td className="text-right">
        <Amount figure={view?.profit} digits={2} />
      </td>
      <td className="text-right">
        <Amount figure={view?.margin} digits={1} />
      </td>
      <td className="text-right">
        <Amount figure={view?.contributionPerMonth} digits={2} />
      </td>
    </tr>
  );
}
