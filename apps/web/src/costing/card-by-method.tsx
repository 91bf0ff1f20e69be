import type { StoredRow } from '@nuvar/book';
import type { CardByMethodView } from '@nuvar/core';
import { useAll, useSettings } from '../book/use-book.js';
import { DocumentLinks } from '../controls/layout/document-links.js';
import { useView } from '../engine/use-view.js';
import { Amount } from '../figures/amount.js';
import { DetailHeading } from '../figures/detail-heading.js';
import { unitWords, written } from '../figures/format.js';
import { ScreenLink } from '../figures/screen-link.js';
import { useStyle } from '../figures/use-style.js';

/** The cost card of a product under each method, share by share; and what would become of its share without it. */
export function CardByMethod({ product }: { readonly product: StoredRow<'product'> }) {
  const methods = useAll('costingMethod');
  const view = useView('cardByMethod', `${product.id}@`);
  if (view === undefined) return null;
  return (
    <section aria-label="By method" className="flex flex-col gap-3">
      <Cards view={view} unit={unitWords(product.outputUnit)} />
      {methods.length === 0 && (
        <p className="text-soft">
          Other methods stand beside this one once they are entered under{' '}
          <ScreenLink to="methods">Run, Methods</ScreenLink>.
        </p>
      )}
      <DocumentLinks
        label="Cost card with workings"
        document="cost cards"
        of={`${product.id}@${view.methods.map(({ id }) => id).join(',')}`}
        formats={['pdf']}
      />
      <Dropped product={product} />
    </section>
  );
}

function Cards({ view, unit }: { readonly view: CardByMethodView; readonly unit: string }) {
  const { currency } = useSettings();
  return (
    <>
      <DetailHeading as="h2">{`One ${unit} by each method, ${currency}`}</DetailHeading>
      <p>
        Before overhead it costs <Amount figure={view.beforeOverhead} digits={4} withUnit />.
      </p>
      {view.methods.map((method) => (
        <table key={method.id} className="table" aria-label={method.name}>
          <thead>
            <tr>
              <th scope="col">{method.name}</th>
              <th scope="col" className="text-right">
                driver units
              </th>
              <th scope="col" className="text-right">
                rate
              </th>
              <th scope="col" className="text-right">
                {currency}
              </th>
            </tr>
          </thead>
          <tbody>
            {method.items.map((item) => (
              <tr key={item.id}>
                <th scope="row" className="font-normal">
                  {item.label}
                  {item.isVariable && <span className="text-soft"> (variable)</span>}
                </th>
                <td className="text-right">
                  <Amount figure={item.quantity} digits={4} />
                </td>
                <td className="text-right">
                  <Amount figure={item.rate} digits={4} />
                </td>
                <td className="text-right">
                  <Amount figure={item.cost} digits={4} />
                </td>
              </tr>
            ))}
            <tr className="font-semibold">
              <th scope="row">Overhead</th>
              <td />
              <td />
              <td className="text-right">
                <Amount figure={method.overhead} digits={4} />
              </td>
            </tr>
            <tr className="font-semibold">
              <th scope="row">Full cost</th>
              <td />
              <td />
              <td className="text-right">
                <Amount figure={method.fullCost} digits={4} />
              </td>
            </tr>
          </tbody>
        </table>
      ))}
    </>
  );
}

/** What falls on the others when the product is no longer made. */
function Dropped({ product }: { readonly product: StoredRow<'product'> }) {
  const view = useView('dropped', product.id);
  const { currency } = useSettings();
  const style = useStyle();
  if (view === undefined || view.carried === null || Number(view.carried) === 0) return null;
  const moved = view.others.filter(({ overhead: [before, after] }) => before !== null && after !== null);
  const isSame = moved.every(({ overhead: [before, after] }) => before === after);
  const say = (amount: string | null, digits: number) =>
    amount === null ? 'not known yet' : written(amount, digits, style);
  return (
    <section aria-label={`Without ${product.name}`}>
      <DetailHeading>{`If ${product.name} were dropped`}</DetailHeading>
      <p>
        Its planned units carry {say(view.carried, 2)} {currency} of the running costs in a month. The bills do not go
        away with it:{' '}
        {isSame
          ? 'at normal capacity the share of the others stays, and that much more is carried by nobody.'
          : 'the others would carry more, and some of it may be carried by nobody.'}
      </p>
      {!isSame && (
        <table className="table mt-1 w-auto">
          <thead>
            <tr>
              <th scope="col">Overhead of a unit, {currency}</th>
              <th scope="col" className="text-right">
                now
              </th>
              <th scope="col" className="text-right">
                without it
              </th>
            </tr>
          </thead>
          <tbody>
            {moved.map(({ id, name, overhead: [before, after] }) => (
              <tr key={id}>
                <th scope="row" className="font-normal">
                  {name}
                </th>
                <td className="figure-print text-right">{say(before, 4)}</td>
                <td className="figure-print text-right">{say(after, 4)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </section>
  );
}
