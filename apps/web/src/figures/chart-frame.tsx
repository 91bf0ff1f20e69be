import type { ReactElement } from 'react';
import { ResponsiveContainer } from 'recharts';
import { written, type Style } from '../figures/format.js';
import { roundTicks, tickDigits } from '../figures/round-ticks.js';
import { DetailHeading } from '../figures/detail-heading.js';

interface ChartFrameProps {
  /** What there is to see, in a sentence. */
  readonly title: string;
  readonly height: number;
  readonly children: ReactElement;
}

/** A chart with the sentence that says what it shows. */
export function ChartFrame({ title, height, children }: ChartFrameProps) {
  return (
    <figure className="mt-2" aria-label={title}>
      <DetailHeading as="figcaption">{title}</DetailHeading>
      <ResponsiveContainer width="100%" height={height}>
        {children}
      </ResponsiveContainer>
    </figure>
  );
}

const AXIS = { stroke: 'var(--soft)', fontSize: 12 } as const;
const WORDS = { fill: 'var(--soft)', fontSize: 12 } as const;

/** How the axis at the bottom is drawn, with what it measures. */
export const acrossAxis = (label: string) =>
  ({ ...AXIS, type: 'number', label: { ...WORDS, value: label, position: 'insideBottom', offset: -12 } }) as const;

/** How the axis at the side is drawn, with what it measures. */
export const upAxis = (label: string) =>
  ({
    ...AXIS,
    width: 64,
    label: { ...WORDS, value: label, angle: -90, position: 'insideLeft', style: { textAnchor: 'middle' } },
  }) as const;

/** The round marks of an axis from zero to beyond a value, written as the country does. */
export function roundAxis(most: number, style: Style) {
  const ticks = roundTicks(most);
  const digits = tickDigits(ticks);
  return {
    ticks,
    domain: [0, ticks.at(-1) ?? 1] as [number, number],
    tickFormatter: (value: number) => written(String(value), digits, style),
  };
}
