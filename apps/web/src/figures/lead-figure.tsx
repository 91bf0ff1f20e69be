import type { FigureView } from '@nuvar/core';
import { Amount } from './amount.js';

interface LeadFigureProps {
  readonly figure: FigureView | undefined;
  readonly digits: number;
  readonly unit: string;
  readonly isLarge?: boolean;
  /** False where a list beside it says what is missing. */
  readonly inWords?: boolean;
}

/** The figure that matters most on its screen. Where it is missing, the whole sentence stands in its place. */
export function LeadFigure({ figure, digits, unit, isLarge = false, inWords = true }: LeadFigureProps) {
  const isThere = figure !== undefined && figure.amount !== null && !(figure.partial && Number(figure.amount) === 0);
  return (
    <p className={`font-serif ${isLarge ? 'text-lead-large' : 'text-lead'}`}>
      <Amount figure={figure} digits={digits} inWords={inWords} />
      {isThere && <span className="text-base text-soft"> {unit}</span>}
    </p>
  );
}
