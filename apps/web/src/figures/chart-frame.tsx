import type { ReactElement } from 'react';
import { ResponsiveContainer } from 'recharts';

interface ChartFrameProps {
  /** What there is to see, in a sentence. */
  readonly title: string;
  readonly height: number;
  readonly children: ReactElement;
}

/** A chart with the sentence that says what it shows. */
export function ChartFrame({ title, height, children }: ChartFrameProps) {
  return (
    <figure className="chart" aria-label={title}>
      <figcaption className="detail-heading">{title}</figcaption>
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
