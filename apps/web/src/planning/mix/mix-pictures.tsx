import {
  type CurvePoint,
  type MixExplanation,
  type MixFindings,
  type MixModel,
  type MixView,
  oneInWords,
} from '@nuvar/core';
import { useEffect, useState } from 'react';
import { Bar, BarChart, CartesianGrid, Line, LineChart, ReferenceDot, ReferenceLine, XAxis, YAxis } from 'recharts';
import { useSettings } from '../../book/use-book.js';
import { acrossAxis, ChartFrame, roundAxis, upAxis } from '../../figures/chart-frame.js';
import { DetailHeading } from '../../figures/detail-heading.js';
import { unitWords, written } from '../../figures/format.js';
import { useStyle } from '../../figures/use-style.js';
import { FeasibleArea } from './feasible-area.js';
import { ask } from './solver.js';
import { ResourceChoice } from './resource-choice.js';
import type { MixSearch } from './use-mix-search.js';
import { amountText, moneyText } from './words.js';

interface MixPicturesProps {
  readonly view: MixView;
  readonly search: MixSearch;
  readonly best: readonly string[] | null;
}

/** Pictures of a mix: quantities now and best, what each amount of one resource would bring, and two products against each other. */
export function MixPictures({ view, search, best }: MixPicturesProps) {
  const { findings } = search;
  if (best === null || findings === null) return null;
  const { model, explanation } = findings;
  return (
    <section className="mt-5" aria-label="Pictures">
      <div className="grid gap-x-10 desk:grid-cols-2">
        <Quantities view={view} best={best} />
        {explanation !== null && <Gain explanation={explanation} model={model} />}
        {model.products.length === 2 && <FeasibleArea findings={findings} view={view} />}
      </div>
    </section>
  );
}

const MOST_BARS = 30;

/** Each product by hand and in the best mix, as two bars; of many products those of which anything is made. */
function Quantities({ view, best }: { readonly view: MixView; readonly best: readonly string[] }) {
  const style = useStyle();
  const all = view.products.map(({ name, quantity }, index) => ({
    name,
    'by hand': Number(quantity),
    best: Number(best[index] ?? 0),
  }));
  const data =
    all.length <= MOST_BARS ? all : all.filter((each) => each['by hand'] > 0 || each.best > 0).slice(0, MOST_BARS);
  const most = Math.max(1, ...data.map((each) => Math.max(each['by hand'], each.best)));
  const { ticks, domain, tickFormatter } = roundAxis(most, style);
  const bar = { isAnimationActive: false, barSize: 8 } as const;
  return (
    <ChartFrame title="Quantities by hand (grey) and in the best mix" height={Math.max(160, data.length * 34 + 60)}>
      <BarChart data={data} layout="vertical" margin={{ left: 8, right: 16, bottom: 22, top: 4 }}>
        <CartesianGrid stroke="var(--color-base-300)" horizontal={false} />
        <XAxis {...acrossAxis('units')} ticks={ticks} domain={domain} tickFormatter={tickFormatter} />
        <YAxis type="category" dataKey="name" width={190} stroke="var(--soft)" fontSize={12} />
        <Bar dataKey="by hand" fill="var(--soft)" {...bar} />
        <Bar dataKey="best" fill="var(--color-primary)" {...bar} />
      </BarChart>
    </ChartFrame>
  );
}

/** What the goal comes to for every amount of one resource, with its kinks. */
function Gain({ explanation, model }: Pick<MixFindings, 'model'> & { readonly explanation: MixExplanation }) {
  const binding = explanation.resources.filter(({ up, down }) => up !== 0 || down !== 0);
  const [chosen, choose] = useState(binding[0]?.at ?? 0);
  const [curve, setCurve] = useState<{ readonly of: number; readonly points: readonly CurvePoint[] } | null>(null);
  useEffect(() => {
    const asked = ask({ of: 'curve', model, resource: chosen }, (reply) => {
      if (reply.said === 'curve') setCurve({ of: chosen, points: reply.points });
    });
    return () => asked.stop();
  }, [model, chosen]);
  return (
    <div>
      <DetailHeading>
        <label className="flex items-center gap-2">
          What more or less of it would bring:
          <ResourceChoice label="Resource of the gain curve" model={model} value={chosen} choose={choose} />
        </label>
      </DetailHeading>
      {curve?.of === chosen && curve.points.length > 1 && (
        <Curve points={curve.points} model={model} resource={chosen} />
      )}
    </div>
  );
}

interface CurveProps {
  readonly points: readonly CurvePoint[];
  readonly model: MixModel;
  readonly resource: number;
}

function Curve({ points, model, resource }: CurveProps) {
  const style = useStyle();
  const { currency } = useSettings();
  const { name = '', unit = '', available = 0 } = model.resources[resource] ?? {};
  const most = Math.max(available, ...points.map(({ at }) => at)) * 1.05;
  const last = points.at(-1);
  const drawn = last === undefined || last.at >= most ? points : [...points, { at: most, value: last.value, slope: 0 }];
  const across = roundAxis(most, style);
  const values = drawn.map(({ value }) => value);
  const [low, high] = [Math.min(0, ...values), Math.max(0, ...values)];
  const isUnits = model.goal === 'units';
  return (
    <>
      <ChartFrame title={`The goal for every amount of ${name}; the line is what there is now`} height={230}>
        <LineChart data={[...drawn]} margin={{ left: 8, right: 16, bottom: 22, top: 8 }}>
          <CartesianGrid stroke="var(--color-base-300)" />
          <XAxis
            {...acrossAxis(unitWords(unit))}
            dataKey="at"
            ticks={across.ticks}
            domain={across.domain}
            tickFormatter={across.tickFormatter}
          />
          <YAxis
            {...upAxis(isUnits ? 'units' : currency)}
            domain={[low, high]}
            tickFormatter={(value: number) => written(String(Math.round(value)), 0, style)}
          />
          <ReferenceLine x={available} stroke="var(--color-base-content)" strokeWidth={2} />
          <Line
            dataKey="value"
            type="linear"
            stroke="var(--color-primary)"
            strokeWidth={2}
            dot
            isAnimationActive={false}
          />
          {low < 0 && <ReferenceDot x={0} y={0} r={0} />}
        </LineChart>
      </ChartFrame>
      <table className="table w-auto" aria-label={`What one more of ${name} brings`}>
        <thead>
          <tr>
            <th scope="col">From</th>
            <th scope="col">To</th>
            <th scope="col" className="text-right">
              One {oneInWords(unit)} more brings
            </th>
          </tr>
        </thead>
        <tbody>
          {drawn.slice(0, -1).map(({ at, slope }, index) => (
            <tr key={at}>
              <td className="figure">{amountText(at, style)}</td>
              <td className="figure">
                {index === drawn.length - 2 ? 'and more' : amountText(drawn[index + 1]?.at ?? at, style)}
              </td>
              <td className="figure text-right">{isUnits ? amountText(slope, style) : moneyText(slope, style)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </>
  );
}
