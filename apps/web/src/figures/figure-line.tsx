import type { FigureView } from '@nuvar/core';
import { Amount } from './amount.js';
import { Term } from '../figures/term.js';

interface FigureLineProps {
  readonly label: string;
  /** The trade's term, where the label is in the owner's words. */
  readonly term?: string;
  readonly figure: FigureView;
  readonly unit: string;
  readonly digits: number;
}

/** A figure as a row of a table: what it is, how much, and of what. */
export function FigureLine({ label, term, figure, unit, digits }: FigureLineProps) {
  return (
    <tr>
      <th scope="row">
        {label}
        {term !== undefined && <Term>{term}</Term>}
      </th>
      <td className="text-right">
        <Amount figure={figure} digits={digits} />
      </td>
      <td className="text-soft whitespace-nowrap">{unit}</td>
    </tr>
  );
}
