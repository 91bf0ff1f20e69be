import type { StripView } from '@nuvar/core';
import { Amount } from './amount.js';
import { partKey, partLook } from './part-looks.js';
import { PART_LABELS, stripGeometry, type StripGeometry } from './strip-parts.js';
import { written } from './format.js';
import { useStyle } from './use-style.js';

interface PriceStripProps {
  readonly strip: StripView;
  /** The amount that the full width stands for: strips beside each other share it. */
  readonly scale: number;
  readonly height?: number;
}

const STRETCH = 'absolute inset-y-0 transition-[left,width] duration-200';

/** The amount for which the full width of a strip has to stand, so that price and cost both fit. */
export function scaleOf(strips: readonly StripView[]): number {
  return Math.max(1e-9, ...strips.map(stripGeometry).map(({ price, end }) => Math.max(price ?? 0, end)));
}

/**
 * A price as one band from zero to the price before tax, cut into its parts in a fixed order. What the costs take beyond
 * the price is hatched: each sale loses it.
 */
export function PriceStrip({ strip, scale, height = 18 }: PriceStripProps) {
  const style = useStyle();
  const geometry = stripGeometry(strip);
  const { stretches, price } = geometry;
  const percent = (amount: number) => `${Math.max(0, (amount / scale) * 100)}%`;
  return (
    <div
      className="relative w-full min-w-12"
      style={{ height }}
      role="img"
      aria-label={stripWords(strip, geometry, (amount) => written(amount, 2, style))}
    >
      {stretches.map(({ part, from, to }) => (
        <div
          key={part}
          data-part={part}
          className={`${STRETCH} ${partLook(part)}`}
          style={{ left: percent(from), width: percent(to - from) }}
          title={PART_LABELS[part]}
        />
      ))}
      {price !== null && geometry.end > price && (
        <div
          data-part="loss"
          className={`${STRETCH} ${partLook('loss')}`}
          style={{ left: percent(price), width: percent(geometry.end - price) }}
          title="Loss: the costs go beyond the price"
        />
      )}
      {price !== null && (
        <div
          className="absolute -inset-y-[3px] w-0.5 -translate-x-px bg-base-content"
          style={{ left: percent(price) }}
        />
      )}
    </div>
  );
}

function stripWords(strip: StripView, { price, partial }: StripGeometry, say: (amount: string) => string): string {
  const parts = strip.parts.map(
    ({ part, figure }) => `${PART_LABELS[part]} ${figure.amount === null ? 'not known' : say(figure.amount)}`,
  );
  const profit = strip.profit?.amount;
  const result =
    profit == null ? [] : [profit.startsWith('-') ? `loss ${say(profit.slice(1))}` : `left ${say(profit)}`];
  const total = price === null ? 'no price yet' : `price before tax ${say(strip.price?.amount ?? '0')}`;
  return [total, ...parts, ...result, ...(partial ? ['some of it is not known yet'] : [])].join(', ');
}

interface StripLegendProps {
  /** The strip whose amounts stand beside the words; none where the words serve many strips. */
  readonly strip?: StripView;
}

const LEGEND = ['materials', 'labour', 'other', 'equipment', 'overhead', 'fees', 'profit', 'loss'] as const;

/** What the parts of the strips on a screen mean, and for a single strip how much each of them is. */
export function StripLegend({ strip }: StripLegendProps) {
  const isLoss = strip?.profit?.amount?.startsWith('-') ?? false;
  const shown = strip === undefined ? LEGEND : LEGEND.filter((part) => part !== (isLoss ? 'profit' : 'loss'));
  const figureOf = (part: (typeof LEGEND)[number]) =>
    part === 'profit' || part === 'loss' ? strip?.profit : strip?.parts.find((each) => each.part === part)?.figure;
  return (
    <ul className="flex flex-wrap gap-x-4 gap-y-1 text-note text-soft" aria-label="Parts of a price">
      {shown.map((part) => (
        <li key={part}>
          <span className={partKey(part)} />
          {PART_LABELS[part]}
          {strip !== undefined && (
            <Amount figure={figureOf(part) ?? undefined} digits={2} className="ml-1.5 text-section text-base-content" />
          )}
        </li>
      ))}
    </ul>
  );
}
