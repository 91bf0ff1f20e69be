import type { StoredRow } from '@nuvar/book';
import { useSettings } from '../book/use-book.js';
import { isRefusal, readAnyQuantity } from '../controls/read-field.js';
import { TypedInput } from '../controls/typed-input.js';
import { useParameter } from '../controls/use-parameter.js';
import { useView } from '../engine/use-view.js';
import { Amount } from '../figures/amount.js';
import { typedText, unitWords } from '../figures/format.js';
import { ScreenLink } from '../figures/screen-link.js';

/** What an order of so many units needs: whole batches of all that is made, whole packs of all that is bought. */
export function OrderNeeds({ product }: { readonly product: StoredRow<'product'> }) {
  const { locale } = useSettings();
  const [units, setUnits] = useParameter('units');
  const asked = units ?? product.batchSize;
  return (
    <section aria-label="An order">
      <p className="flex items-center gap-2">
        <span>An order of</span>
        <span className="w-28">
          <TypedInput
            label="Units of the order"
            value={typedText(asked, locale)}
            numeric
            commit={(text) => {
              const reading = readAnyQuantity(text, locale);
              if (isRefusal(reading)) return reading.refusal;
              setUnits(String(reading.value));
              return null;
            }}
          />
        </span>
        <span>{unitWords(product.outputUnit)} needs, in whole batches and whole packs:</span>
      </p>
      <Needs id={`${product.id}@${asked}`} />
    </section>
  );
}

function Needs({ id }: { readonly id: string }) {
  const view = useView('orderNeeds', id);
  if (view === undefined) return null;
  return (
    <>
      <table className="table mt-3 w-auto">
        <thead>
          <tr>
            <th scope="col">To make</th>
            {['Needed', 'Batches', 'Left over'].map((label) => (
              <th key={label} scope="col" className="text-right">
                {label}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {view.products.map(({ id: productId, name, needed, batches, leftOver }) => (
            <tr key={productId}>
              <th scope="row" className="font-normal">
                <ScreenLink to="make" row={productId}>
                  {name}
                </ScreenLink>
              </th>
              <td className="text-right">
                <Amount figure={needed} digits={2} withUnit />
              </td>
              <td className="text-right">
                <Amount figure={batches} digits={0} />
              </td>
              <td className="text-right">
                <Amount figure={leftOver} digits={2} withUnit />
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {view.materials.length === 0 ? (
        <p className="mt-3 text-soft">Nothing that is bought goes into it.</p>
      ) : (
        <table className="table mt-3 w-auto">
          <thead>
            <tr>
              <th scope="col">To buy</th>
              {['Needed', 'Packs', 'Left over'].map((label) => (
                <th key={label} scope="col" className="text-right">
                  {label}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {view.materials.map(({ id: materialId, name, needed, packs, leftOver }) => (
              <tr key={materialId}>
                <th scope="row" className="font-normal">
                  <ScreenLink to="buy" row={materialId}>
                    {name}
                  </ScreenLink>
                </th>
                <td className="text-right">
                  <Amount figure={needed} digits={2} withUnit />
                </td>
                <td className="text-right">
                  {packs === null ? <span className="text-soft">no price</span> : <Amount figure={packs} digits={0} />}
                </td>
                <td className="text-right">{leftOver && <Amount figure={leftOver} digits={2} withUnit />}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </>
  );
}
