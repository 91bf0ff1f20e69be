import { useSettings } from '../book/use-book.js';
import { RowField } from '../controls/row-field.js';
import { ListAndDetail } from '../controls/list-and-detail.js';
import { useView } from '../engine/use-view.js';
import { Amount } from '../figures/amount.js';
import { LeadFigure } from '../figures/lead-figure.js';
import { FigureLine } from '../figures/figure-line.js';
import { RunningCostGrid } from './running-cost-grid.js';
import { DetailHeading } from '../figures/detail-heading.js';
import { Fields } from '../controls/fields.js';
import { ScreenLink } from '../figures/screen-link.js';

/** Run: what the business costs whether or not anything is made, and how it is shared out over the products. */
export function RunScreen() {
  return <ListAndDetail wide="list" narrow="24.5rem" list={<RunningCostGrid />} detail={<SharedOut />} />;
}

function SharedOut() {
  const view = useView('overhead');
  const settings = useSettings();
  if (view === undefined) return <section aria-label="How overheads are shared" />;
  const { currency } = settings;
  return (
    <section aria-label="How overheads are shared">
      <DetailHeading as="h2">An open day costs</DetailHeading>
      <LeadFigure figure={view.perOpenDay} digits={2} unit={currency} />
      <table className="table">
        <tbody>
          <FigureLine label="Total running costs" unit={`${currency} a month`} figure={view.total} digits={2} />
          <FigureLine label="Open days" unit="a month" figure={view.openDays} digits={2} />
        </tbody>
      </table>
      <Fields>
        <RowField kind="settings" id={settings.id} field="openDaysPerWeek" />
        <RowField kind="settings" id={settings.id} field="closedDaysPerYear" />
        <RowField
          kind="settings"
          id={settings.id}
          field="openDaysPerMonth"
          label="Open days a month"
          suffix="a month"
          placeholder="worked out"
        />
      </Fields>
      <DetailHeading as="h2">Shared by productive hours</DetailHeading>
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
      <table className="table">
        <tbody>
          <FigureLine label="Planned hours" unit="a month" figure={view.plannedHours} digits={2} />
          <FigureLine label={`Shared over ${view.basisNote}`} unit="hours a month" figure={view.basis} digits={2} />
          <FigureLine
            label="Overhead per productive hour"
            term="absorption rate"
            unit={`${currency} an hour`}
            figure={view.rate}
            digits={4}
          />
          <FigureLine label="Absorbed" unit={`${currency} a month`} figure={view.sharedOut} digits={2} />
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
      <table className="table">
        <thead>
          <tr>
            <th scope="col">Product</th>
            <th scope="col" className="text-right">
              Labour hours
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
                <ScreenLink to="make" row={product.id}>
                  {product.name}
                </ScreenLink>
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
