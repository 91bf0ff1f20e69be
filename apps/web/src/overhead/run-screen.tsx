import { Link } from 'react-router';
import { useBookPath, useSettings } from '../book/use-book.js';
import { RowField } from '../controls/row-field.js';
import { useView } from '../engine/use-view.js';
import { Amount } from '../figures/amount.js';
import { LeadFigure } from '../figures/lead-figure.js';
import { FigureLine } from '../figures/figure-line.js';
import { RunningCostGrid } from './running-cost-grid.js';

/** Run: what the business costs whether or not anything is made, and how it is shared out over the products. */
export function RunScreen() {
  return (
    <div className="split split-run">
      <RunningCostGrid />
      <SharedOut />
    </div>
  );
}

function SharedOut() {
  const view = useView('overhead');
  const settings = useSettings();
  const path = useBookPath();
  if (view === undefined) return <section className="detail" aria-label="How it is shared out" />;
  const { currency } = settings;
  return (
    <section className="detail" aria-label="How it is shared out">
      <h2 className="detail-heading">An open day costs</h2>
      <LeadFigure figure={view.perOpenDay} digits={2} unit={currency} />
      <table className="plain-table">
        <tbody>
          <FigureLine label="All running costs" unit={`${currency} a month`} figure={view.total} digits={2} />
          <FigureLine label="Open days" unit="a month" figure={view.openDays} digits={2} />
        </tbody>
      </table>
      <div className="fields">
        <RowField kind="settings" id={settings.id} field="openDaysPerWeek" suffix="a week" />
        <RowField kind="settings" id={settings.id} field="closedDaysPerYear" suffix="a year" />
        <RowField
          kind="settings"
          id={settings.id}
          field="openDaysPerMonth"
          label="Open days, as typed"
          suffix="a month"
          placeholder="from the week"
        />
      </div>
      <h2 className="detail-heading">Shared out by productive hours</h2>
      <div className="fields">
        <RowField
          kind="settings"
          id={settings.id}
          field="normalLabourHoursPerMonth"
          label="Normal productive hours"
          suffix="a month"
          placeholder="as planned"
        />
      </div>
      <table className="plain-table">
        <tbody>
          <FigureLine label="Hours that the plan needs" unit="a month" figure={view.plannedHours} digits={2} />
          <FigureLine label={`Shared over ${view.basisNote}`} unit="hours a month" figure={view.basis} digits={2} />
          <FigureLine
            label="On each productive hour"
            term="absorption rate"
            unit={`${currency} an hour`}
            figure={view.rate}
            digits={4}
          />
          <FigureLine label="Shared out" unit={`${currency} a month`} figure={view.sharedOut} digits={2} />
          <FigureLine
            label="Not shared out"
            term="idle capacity"
            unit={`${currency} a month`}
            figure={view.notSharedOut}
            digits={2}
          />
        </tbody>
      </table>
      <h3 className="detail-heading">What falls on each product</h3>
      <table className="plain-table">
        <thead>
          <tr>
            <th scope="col">Product</th>
            <th scope="col" className="text-right">
              hours
            </th>
            <th scope="col" className="text-right">
              {currency} a unit
            </th>
            <th scope="col" className="text-right">
              {currency} a month
            </th>
          </tr>
        </thead>
        <tbody>
          {view.products.map((product) => (
            <tr key={product.id}>
              <th scope="row">
                <Link className="link" to={`${path}/make/${product.id}`}>
                  {product.name}
                </Link>
              </th>
              <td className="text-right">
                <Amount figure={product.hours} digits={3} />
              </td>
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
    </section>
  );
}
