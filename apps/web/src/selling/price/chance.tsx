import { RANGE_SHAPES, type StoredRow } from '@nuvar/book';
import {
  CHANCE_FACTORS,
  type ChanceFactor,
  type ChanceRanges,
  factorInput,
  readNumber,
  type SimulationInput,
  type SimulationResult,
} from '@nuvar/core';
import { useMemo } from 'react';
import { useSearchParams } from 'react-router';
import { Bar, BarChart, Cell, ReferenceLine, XAxis, YAxis } from 'recharts';
import { useMayEdit, useSettings } from '../../book/use-book.js';
import { Field, Fields } from '../../controls/fields/fields.js';
import { SelectInput } from '../../controls/fields/select-input.js';
import { TypedInput } from '../../controls/fields/typed-input.js';
import { useView } from '../../engine/use-view.js';
import { acrossAxis, ChartFrame } from '../../figures/chart-frame.js';
import { Empty } from '../../figures/empty.js';
import { decimalSign, typedText, written } from '../../figures/format.js';
import { useStyle } from '../../figures/use-style.js';
import { useWriteRange } from './input-range.js';
import { useSimulation } from './use-simulation.js';

const DRAWS = 10_000;

const FACTOR_WORDS: Readonly<Record<ChanceFactor, string>> = {
  price: 'the price',
  volume: 'units sold',
  materials: 'material prices',
  yield: 'the yield',
  time: 'working time',
  fees: 'fees',
};

/** A whole number of the address, from zero up to a most. */
function useWholeParameter(name: string, otherwise: number, most: number): readonly [number, (value: number) => void] {
  const [parameters, setParameters] = useSearchParams();
  const typed = Number(parameters.get(name) ?? otherwise);
  const value = Number.isInteger(typed) && typed >= 0 && typed <= most ? typed : otherwise;
  const set = (next: number) =>
    setParameters(
      (known) => {
        known.set(name, String(next));
        return known;
      },
      { replace: true },
    );
  return [value, set];
}

/** How sure a price is: what a month may bring if prices, sales, yield and time come out otherwise. */
export function Chance({ point }: { readonly point: StoredRow<'pricePoint'> }) {
  const view = useView('chance', point.id);
  const style = useStyle();
  const [seed, setSeed] = useWholeParameter('seed', 1, 2_000_000_000);
  const [together, setTogether] = useWholeParameter('together', 60, 100);
  const input = useMemo(
    (): SimulationInput | null =>
      view?.model == null
        ? null
        : { model: view.model, ranges: view.ranges, together: together / 100, seed, draws: DRAWS },
    [view, together, seed],
  );
  const { result, refused } = useSimulation(input);
  if (view === undefined) return null;
  if (view.model === null)
    return (
      <Empty>
        To say how sure it is, this needs a price, planned units in this channel, and a cost of which nothing is
        missing.
      </Empty>
    );
  return (
    <>
      {refused !== null && (
        <p className="text-error" role="alert">
          {refused}
        </p>
      )}
      {result !== null && <Outcome result={result} />}
      <h3 className="mt-4 text-section">How far they may lie from what is planned</h3>
      <Ranges pointId={point.id} ranges={view.ranges} />
      <Fields inTwo className="mt-3 max-w-2xl">
        <WholeField
          label="Prices of one supplier move together"
          suffix="%"
          value={together}
          most={100}
          commit={setTogether}
        />
        <WholeField label="Seed" value={seed} most={2_000_000_000} commit={setSeed} />
      </Fields>
      <p className="mt-1 max-w-2xl text-note text-soft">
        {written(String(DRAWS), 0, style)} months are drawn at random; the same seed draws the same ones. Triangular:
        most often as planned, never beyond the ends. Normal: nine in ten between the ends. Uniform: anywhere between
        them.
      </p>
    </>
  );
}

interface WholeFieldProps {
  readonly label: string;
  readonly suffix?: string;
  readonly value: number;
  readonly most: number;
  readonly commit: (value: number) => void;
}

function WholeField({ label, suffix, value, most, commit }: WholeFieldProps) {
  const take = (text: string): string | null => {
    const typed = Number(text.replace('%', '').trim());
    if (!Number.isInteger(typed) || typed < 0 || typed > most) return `${label} is a whole number from 0 to ${most}.`;
    commit(typed);
    return null;
  };
  return (
    <Field label={label}>
      <TypedInput label={label} value={String(value)} numeric commit={take} />
      {suffix !== undefined && <span className="text-soft">{suffix}</span>}
    </Field>
  );
}

function Outcome({ result }: { readonly result: SimulationResult }) {
  const style = useStyle();
  const { currency } = useSettings();
  const say = (value: number, digits = 0) => written(value.toFixed(digits + 2), digits, style);
  const { profit, margin } = result;
  const chance = result.chanceOfLoss * 100;
  const lost = chance === 0 ? 'None of the draws loses money' : `In ${say(chance, 1)} of 100 months it loses money`;
  const [most] = result.explains;
  const bins = result.bins.map(({ from, to, share }) => ({ middle: (from + to) / 2, share: share * 100 }));
  return (
    <>
      <ChartFrame
        title={`${lost}; half of the months leave more than ${say(profit.percentiles.p50)} ${currency}`}
        height={190}
      >
        <BarChart
          data={bins}
          margin={{ top: 8, right: 24, bottom: 22, left: 12 }}
          barCategoryGap={0}
          accessibilityLayer={false}
        >
          <defs>
            <pattern id="loss-hatch" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
              <rect width="2" height="6" fill="var(--color-error)" />
            </pattern>
          </defs>
          <XAxis
            {...acrossAxis(`left of a month, ${currency}`)}
            dataKey="middle"
            domain={[result.bins[0]?.from ?? 0, result.bins.at(-1)?.to ?? 0]}
            tickFormatter={(value: number) => say(value)}
          />
          <YAxis hide />
          <ReferenceLine x={0} stroke="var(--color-base-content)" strokeWidth={1.5} />
          <Bar dataKey="share" isAnimationActive={false}>
            {bins.map(({ middle }) => (
              <Cell key={middle} fill={middle < 0 ? 'url(#loss-hatch)' : 'var(--color-primary)'} />
            ))}
          </Bar>
        </BarChart>
      </ChartFrame>
      <ul className="mt-2 grid gap-1">
        <li>{lost}.</li>
        <li>
          Nine in ten months leave between {say(profit.percentiles.p5)} and {say(profit.percentiles.p95)} {currency}, a
          margin of {say(margin.percentiles.p5, 1)} to {say(margin.percentiles.p95, 1)} %.
        </li>
        {most !== undefined && most.share > 0 && (
          <li>
            What explains most of it is {FACTOR_WORDS[most.factor]} ({say(most.share * 100)} %)
            {result.explains
              .slice(1, 3)
              .filter(({ share }) => share > 0.01)
              .map(({ factor, share }) => `, then ${FACTOR_WORDS[factor]} (${say(share * 100)} %)`)
              .join('')}
            .
          </li>
        )}
      </ul>
    </>
  );
}

function Ranges({ pointId, ranges }: { readonly pointId: string; readonly ranges: ChanceRanges }) {
  return (
    <table className="table mt-1 max-w-2xl">
      <thead>
        <tr>
          <th scope="col">Input</th>
          <th scope="col" className="text-right">
            Lowest, %
          </th>
          <th scope="col" className="text-right">
            Highest, %
          </th>
          <th scope="col">Shape</th>
        </tr>
      </thead>
      <tbody>
        {CHANCE_FACTORS.map((factor) => (
          <RangeRow key={factor} pointId={pointId} factor={factor} range={ranges[factor]} />
        ))}
      </tbody>
    </table>
  );
}

interface RangeRowProps {
  readonly pointId: string;
  readonly factor: ChanceFactor;
  readonly range: ChanceRanges[ChanceFactor];
}

function RangeRow({ pointId, factor, range }: RangeRowProps) {
  const mayEdit = useMayEdit();
  const { locale } = useSettings();
  const words = FACTOR_WORDS[factor];
  const usual = { lowPercent: String(range.low), highPercent: String(range.high), shape: range.shape };
  const write = useWriteRange(pointId, factorInput(factor), usual);
  const end = (field: 'lowPercent' | 'highPercent', value: number, label: string) => (
    <TypedInput
      label={`${label}, ${words}`}
      value={typedText(String(value), locale)}
      numeric
      readOnly={!mayEdit}
      keptAs={`${pointId}.${factor}.${field}`}
      commit={(text) => {
        const read = readNumber(text.replace('%', '').trim(), decimalSign(locale));
        return read === null ? 'Type a number of percent, such as -10 or 15.' : write({ [field]: read.value });
      }}
    />
  );
  return (
    <tr>
      <th scope="row" className="font-normal">
        {words.replace(/^the /, '').replace(/^./, (letter) => letter.toUpperCase())}
      </th>
      <td className="w-24">{end('lowPercent', range.low, 'Lowest')}</td>
      <td className="w-24">{end('highPercent', range.high, 'Highest')}</td>
      <td className="w-40">
        <SelectInput
          label={`Shape, ${words}`}
          value={range.shape}
          options={RANGE_SHAPES.map((shape) => ({ value: shape, label: shape }))}
          disabled={!mayEdit}
          commit={(shape) => write({ shape })}
        />
      </td>
    </tr>
  );
}
