import { feasibleArea, type MixFindings, type MixView } from '@nuvar/core';
import { CartesianGrid, ComposedChart, Line, ReferenceDot, XAxis, YAxis } from 'recharts';
import { acrossAxis, ChartFrame, roundAxis, upAxis } from '../../figures/chart-frame.js';
import { useStyle } from '../../figures/use-style.js';

interface FeasibleAreaProps {
  readonly findings: MixFindings;
  readonly view: MixView;
}

/** Of two products: all mixes that fit, as an area, the limits as its edges, the mix by hand and the best one as points. */
export function FeasibleArea({ findings: { model, answer }, view }: FeasibleAreaProps) {
  const style = useStyle();
  const [one, other] = model.products;
  const corners = feasibleArea(model);
  if (one === undefined || other === undefined || corners.length < 2) return null;
  const across = roundAxis(Math.max(1, ...corners.map(([x]) => x)), style);
  const up = roundAxis(Math.max(1, ...corners.map(([, y]) => y)), style);
  const outline = [...corners, corners[0] as readonly [number, number]].map(([x, y]) => ({ x, y }));
  const byHand = [one, other].map(({ place }) => Number(view.products[place]?.quantity ?? 0));
  return (
    <ChartFrame title="All mixes that fit; the heavy point is the best, the light one the mix by hand" height={300}>
      <ComposedChart data={outline} margin={{ left: 8, right: 16, bottom: 22, top: 8 }}>
        <CartesianGrid stroke="var(--color-base-300)" />
        <XAxis {...acrossAxis(one.name)} dataKey="x" {...across} />
        <YAxis {...upAxis(other.name)} dataKey="y" {...up} />
        <Line
          dataKey="y"
          type="linear"
          stroke="var(--color-base-content)"
          strokeWidth={2}
          dot={false}
          isAnimationActive={false}
        />
        <ReferenceDot x={byHand[0] ?? 0} y={byHand[1] ?? 0} r={5} fill="var(--color-base-100)" stroke="var(--soft)" />
        {answer.quantities.length === 2 && (
          <ReferenceDot
            x={answer.quantities[0] ?? 0}
            y={answer.quantities[1] ?? 0}
            r={6}
            fill="var(--color-primary)"
            stroke="var(--color-primary)"
          />
        )}
      </ComposedChart>
    </ChartFrame>
  );
}
