import type { Evaluation } from '../sheet/index.js';
import { ASKED_WITH, isViewName, VIEWS, type ViewName } from '../views/views.js';

/** A figure that a view shows, by its key. */
export interface Shown {
  readonly key: string;
  readonly amount: string | null;
}

/** Every figure in a view that has a key. */
function figuresIn(view: unknown): Shown[] {
  if (typeof view !== 'object' || view === null) return [];
  if ('key' in view && 'amount' in view) return view.key === '' ? [] : [view as Shown];
  return Object.values(view).flatMap(figuresIn);
}

type Asked = (id: string, first: string, evaluation: Evaluation) => string;

/** What views that compare, or that are of two things, are asked with. */
const ASKED_AS: Partial<Record<ViewName, Asked>> = {
  bottleneck: (id) => `${id}@paid`,
  driverUse: (id) => `${id}@batches`,
  mixOutcome: (id) => `${id}@1|2|0|0.5`,
  mixBeside: (id) => `${id}@1|2|0|0.5@0|1|1|2`,
  mixApart: (id, first) => `${id}@${first}`,
  mixUse: (id, _first, { sheet }) => `${id}@${sheet.all('mixResource')[0]?.id ?? ''}`,
  profit: () => '2026-12-01',
  against: (id, first) => `${id}@${first}`,
  comparedShipments: (id, first) => `${first},${id}`,
  landedSales: (id, _first, { sheet }) => `${id}@${sheet.all('channel')[0]?.id ?? ''}`,
};

const askedAs = (name: ViewName, id: string, first: string, evaluation: Evaluation) =>
  ASKED_AS[name]?.(id, first, evaluation) ?? id;

const TRIES: ReadonlySet<string> = new Set([
  ...['sensitivity', 'targetCost', 'chance', 'comingFees'],
  ...['saleLeft', 'discounts', 'productSales', 'bottleneck', 'sameResult'],
]);

/** The figures with a key of every view of a book. */
export function everyFigure(evaluation: Evaluation): Shown[] {
  const { sheet } = evaluation;
  return Object.entries(ASKED_WITH).flatMap(([name, kind]) => {
    if (!isViewName(name)) return [];
    const all = kind === null ? ['book'] : sheet.all(kind).map(({ id }) => id);
    // Those that try much out, or show much of each price, take long: two of them show the same keys as all.
    const ids = TRIES.has(name) ? all.slice(0, 2) : all;
    const [first = ''] = ids;
    return ids.flatMap((id) => figuresIn(VIEWS[name](evaluation, askedAs(name, id, first, evaluation))));
  });
}
