import type { ComparedLineView } from '@nuvar/core';
import { ChevronDown, ChevronRight } from 'lucide-react';
import { useState } from 'react';
import { useSettings } from '../book/use-book.js';
import { useView } from '../engine/use-view.js';
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
    <table className="table mt-2">
      <caption className="sr-only">{caption}</caption>
      <thead>
        <tr>
          <th scope="col">Changed line</th>
          {columns.map((header, index) => (
            <th key={index} scope="col" className="text-right">
              {header}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {lines.map((line) => (
          <ComparedRow key={`${line.source}${line.before === null}`} line={line} depth={0} />
        ))}
      </tbody>
    </table>
  );
}

interface ComparedRowProps {
  readonly line: ComparedLineView;
  /** How deep inside components it stands. */
  readonly depth: number;
}

/** One line; that of a component opens to what has changed inside one unit of it. */
function ComparedRow({ line, depth }: ComparedRowProps) {
  const [isOpen, setOpen] = useState(false);
  const side = (when: 'before' | 'now', what: 'quantity' | 'price') => (
    <td className="text-right">
      {line[when] === null ? <span className="text-soft">none</span> : <Amount figure={line[when][what]} digits={4} />}
    </td>
  );
  const Mark = isOpen ? ChevronDown : ChevronRight;
  return (
    <>
      <tr>
        <th scope="row" style={{ paddingLeft: `${depth * 1.1}rem` }}>
          {line.inside === null ? (
            line.label
          ) : (
            <button
              type="button"
              className="inline-flex items-center gap-0.5 hover:underline"
              aria-expanded={isOpen}
              onClick={() => setOpen(!isOpen)}
            >
              <Mark size={14} aria-hidden="true" />
              {line.label}
            </button>
          )}
        </th>
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
      {isOpen && line.inside !== null && <InsideComponent id={line.inside} label={line.label} depth={depth + 1} />}
    </>
  );
}

interface InsideComponentProps {
  readonly id: string;
  readonly label: string;
  readonly depth: number;
}

/** What has changed inside one unit of a component since its card was saved with the other. */
function InsideComponent({ id, label, depth }: InsideComponentProps) {
  const view = useView('frozen', id);
  const changed = view?.lines.filter(({ hasMoved }) => hasMoved) ?? [];
  return (
    <>
      <tr>
        <td colSpan={7} className="text-note text-soft" style={{ paddingLeft: `${depth * 1.1}rem` }}>
          {changed.length === 0 ? `Nothing has changed inside ${label}.` : `In one unit of ${label}:`}
        </td>
      </tr>
      {changed.map((line) => (
        <ComparedRow key={`${line.source}${line.before === null}`} line={line} depth={depth} />
      ))}
    </>
  );
}
