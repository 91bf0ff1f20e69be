import type { ProfitView } from '@nuvar/core';
import { useSettings } from '../book/use-book.js';
import { SelectInput } from '../controls/fields/select-input.js';
import { useParameter } from '../controls/layout/use-parameter.js';
import { useView } from '../engine/use-view.js';
import { Amount } from '../figures/amount.js';
import { DetailHeading } from '../figures/detail-heading.js';
import { useFirstRows } from '../figures/first-rows.js';
import { FigureLine } from '../figures/figure-line.js';
import { monthText } from '../figures/format.js';
import { ScreenLink } from '../figures/screen-link.js';
import { RunPage } from './run-page.js';

/** Run: the profit of a planned month by marginal and by absorption costing, and why they differ; costs by behaviour. */
export function ProfitScreen() {
  const { locale } = useSettings();
  const year = useView('runYear', 'book');
  const [chosen, choose] = useParameter('month');
  const months = year?.months.map(({ month }) => month) ?? [];
  const month = months.find((each) => each === chosen) ?? months[0];
  return (
    <RunPage>
      <div className="h-full space-y-6 overflow-auto">
        {month !== undefined && (
          <span className="flex max-w-56">
            <SelectInput
              label="Month"
              value={month}
              options={months.map((each) => ({ value: each, label: monthText(each, locale) }))}
              commit={choose}
            />
          </span>
        )}
        {month !== undefined && <Profit month={month} />}
      </div>
    </RunPage>
  );
}

function Profit({ month }: { readonly month: string }) {
  const view = useView('profit', month);
  if (view === undefined) return null;
  return (
    <>
      <div className="grid items-start gap-6 desk:grid-cols-[minmax(0,3fr)_minmax(0,2fr)]">
        <Statement view={view} />
        <Behaviour />
      </div>
      <Products view={view} />
    </>
  );
}

/** The two statements beside each other, and their reconciliation. */
function Statement({ view }: { readonly view: ProfitView }) {
  const { currency } = useSettings();
  const lines = [
    ['Net revenue', view.revenue, view.revenue],
    ['Fees and variable cost', view.variableCost, view.variableCost],
    ['Contribution', view.contribution, view.contribution],
    ['Fixed production cost of the month', view.fixedProduction, null],
    ['Fixed production cost in what is sold', null, view.fixedInSold],
    ['Under-absorbed (−: over-absorbed)', null, view.underAbsorbed],
    ['Fixed selling and office cost', view.fixedOther, view.fixedOther],
  ] as const;
  return (
    <section aria-label="Profit of the month">
      <DetailHeading as="h2">{`Profit of the month, ${currency}`}</DetailHeading>
      <table className="table mt-1">
        <thead>
          <tr>
            <th scope="col">As planned</th>
            <th scope="col" className="text-right">
              Marginal
            </th>
            <th scope="col" className="text-right">
              Absorption
            </th>
          </tr>
        </thead>
        <tbody>
          {lines.map(([label, marginal, absorption]) => (
            <tr key={label} className={label === 'Contribution' ? 'font-semibold' : ''}>
              <th scope="row">{label}</th>
              {[marginal, absorption].map((figure, index) => (
                <td key={index} className="text-right">
                  {figure !== null && <Amount figure={figure} digits={2} />}
                </td>
              ))}
            </tr>
          ))}
          <tr className="font-semibold">
            <th scope="row">Profit</th>
            <td className="text-right">
              <Amount figure={view.marginal} digits={2} />
            </td>
            <td className="text-right">
              <Amount figure={view.absorption} digits={2} />
            </td>
          </tr>
        </tbody>
      </table>
      <p className="mt-2">
        The two are <Amount figure={view.difference} digits={2} withUnit /> apart: the change of stock at the fixed
        production cost of a unit is <Amount figure={view.intoStock} digits={2} withUnit />.
      </p>
    </section>
  );
}

/** The products of the month: sold, made, and what goes into stock. */
function Products({ view }: { readonly view: ProfitView }) {
  const { currency } = useSettings();
  const { rows: products, more } = useFirstRows(view.products);
  if (products.length === 0)
    return (
      <p className="text-soft">
        No product is planned yet. Enter <ScreenLink to="volumes">planned volumes</ScreenLink> first.
      </p>
    );
  const columns = [
    ['Sold', 'sold', 0],
    ['Made', 'made', 0],
    ['Into stock', 'stockChange', 0],
    [`Contribution, ${currency}`, 'contribution', 2],
    ['Fixed cost in a unit', 'fixedInUnit', 4],
    ['Fixed cost into stock', 'intoStock', 2],
  ] as const;
  const stockColumns = [
    ['Stock before', 'opening', 0],
    ['Stock after', 'closing', 0],
    [`After, at production cost, ${currency}`, 'closingValue', 2],
  ] as const;
  const hasStock = view.products.some(({ stock }) => stock !== null);
  return (
    <section aria-label="Products of the month">
      <table className="table w-auto">
        <thead>
          <tr>
            <th scope="col">Product</th>
            {[...columns, ...(hasStock ? stockColumns : [])].map(([header]) => (
              <th key={header} scope="col" className="text-right">
                {header}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {products.map((product) => (
            <tr key={product.id}>
              <th scope="row" className="font-normal">
                <ScreenLink to="make" row={product.id} search="?side=about">
                  {product.name}
                </ScreenLink>
              </th>
              {columns.map(([header, member, digits]) => (
                <td key={header} className="text-right">
                  <Amount figure={product[member]} digits={digits} />
                </td>
              ))}
              {hasStock &&
                stockColumns.map(([header, member, digits]) => (
                  <td key={header} className="text-right">
                    {product.stock && <Amount figure={product.stock[member]} digits={digits} />}
                  </td>
                ))}
            </tr>
          ))}
        </tbody>
      </table>
      {more}
      <p className="mt-1 text-soft">
        What is made in a month, and the finished stock from which the months go on, are entered with each product under
        Make, Details; otherwise as many are made as are sold.
      </p>
    </section>
  );
}

/** What comes whatever is made, and what changes with the work: break-even and floors use only what changes. */
function Behaviour() {
  const view = useView('behaviour', 'book');
  const { currency } = useSettings();
  if (view === undefined) return null;
  const unit = `${currency} a month`;
  return (
    <section aria-label="Costs by behaviour">
      <DetailHeading as="h2">Costs by behaviour</DetailHeading>
      <table className="table mt-1">
        <tbody>
          <FigureLine label="Variable running costs" unit={unit} figure={view.variableRunning} digits={2} />
          <FigureLine label="Fixed running costs" unit={unit} figure={view.fixedRunning} digits={2} />
          <FigureLine label="Committed pay and wear" unit={unit} figure={view.committed} digits={2} />
          <FigureLine label="Fixed in all" unit={unit} figure={view.fixed} digits={2} />
        </tbody>
      </table>
      {view.grades.map(({ id, name, isStepped, perMonth, unused }) => (
        <p key={id}>
          {name} {isStepped ? 'is paid in steps' : 'is paid whatever is made'}:{' '}
          <Amount figure={perMonth} digits={2} withUnit />, of which the plan does not use{' '}
          <Amount figure={unused} digits={2} withUnit />.
        </p>
      ))}
      {view.machines.map(({ id, name, perMonth, idleHours }) => (
        <p key={id}>
          {name} loses <Amount figure={perMonth} digits={2} withUnit /> whatever it makes, and stands idle for{' '}
          <Amount figure={idleHours} digits={1} withUnit />.
        </p>
      ))}
      <p className="mt-1 text-soft">
        Break-even, contribution and the lower price floor use only what changes with each unit; cost cards hold all.
        Labour grades and machines say under <ScreenLink to="grades">Make</ScreenLink> how they behave.
      </p>
    </section>
  );
}
