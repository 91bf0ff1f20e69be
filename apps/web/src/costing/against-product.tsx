import type { StoredRow } from '@nuvar/book';
import type { ComparedLineView } from '@nuvar/core';
import { useSearchParams } from 'react-router';
import { useRow, useSettings, useUnarchived } from '../book/use-book.js';
import { ItemInput } from '../controls/fields/item-input.js';
import { useView } from '../engine/use-view.js';
import { Amount } from '../figures/amount.js';
import { counted, unitWords } from '../figures/format.js';
import { Empty } from '../figures/empty.js';

/** Why a product costs more than another, or less: the two cards beside each other, the largest effects first. */
export function AgainstProduct({ product }: { readonly product: StoredRow<'product'> }) {
  const [parameters, setParameters] = useSearchParams();
  const others = useUnarchived('product').filter(
    ({ id, outputUnit }) => id !== product.id && outputUnit === product.outputUnit,
  );
  const against = parameters.get('against');
  const other = useRow('product', against === product.id ? null : against);
  const unit = unitWords(product.outputUnit);
  if (others.length === 0)
    return <Empty>There is no other product that is counted in the same unit ({unit}) to compare it with.</Empty>;
  const choose = (name: string): string | null => {
    const chosen = others.find((each) => each.name === name);
    if (chosen === undefined) return `No product of that name is counted in the same unit (${unit}).`;
    setParameters(
      (known) => {
        known.set('against', chosen.id);
        return known;
      },
      { replace: true },
    );
    return null;
  };
  return (
    <section aria-label="Compare products">
      <div className="flex items-baseline gap-2 max-w-96">
        <span className="shrink-0">Compare with</span>
        <ItemInput
          label="The other product"
          value={other?.name ?? ''}
          options={others.map(({ id, name }) => ({ value: id, label: name }))}
          placeholder="another product"
          goesOn={false}
          commit={choose}
        />
      </div>
      {other !== undefined && <Comparison product={product} other={other} unit={unit} />}
    </section>
  );
}

interface ComparisonProps {
  readonly product: StoredRow<'product'>;
  readonly other: StoredRow<'product'>;
  readonly unit: string;
}

function Comparison({ product, other, unit }: ComparisonProps) {
  const view = useView('against', `${product.id}@${other.id}`);
  const { currency, locale } = useSettings();
  if (view == null) return null;
  const gap = view.difference.gaps[0];
  if (view.lines.length === 0 && gap !== undefined) return <p className="mt-3">{gap.sentence}.</p>;
  const differing = view.lines.filter(({ hasMoved }) => hasMoved);
  const alike = view.lines.length - differing.length;
  return (
    <>
      <p className="mt-3">
        One {unit} of {product.name} costs <Amount figure={view.now} digits={4} /> {currency}, one of {other.name}{' '}
        <Amount figure={view.before} digits={4} />. The difference is <Amount figure={view.difference} digits={4} />:
      </p>
      <table className="table mt-2">
        <caption className="sr-only">
          {product.name} against {other.name}, the largest effects first
        </caption>
        <thead>
          <tr>
            <th scope="col">Largest differences first</th>
            {[
              `In one ${product.name}`,
              `In one ${other.name}`,
              `Unit price, ${currency}`,
              `Difference, ${currency}`,
            ].map((header) => (
              <th key={header} scope="col" className="text-right">
                {header}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {differing.map((line) => (
            <Line key={`${line.source}${line.before === null}`} line={line} />
          ))}
        </tbody>
      </table>
      {alike > 0 && <p className="text-soft text-note">{counted(alike, 'other line', locale)} the same in both.</p>}
    </>
  );
}

function Line({ line }: { readonly line: ComparedLineView }) {
  const { before, now } = line;
  const quantity = (side: ComparedLineView['now']) => (
    <td className="text-right">
      {side === null ? (
        <span className="text-soft">none</span>
      ) : (
        <>
          <Amount figure={side.quantity} digits={4} /> <span className="text-soft">{line.unit}</span>
        </>
      )}
    </td>
  );
  const price = (now ?? before)?.price;
  const hasTwoPrices = before !== null && now !== null && before.price.amount !== now.price.amount;
  return (
    <tr>
      <th scope="row">{line.label}</th>
      {quantity(now)}
      {quantity(before)}
      <td className="text-right">
        {price && <Amount figure={price} digits={4} />}
        {hasTwoPrices && (
          <span className="text-soft">
            {' '}
            (other: <Amount figure={before.price} digits={4} />)
          </span>
        )}
      </td>
      <td className="text-right">
        <Amount figure={line.effect} digits={4} />
      </td>
    </tr>
  );
}
