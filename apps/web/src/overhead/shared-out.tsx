import type { OverheadView } from '@nuvar/core';
import { useSettings } from '../book/use-book.js';
import { Fields } from '../controls/fields/fields.js';
import { RowField } from '../controls/fields/row-field.js';
import { useView } from '../engine/use-view.js';
import { Amount } from '../figures/amount.js';
import { DetailHeading } from '../figures/detail-heading.js';
import { FigureLine } from '../figures/figure-line.js';
import { useFirstRows } from '../figures/first-rows.js';
import { LeadFigure } from '../figures/lead-figure.js';
import { ScreenLink } from '../figures/screen-link.js';
import { unitWords } from '../figures/format.js';

/** What an open day costs: the figure that matters most here. */
export function OpenDay() {
  const view = useView('overhead', 'book');
  const { currency } = useSettings();
  return (
    <section aria-label="An open day">
      <DetailHeading as="h2">An open day costs</DetailHeading>
      <LeadFigure figure={view?.perOpenDay} digits={2} unit={currency} />
      {view && (
        <p className="text-soft">
          <Amount figure={view.total} digits={2} /> {currency} of running costs a month, on{' '}
          <Amount figure={view.openDays} digits={2} /> <ScreenLink to="runYear">open days</ScreenLink>
        </p>
      )}
    </section>
  );
}

/** How the running costs are shared out by the method of the book. */
export function SharedOut() {
  const view = useView('overhead', 'book');
  const settings = useSettings();
  if (view === undefined) return <section aria-label="How overheads are shared" />;
  const { currency } = settings;
  return (
    <section aria-label="How overheads are shared">
      <DetailHeading as="h2">Shared out: {view.method}</DetailHeading>
      <Fields>
        <RowField
          kind="settings"
          id={settings.id}
          field="normalLabourHoursPerMonth"
          label="Normal productive hours"
          suffix="a month"
          placeholder="as planned"
        />
      </Fields>
      <Rates />
      <table className="table">
        <tbody>
          <FigureLine label="Planned hours" unit="a month" figure={view.plannedHours} digits={2} />
          <FigureLine
            label="Charged to products"
            term="absorbed"
            unit={`${currency} a month`}
            figure={view.sharedOut}
            digits={2}
          />
          <FigureLine
            label="Unabsorbed"
            term="idle capacity"
            unit={`${currency} a month`}
            figure={view.notSharedOut}
            digits={2}
          />
        </tbody>
      </table>
      <DetailHeading>Overhead by product</DetailHeading>
      <ByProduct products={view.products} />
    </section>
  );
}

/** What of the overhead each product carries. */
function ByProduct({ products }: Pick<OverheadView, 'products'>) {
  const { currency } = useSettings();
  const { rows, more } = useFirstRows(products);
  if (products.length === 0) return <p className="text-soft">No product yet.</p>;
  return (
    <>
      <table className="table">
        <thead>
          <tr>
            <th scope="col">Product</th>
            <th scope="col" className="text-right">
              {currency} a unit
            </th>
            <th scope="col" className="text-right">
              {currency} a month
            </th>
          </tr>
        </thead>
        <tbody>
          {rows.map((product) => (
            <tr key={product.id}>
              <th scope="row">
                <ScreenLink to="make" row={product.id} search="?side=methods">
                  {product.name}
                </ScreenLink>
              </th>
              <td className="text-right">
                <Amount figure={product.perUnit} digits={2} />
              </td>
              <td className="text-right">
                <Amount figure={product.perMonth} digits={2} />
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {more}
    </>
  );
}

/** The rates by which the method of the book charges products. */
function Rates() {
  const view = useView('overhead', 'book');
  const { currency } = useSettings();
  if (view === undefined || view.lots.length === 0) return null;
  return (
    <table className="table" aria-label="Rates">
      <thead>
        <tr>
          <th scope="col">Rate</th>
          <th scope="col" className="text-right">
            {currency}
          </th>
          <th scope="col">per</th>
        </tr>
      </thead>
      <tbody>
        {view.lots.map((lot) => (
          <tr key={lot.id}>
            <th scope="row" className="font-normal">
              {lot.label}
              {lot.basisNote !== '' && <span className="block text-note text-soft">over {lot.basisNote}</span>}
            </th>
            <td className="text-right align-top">
              <Amount figure={lot.rate} digits={4} />
            </td>
            <td className="align-top text-soft whitespace-nowrap">
              {unitWords(lot.rate.unit.split(' per ')[1] ?? '')}
            </td>
          </tr>
        ))}
        {view.unassigned.map((each) => (
          <tr key={each.id}>
            <th scope="row" className="font-normal">
              {each.label}
              <span className="block text-note text-soft">{each.why}</span>
            </th>
            <td className="text-right align-top">
              <Amount figure={each.cost} digits={2} />
            </td>
            <td className="align-top text-soft">not shared out</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
