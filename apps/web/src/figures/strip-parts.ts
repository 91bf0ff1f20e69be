import type { StripPart, StripView } from '@nuvar/core';

/** What the parts of a price are called, in the owner's words. */
export const PART_LABELS: Record<StripPart | 'profit' | 'loss', string> = {
  materials: 'Materials and packaging',
  labour: 'Labour',
  other: 'Other direct costs',
  equipment: 'Equipment',
  overhead: 'Overhead',
  fees: 'Selling costs',
  profit: 'Profit',
  loss: 'Loss',
};

/** A stretch of the strip, in the money of the book. Chart geometry: binary floats are right here. */
export interface Stretch {
  readonly part: StripPart | 'profit';
  readonly from: number;
  readonly to: number;
}

export interface StripGeometry {
  readonly stretches: readonly Stretch[];
  readonly price: number | null;
  /** Where the costs end: beyond the price where each sale loses. */
  readonly end: number;
  /** True where something is missing, so that the strip shows only what is known. */
  readonly partial: boolean;
}

/** Lays the parts of a price end to end, profit last. What is not known has no stretch. */
export function stripGeometry(strip: StripView): StripGeometry {
  let at = 0;
  const stretches: Stretch[] = strip.parts.map(({ part, figure }) => {
    const from = at;
    at += Math.max(0, Number(figure.amount ?? 0));
    return { part, from, to: at };
  });
  const price = strip.price?.amount == null ? null : Number(strip.price.amount);
  if (price !== null && price > at) stretches.push({ part: 'profit', from: at, to: price });
  const partial = strip.parts.some(({ figure }) => figure.amount === null || figure.partial);
  return { stretches, price, end: at, partial };
}
