import type { SaleColumn, SaleLine } from '@nuvar/core';
import { Bar, BarChart, CartesianGrid, Cell, ReferenceLine, XAxis, YAxis } from 'recharts';
import { ChartFrame } from '../../figures/chart-frame.js';
import { written } from '../../figures/format.js';
import { useStyle } from '../../figures/use-style.js';
import { lineWords } from './sale-words.js';

interface Step {
  readonly name: string;
  /** Where the bar stands, from its lower to its upper end. */
  readonly span: readonly [number, number];
  readonly kind: SaleLine['role'];
  readonly isLoss: boolean;
  readonly amount: string;
}

/** The steps from the list price to profit: what is taken stands below what was left before it. Chart geometry: floats are right here. */
export function stepsOf(lines: readonly SaleLine[], scale: SaleColumn): Step[] {
  let left = 0;
  return lines.flatMap((line): Step[] => {
    const text = line.figures[scale]?.amount;
    if (text == null) return [];
    const amount = Number(text);
    if (line.role === 'plus' || line.role === 'minus') {
      if (amount === 0) return [];
      const next = line.role === 'plus' ? left + amount : left - amount;
      const span = [Math.min(left, next), Math.max(left, next)] as const;
      left = next;
      return [{ name: lineWords(line), span, kind: line.role, isLoss: next < 0, amount: text }];
    }
    left = amount;
    return [
      {
        name: lineWords(line),
        kind: line.role,
        isLoss: amount < 0,
        amount: text,
        span: [Math.min(0, amount), Math.max(0, amount)] as const,
      },
    ];
  });
}

/** From the list price to what is kept, step by step. */
export function SaleWaterfall({ lines, scale }: { readonly lines: readonly SaleLine[]; readonly scale: SaleColumn }) {
  const style = useStyle();
  const steps = stepsOf(lines, scale);
  if (steps.length < 2) return null;
  const height = steps.length * 20 + 30;
  const [first, last] = [steps[0], steps.at(-1)];
  const title = `Of ${written(first?.amount ?? '0', 2, style)} paid, ${written(last?.amount ?? '0', 2, style)} is kept`;
  return (
    <ChartFrame title={title} height={height}>
      <BarChart data={steps} layout="vertical" margin={{ left: 8, right: 16, top: 4, bottom: 4 }} barCategoryGap={4}>
        <CartesianGrid horizontal={false} stroke="var(--color-base-300)" />
        <XAxis
          type="number"
          tick={{ fontSize: 11 }}
          stroke="currentColor"
          tickFormatter={(value: number) => written(String(value), 0, style)}
        />
        <YAxis type="category" dataKey="name" width={170} tick={{ fontSize: 12 }} stroke="currentColor" interval={0} />
        <ReferenceLine x={0} stroke="currentColor" />
        <Bar dataKey="span" isAnimationActive={false}>
          {steps.map((step) => (
            <Cell key={step.name} fill={fillOf(step)} stroke="var(--color-base-content)" strokeWidth={0.5} />
          ))}
        </Bar>
      </BarChart>
    </ChartFrame>
  );
}

const fillOf = ({ kind, isLoss }: Step): string =>
  kind === 'total' || kind === 'start'
    ? isLoss
      ? 'var(--color-error)'
      : 'var(--color-primary)'
    : 'var(--color-base-300)';
