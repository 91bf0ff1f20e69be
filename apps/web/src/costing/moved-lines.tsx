import type { ComparedLineView } from '@nuvar/core';
import { useSettings } from '../book/use-book.js';
import { Amount } from '../figures/amount.js';

interface MovedLinesProps {
  readonly lines: readonly ComparedLineView[];
  readonly caption: string;
}

/** An earlier card against that of today, line by line: quantities, prices, and what each makes of the difference. */
export function MovedLines({ lines, caption }: MovedLinesProps) {
  const { currency } = useSettings();
  const columns = ['Quantity then', 'now', `Price then, ${currency}`, 'now', 'Quantity effect', 'Price effect'];
  return (
    <table className="plain-table mt-2">
      <caption className="sr-only">{caption}</caption>
      <thead>
        <tr>
          <th scope="col">What has moved</th>
          {columns.map((header, index) => (
            <th key={index} scope="col" className="text-right">
              {header}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {lines.map((line) => (
          <ComparedRow key={`${line.source}${line.before === null}`} line={line} />
        ))}
      </tbody>
    </table>
  );
}

function ComparedRow({ line }: { readonly line: ComparedLineView }) {
  const side = (when: 'before' | 'now', what: 'quantity' | 'price') => (
    <td className="text-right">
      {line[when] === null ? <span className="text-soft">none</span> : <Amount figure={line[when][what]} digits={4} />}
    </td>
  );
  return (
    <tr>
      <th scope="row">{line.label}</th>
      {side('before', 'quantity')}
      {side('now', 'quantity')}
      {side('before', 'price')}
      {side('now', 'price')}
      <td className="text-right">
        <Amount figure={line.quantityEffect} digits={4} />
      </td>
      <td className="text-right">
        <Amount figure={line.priceEffect} digits={4} />
      </td>
    </tr>
  );
}
