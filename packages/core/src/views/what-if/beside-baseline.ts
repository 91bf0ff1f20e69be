import type { Evaluation } from '../../sheet/index.js';

const isFigureView = (value: object): value is { readonly key: string; readonly amount: string | null } =>
  'key' in value && 'amount' in value && 'gaps' in value && typeof value.key === 'string';

/** A view of a what-if, in which each figure that is another there says what it is in the baseline. */
export function besideBaseline(view: unknown, baseline: Evaluation): unknown {
  if (typeof view !== 'object' || view === null) return view;
  if (Array.isArray(view)) return view.map((each) => besideBaseline(each, baseline));
  const parts = Object.entries(view).map(([name, value]) => [name, besideBaseline(value, baseline)] as const);
  const copy: Record<string, unknown> = Object.fromEntries(parts);
  if (!isFigureView(view) || view.key === '' || view.key.includes('#')) return copy;
  const before = baseline.figure(view.key)?.amount?.toFixed() ?? null;
  return before === view.amount ? copy : { ...copy, before };
}
