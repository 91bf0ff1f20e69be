import { Link } from 'react-router';
import type { OverviewView } from '@nuvar/core';
import { useBookPath, useSettings } from '../book/use-book.js';
import { useView } from '../engine/use-view.js';
import { Amount } from '../figures/amount.js';
import { LeadFigure } from '../figures/lead-figure.js';
import { PriceStrip, StripLegend } from '../figures/price-strip.js';
import { FirstSteps } from './first-steps.js';
import { LatestChanges } from './latest-changes.js';
import { LooseEndList } from './loose-end-list.js';

const MOST_PRODUCTS = 14;
const MOST_ENDS = 6;

/** What an owner wants to see on opening the book. */
export function OverviewScreen() {
  const overview = useView('overview');
  const ends = useView('looseEnds');
  const path = useBookPath();
  if (overview === undefined) return <p className="empty">Working it out</p>;
  return (
    <div className="overview">
      <div className="min-w-0">
        <FirstSteps />
        {(overview.products.length > 0 || Number(overview.runningCosts.amount ?? 0) > 0) && <OpenDay view={overview} />}
        <Earners view={overview} />
      </div>
      <div className="min-w-0">
        <section aria-label="Loose ends">
          <h2 className="section-title">Loose ends</h2>
          {ends?.length === 0 && <p className="text-soft">None: every figure is whole.</p>}
          <LooseEndList ends={(ends ?? []).slice(0, MOST_ENDS)} />
          {ends !== undefined && ends.length > MOST_ENDS && (
            <Link className="link" to={`${path}/loose-ends`}>
              All {ends.length} loose ends
            </Link>
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
    <section aria-label="The open day" className="open-day">
      <div className="flex flex-wrap items-baseline gap-x-10 gap-y-2">
        <div>
          <h2 className="detail-heading">An open day costs</h2>
          <LeadFigure figure={view.perOpenDay} digits={2} unit={currency} isLarge />
        </div>
        <div>
          <h2 className="detail-heading">The planned sales leave, a day</h2>
          <p className="lead-figure lead-figure-large">
            <Amount figure={view.contributionPerOpenDay} digits={2} />{' '}
            <span className="text-base text-soft">{currency}</span>
          </p>
        </div>
        <div>
          <h2 className="detail-heading">Result of a month</h2>
          <LeadFigure figure={view.resultPerMonth} digits={2} unit={currency} isLarge />
        </div>
        <p className="text-soft">
          {view.covered.amount !== null && (
            <>
              <Amount figure={view.covered} digits={1} /> % covered of{' '}
            </>
          )}
          running costs of <Amount figure={view.runningCosts} digits={2} /> {currency} a month, on{' '}
          <Amount figure={view.openDays} digits={1} /> open days
        </p>
      </div>
      {cost > 0 && (
        <div className="day-bars" aria-hidden="true">
          <span>costs</span>
          <div className="day-bar part-overhead" style={{ width: `${(cost / scale) * 100}%` }} />
          <span>sales leave</span>
          <div className="day-bar part-profit" style={{ width: `${Math.max(0, (left / scale) * 100)}%` }} />
        </div>
      )}
    </section>
  );
}

/** Which products earn and which do not, their strips on one scale. */
function Earners({ view }: { view: OverviewView }) {
  const { currency } = useSettings();
  const path = useBookPath();
  if (view.products.length === 0) return null;
  return (
    <section aria-label="Which products earn">
      <h2 className="section-title">Which products earn</h2>
      <StripLegend />
      <table className="plain-table earners">
        <thead>
          <tr>
            <th scope="col">Product</th>
            <th scope="col">Price before tax, on one scale</th>
            <th scope="col" className="text-right">
              {currency} left a unit
            </th>
            <th scope="col" className="text-right">
              Margin, %
            </th>
            <th scope="col" className="text-right">
              {currency} contribution a month
            </th>
          </tr>
        </thead>
        <tbody>
          {view.products.slice(0, MOST_PRODUCTS).map((product) => (
            <Earner key={product.pricePointId} product={product} scale={Number(view.scale)} />
          ))}
        </tbody>
      </table>
      {view.products.length > MOST_PRODUCTS && (
        <Link className="link" to={`${path}/sell`}>
          All {view.products.length} prices
        </Link>
      )}
    </section>
  );
}

function Earner({ product, scale }: { product: OverviewView['products'][number]; scale: number }) {
  const view = useView('price', product.pricePointId);
  const path = useBookPath();
  return (
    <tr>
      <th scope="row">
        <Link className="row-link" to={`${path}/sell/${product.id}`}>
          {product.name}
        </Link>
      </th>
      <td className="earner-strip">
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
