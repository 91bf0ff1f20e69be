import type { FigureView } from '@nuvar/core';
import { Amount } from './amount.js';

interface LeadFigureProps {
  readonly figure: FigureView | undefined;
  readonly digits: number;
  readonly unit: string;
  readonly isLarge?: boolean;
}

/** The figure that matters most on its screen. Where it is missing, the whole sentence stands in its place. */
export function LeadFigure({ figure, digits, unit, isLarge = false }: LeadFigureProps) {
  const isThere = figure !== undefined && figure.amount !== null && !(figure.partial && Number(figure.amount) === 0);
  return (
    <p className={`lead-figure ${isLarge ? 'lead-figure-large' : ''}`}>
      <Amount figure={figure} digits={digits} inWords />
      {isThere && <span className="text-base text-soft"> {unit}</span>}
    </p>
  );
}
