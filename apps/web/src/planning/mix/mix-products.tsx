import { numberText, unitOfMeasure, type MixGoal } from '@nuvar/book';
import type { MixView } from '@nuvar/core';
import { memo } from 'react';
import { useMayEdit, useSettings } from '../../book/use-book.js';
import { useAcceptTrial, useTried, useTry } from '../../book/use-trial.js';
import { RowField } from '../../controls/fields/row-field.js';
import { Amount } from '../../figures/amount.js';
import { useStyle } from '../../figures/use-style.js';
import { bookActions } from '../../state/book-slice.js';
import { useAppDispatch } from '../../state/store.js';
import { amountText, moneyText } from './words.js';

interface MixProductsProps {
  readonly view: MixView;
  /** By product: how much of it its limits allow by themselves; null where nothing limits it. */
  readonly rooms: readonly (number | null)[];
  readonly best: readonly string[] | null;
  readonly goal: MixGoal;
}

/** More rows than this are drawn only of what is made, by hand or in the best mix. */
const MOST_ROWS = 120;

/** The products with their quantities, a handle for each, and under it the best quantity as a thin bar. */
export function MixProducts({ view, rooms, best, goal }: MixProductsProps) {
  const { currency } = useSettings();
  const brings = goal === 'units' ? 'Units' : `Brings, ${currency}`;
  const numbered = view.products.map((product, index) => ({ product, index }));
  const isMade = ({ product, index }: (typeof numbered)[number]) =>
    Number(product.quantity) > 0 || Number(best?.[index] ?? 0) > 0;
  const others = numbered.filter((each) => !isMade(each));
  const left = new Set(others.slice(Math.max(0, MOST_ROWS - (numbered.length - others.length))));
  const shown = numbered.filter((each) => !left.has(each));
  return (
    <div>
      <table className="table" aria-label="Quantities">
        <thead>
          <tr>
            <th scope="col">Product</th>
            <th scope="col" className="text-right">
              Quantity
            </th>
            {best !== null && (
              <th scope="col" className="text-right">
                Best
              </th>
            )}
            <th scope="col" className="text-right">
              Planned
            </th>
            <th scope="col" className="text-right">
              {brings}
            </th>
          </tr>
        </thead>
        <tbody>
          {shown.map(({ product, index }) => (
            <ProductRow
              key={product.id}
              product={product}
              brings={view.brings[index] ?? null}
              room={rooms[index] ?? null}
              best={best?.[index] ?? null}
            />
          ))}
        </tbody>
      </table>
      {shown.length < numbered.length && (
        <p className="mt-1 text-soft">
          {numbered.length - shown.length} more products of this plan are not shown here; all stand under Products and
          limits.
        </p>
      )}
    </div>
  );
}

type Product = MixView['products'][number];

interface ProductRowProps {
  readonly product: Product;
  readonly brings: string | null;
  readonly room: number | null;
  /** Null where no best mix is shown. */
  readonly best: string | null;
}

/** One of the products: drawn again only when something of it has changed, so that a handle of many moves freely. */
const ProductRow = memo(function ProductRow({ product, brings, room, best }: ProductRowProps) {
  const style = useStyle();
  return (
    <tr className="align-top">
      <th scope="row" className="font-normal">
        {product.name}
        <Counted product={product} />
        <Handle product={product} room={room} best={best} />
        {product.isBroken && <span className="text-error"> {brokenWords(product)}</span>}
      </th>
      <td className="w-24">
        <RowField kind="mixProduct" id={product.id} field="quantity" label={`Quantity of ${product.name}`} isNameless />
      </td>
      {best !== null && <td className="figure text-right">{amountText(Number(best), style)}</td>}
      <td className="text-right">{product.planned === null ? '' : <Amount figure={product.planned} digits={1} />}</td>
      <td className="figure text-right">{brings === null ? 'not yet' : moneyText(Number(brings), style)}</td>
    </tr>
  );
});

/** What a product is counted in, and how much of it is made at least where any is. */
function Counted({ product: { step, batch, lot, setUpCost } }: { readonly product: Product }) {
  const inBatches = step?.amount != null && Number(step.amount) !== 1;
  if (!inBatches && batch === null && lot === null && setUpCost === null) return null;
  return (
    <span className="block text-note text-soft">
      {inBatches && (
        <>
          in batches of <Amount figure={step} digits={2} />{' '}
        </>
      )}
      {batch !== null && (
        <>
          all channels in batches of <Amount figure={batch} digits={2} />{' '}
        </>
      )}
      {lot !== null && (
        <>
          at least <Amount figure={lot} digits={0} /> or none{' '}
        </>
      )}
      {setUpCost !== null && (
        <>
          set-up <Amount figure={setUpCost} digits={2} />
        </>
      )}
    </span>
  );
}

function brokenWords({ quantity, least, most, lot, batch }: Product): string {
  const made = Number(quantity);
  if (Number(least.amount ?? 0) > made) return 'fewer than there have to be';
  if (most?.amount != null && made > Number(most.amount)) return 'more than can be sold';
  if (lot?.amount != null && made < Number(lot.amount)) return 'less than the minimum lot';
  return batch === null ? '' : 'not in whole batches over all channels';
}

/** The end of a handle where nothing limits a product, and how far beyond its limit it can be dragged. */
const WITHOUT_LIMIT = 100;
const BEYOND = 1.25;

interface HandleProps {
  readonly product: Product;
  readonly room: number | null;
  readonly best: string | null;
}

/** Tries a quantity: everything follows, and nothing is kept until it is accepted. */
function Handle({ product, room, best }: HandleProps) {
  const { locale } = useSettings();
  const mayEdit = useMayEdit();
  const dispatch = useAppDispatch();
  const tryOut = useTry();
  const accept = useAcceptTrial();
  const tried = useTried(product.id, 'quantity');
  const step = Number(product.step?.amount ?? 0) || stepFor(room ?? WITHOUT_LIMIT, product.unit);
  const now = Number(tried ?? product.quantity);
  const end = Math.max(step, now, Number(best ?? 0), (room ?? WITHOUT_LIMIT) * BEYOND);
  const most = Math.ceil(end / step) * step;
  return (
    <span className="relative block pt-1">
      <input
        type="range"
        className="range w-full text-soft [--range-thumb-size:0.7rem]"
        aria-label={`Quantity of ${product.name}, to be tried`}
        aria-valuetext={numberText(String(now), locale)}
        title="Drag to try another quantity; arrow keys step it, Enter keeps it, Esc discards it"
        min={0}
        max={most}
        step={step}
        value={now}
        disabled={!mayEdit}
        onChange={({ target }) => tryOut('mixProduct', product.id, 'quantity', target.value)}
        onKeyDown={(event) => {
          if (event.key === 'Enter' && tried !== undefined) accept();
          if (event.key === 'Escape' && tried !== undefined) dispatch(bookActions.trialDropped());
        }}
      />
      {best !== null && (
        <span
          className="block h-1 border-r-2 border-primary bg-primary/30 [print-color-adjust:exact]"
          style={{ width: `${(Number(best) / most) * 100}%` }}
          title={`Best: ${numberText(best, locale)}`}
        />
      )}
    </span>
  );
}

/** A step with which a handle has about a hundred stops: 1, 2 or 5 of a power of ten; of what is counted, whole ones. */
function stepFor(room: number, unit: string): number {
  const rough = Math.max(room, 1e-6) / 100;
  const power = 10 ** Math.floor(Math.log10(rough));
  const step = ([1, 2, 5].find((each) => each * power >= rough) ?? 10) * power;
  return unitOfMeasure(unit)?.dimension === 'count' ? Math.max(1, Math.round(step)) : step;
}
