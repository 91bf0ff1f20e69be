import type { StripView } from '@nuvar/core';
import type { ReactNode } from 'react';
import { PART_LABELS, stripGeometry, type StripGeometry } from './strip-parts.js';
import { written } from './format.js';
import { useStyle } from './use-style.js';

interface PriceStripProps {
  readonly strip: StripView;
  /** The amount that the full width stands for: strips beside each other share it. */
  readonly scale: number;
  readonly height?: number;
  /** Stands at the price end: the handle by which it can be dragged. */
  readonly children?: ReactNode;
}

/** The amount for which the full width of a strip has to stand, so that price and cost both fit. */
export function scaleOf(strips: readonly StripView[]): number {
  return Math.max(1e-9, ...strips.map(stripGeometry).map(({ price, end }) => Math.max(price ?? 0, end)));
}

/**
 * A price as one band from zero to the price before tax, cut into its parts in a fixed order. What the costs take beyond
 * the price is hatched: each sale loses it.
 */
export function PriceStrip({ strip, scale, height = 18, children }: PriceStripProps) {
  const style = useStyle();
  const geometry = stripGeometry(strip);
  const { stretches, price } = geometry;
  const percent = (amount: number) => `${Math.max(0, (amount / scale) * 100)}%`;
  return (
    <div
      className="strip"
      style={{ height }}
      role="img"
      aria-label={stripWords(strip, geometry, (amount) => written(amount, 2, style))}
    >
      {stretches.map(({ part, from, to }) => (
        <div
          key={part}
          className={`strip-part part-${part}`}
          style={{ left: percent(from), width: percent(to - from) }}
          title={PART_LABELS[part]}
        />
      ))}
      {price !== null && geometry.end > price && (
        <div
          className="strip-loss"
          style={{ left: percent(price), width: percent(geometry.end - price) }}
          title="Loss: the costs go beyond the price"
        />
      )}
      {price !== null && <div className="strip-end" style={{ left: percent(price) }} />}
      {children}
    </div>
  );
}

function stripWords(strip: StripView, { price, end, partial }: StripGeometry, say: (amount: string) => string): string {
  const parts = strip.parts.map(
    ({ part, figure }) => `${PART_LABELS[part]} ${figure.amount === null ? 'not known' : say(figure.amount)}`,
  );
  const profit = strip.profit?.amount;
  const result =
    profit == null ? [] : [profit.startsWith('-') ? `loss ${say(profit.slice(1))}` : `left ${say(profit)}`];
  const total =
    price === null ? `cost ${say(String(end))}, no price yet` : `price before tax ${say(strip.price?.amount ?? '0')}`;
  return [total, ...parts, ...result, ...(partial ? ['some of it is not known yet'] : [])].join(', ');
}

/** What the parts of the strips on a screen mean. */
export function StripLegend() {
  const parts = ['materials', 'labour', 'other', 'overhead', 'fees', 'profit', 'loss'] as const;
  return (
    <ul className="flex flex-wrap gap-x-4 gap-y-1 text-sm text-soft" aria-label="Parts of a price">
      {parts.map((part) => (
        <li key={part} className="flex items-center gap-1.5">
          <span className={`strip-key ${part === 'loss' ? 'strip-loss-key' : `part-${part}`}`} />
          {PART_LABELS[part]}
        </li>
      ))}
    </ul>
  );
}
