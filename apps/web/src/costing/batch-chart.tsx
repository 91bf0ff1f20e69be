import type { StoredRow } from '@nuvar/book';
import type { BatchSizesView } from '@nuvar/core';
import { CartesianGrid, Line, LineChart, ReferenceDot, ReferenceLine, XAxis, YAxis } from 'recharts';
import { acrossAxis, ChartFrame, roundAxis, upAxis } from '../figures/chart-frame.js';
import { manyUnits, written } from '../figures/format.js';
import { useStyle } from '../figures/use-style.js';

interface BatchChartProps {
  readonly view: BatchSizesView;
  readonly rows: readonly StoredRow<'candidateBatch'>[];
  readonly unit: string;
}

/** What one unit costs by the size of its batch, as a curve with the sizes that are compared on it. */
export function BatchChart({ view, rows, unit }: BatchChartProps) {
  const style = useStyle();
  const { currency } = style;
  const started = Number(view.started.amount ?? 0);
  const now = Number(view.fullCost.amount ?? 0);
  const top = Math.min(Math.max(...view.curve.map(({ cost }) => cost)), now * 3);
  const largest = view.curve.at(-1);
  const title =
    view.costPerBatch.amount === '0'
      ? 'The batch size makes no difference: nothing is spent once on each batch'
      : `Larger batches spread the cost of each batch: from ${written(String(now), 2, style)} ${currency} in batches of ${written(String(started), 0, style)} to ${written(String(largest?.cost ?? 0), 2, style)} in batches of ${written(String(largest?.size ?? 0), 0, style)}`;
  return (
    <ChartFrame title={title} height={220}>
      <LineChart data={[...view.curve]} margin={{ top: 8, right: 24, bottom: 22, left: 12 }} accessibilityLayer={false}>
        <CartesianGrid stroke="var(--color-base-300)" vertical={false} />
        <XAxis
          {...acrossAxis(`${manyUnits(unit)} started in a batch`)}
          dataKey="size"
          {...roundAxis(Number(largest?.size ?? 1), style)}
        />
        <YAxis {...upAxis(`full cost, ${currency} a ${unit}`)} {...roundAxis(top, style)} allowDataOverflow />
        <Line dataKey="cost" stroke="var(--color-primary)" strokeWidth={2} dot={false} isAnimationActive={false} />
        <ReferenceLine
          x={started}
          stroke="var(--soft)"
          strokeDasharray="4 3"
          label={{ value: 'now', fill: 'var(--soft)', fontSize: 12, position: 'insideTopRight' }}
        />
        {rows.map(({ id, batchSize }) => {
          const cost = view.sizes[id]?.fullCost.amount;
          if (batchSize === null || cost == null || Number(cost) > top) return null;
          return (
            <ReferenceDot
              key={id}
              x={Number(batchSize)}
              y={Number(cost)}
              r={4}
              fill="var(--color-primary)"
              stroke="var(--color-base-100)"
            />
          );
        })}
      </LineChart>
    </ChartFrame>
  );
}
