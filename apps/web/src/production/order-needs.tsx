import type { StoredRow } from '@nuvar/book';
import type { FigureView } from '@nuvar/core';
import { useSettings } from '../book/use-book.js';
import { isRefusal, readAnyQuantity } from '../controls/fields/read-field.js';
import { TypedInput } from '../controls/fields/typed-input.js';
import { useParameter } from '../controls/layout/use-parameter.js';
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
      <NeedsTable
        what="To make"
        counted="Batches"
        to="make"
        rows={view.products.map(({ batches, ...product }) => ({ ...product, count: batches }))}
      />
      {view.materials.length === 0 ? (
        <p className="mt-3 text-soft">Nothing that is bought goes into it.</p>
      ) : (
        <NeedsTable
          what="To buy"
          counted="Packs"
          to="buy"
          rows={view.materials.map(({ packs, ...material }) => ({ ...material, count: packs }))}
        />
      )}
    </>
  );
}

interface NeedsTableProps {
  readonly what: string;
  readonly counted: string;
  readonly to: 'make' | 'buy';
  readonly rows: readonly {
    readonly id: string;
    readonly name: string;
    readonly needed: FigureView;
    /** Null where no price says how large a pack is. */
    readonly count: FigureView | null;
    readonly leftOver: FigureView | null;
  }[];
}

function NeedsTable({ what, counted, to, rows }: NeedsTableProps) {
  return (
    <table className="table mt-3 w-auto">
      <thead>
        <tr>
          <th scope="col">{what}</th>
          {['Needed', counted, 'Left over'].map((label) => (
            <th key={label} scope="col" className="text-right">
              {label}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {rows.map(({ id, name, needed, count, leftOver }) => (
          <tr key={id}>
            <th scope="row" className="font-normal">
              <ScreenLink to={to} row={id}>
                {name}
              </ScreenLink>
            </th>
            <td className="text-right">
              <Amount figure={needed} digits={2} withUnit />
            </td>
            <td className="text-right">
              {count === null ? <span className="text-soft">no price</span> : <Amount figure={count} digits={0} />}
            </td>
            <td className="text-right">{leftOver && <Amount figure={leftOver} digits={2} withUnit />}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
