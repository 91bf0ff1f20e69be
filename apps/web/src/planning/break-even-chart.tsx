import type { CandidateView } from '@nuvar/core';
import { useMemo, useSyncExternalStore } from 'react';
import { CartesianGrid, Line, LineChart, ReferenceDot, ReferenceLine, XAxis, YAxis } from 'recharts';
import { engine } from '../engine/engine.js';
import { acrossAxis, ChartFrame, roundAxis, upAxis } from '../figures/chart-frame.js';
import { manyUnits, typedText, written } from '../figures/format.js';
import { useStyle } from '../figures/use-style.js';

/** A price of which the chart draws a line: the set price, or one to compare. */
export interface ComparedPrice {
  readonly id: string;
  readonly price: string | null;
}

interface BreakEvenChartProps {
  readonly prices: readonly ComparedPrice[];
  readonly against: 'ofBook' | 'ofShare' | 'ofCash';
  readonly unit: string;
}

const DASHES = ['', '7 3', '2 3', '9 3 2 3', '12 4', '4 4'];

interface Ray {
  readonly id: string;
  readonly price: string;
  readonly contribution: number;
  /** Where the ray meets the fixed cost, for the picture. */
  readonly units: number | null;
  /** The whole units of break-even, as core has rounded them. */
  readonly wholeUnits: string | null;
  readonly dash: string;
}

/** What the sales of a month leave at each candidate price, against the fixed cost. Geometry only: binary floats serve. */
export function BreakEvenChart({ prices, against, unit }: BreakEvenChartProps) {
  const views = useCandidateViews(prices.map(({ id }) => id));
  const style = useStyle();
  const { locale, currency } = style;
  const rays = prices.flatMap(({ id, price }, index): Ray[] => {
    const view = views[index];
    if (price === null || view?.contribution.amount == null) return [];
    const units = view[against].exactUnits.amount;
    return [
      {
        id,
        price: typedText(price, locale),
        contribution: Number(view.contribution.amount),
        units: units === null ? null : Number(units),
        wholeUnits: view[against].units.amount,
        dash: DASHES[index % DASHES.length] ?? '',
      },
    ];
  });
  const fixed = Number(views[0]?.[against].fixedCost.amount ?? 0);
  const reached = rays.map((ray) => ray.units ?? 0);
  const across = roundAxis(Math.max(10, ...reached.map((units) => units * 1.1)), style);
  if (rays.length === 0 || fixed <= 0) return null;
  const points = across.domain.map((units) => ({
    units,
    ...Object.fromEntries(rays.map((ray) => [ray.id, ray.contribution * units])),
  }));
  const best = rays.filter((ray) => ray.units !== null).sort((one, other) => (one.units ?? 0) - (other.units ?? 0))[0];
  const title =
    best === undefined
      ? 'None of these prices ever covers the fixed cost'
      : `The fixed cost is covered soonest at ${best.price} ${currency}: from ${written(best.wholeUnits ?? '0', 0, style)} a month on`;
  return (
    <ChartFrame title={title} height={230}>
      <LineChart data={points} margin={{ top: 8, right: 64, bottom: 22, left: 12 }} accessibilityLayer={false}>
        <CartesianGrid stroke="var(--color-base-300)" vertical={false} />
        <XAxis {...acrossAxis(`${manyUnits(unit)} sold a month`)} dataKey="units" {...across} />
        <YAxis
          {...upAxis(`left of the sales, ${currency} a month`)}
          {...roundAxis(fixed * 1.35, style)}
          allowDataOverflow
        />
        <ReferenceLine
          y={fixed}
          stroke="var(--color-base-content)"
          strokeWidth={1.5}
          label={{ value: 'fixed cost', position: 'insideTopLeft', fill: 'var(--color-base-content)', fontSize: 12 }}
        />
        {rays.map((ray) => (
          <Line
            key={ray.id}
            dataKey={ray.id}
            dot={false}
            stroke="var(--color-primary)"
            strokeWidth={1.75}
            strokeDasharray={ray.dash}
            isAnimationActive={false}
          />
        ))}
        {rays.map(
          (ray) =>
            ray.units !== null && (
              <ReferenceDot
                key={ray.id}
                x={ray.units}
                y={fixed}
                r={4}
                fill="var(--color-base-100)"
                stroke="var(--color-primary)"
                strokeWidth={2}
                label={{ value: ray.price, position: 'top', fill: 'var(--color-base-content)', fontSize: 12 }}
              />
            ),
        )}
      </LineChart>
    </ChartFrame>
  );
}

/** The views of all candidates; a chart needs them together. */
function useCandidateViews(ids: readonly string[]): (CandidateView | undefined)[] {
  const keys = ids.join(' ');
  const watched = useMemo(() => watchAll(keys === '' ? [] : keys.split(' ')), [keys]);
  return useSyncExternalStore(watched.subscribe, watched.views);
}

function watchAll(ids: readonly string[]) {
  const read = () => ids.map((id) => engine.view<'candidate'>(`candidate/${id}`));
  let known = read();
  return {
    views: () => {
      const now = read();
      if (now.some((view, index) => view !== known[index])) known = now;
      return known;
    },
    subscribe: (listener: () => void) => {
      const leave = ids.map((id) => engine.watch(`candidate/${id}`, listener));
      return () => leave.forEach((each) => each());
    },
  };
}
