import { problem, type Problem } from '../../problem/index.js';
import type { BookReader, StoredRow } from '../stored-row.js';
import { billLevels, MOST_LEVELS } from './bill-levels.js';
import { rowLabel } from './rule.js';

type Line = StoredRow<'billLine'>;

/** The format of book files from which on bills have at most so many levels. */
const LEVELS_SINCE = 2;

/**
 * The rules about products inside products, held against all lines that a change links, in one go: no product contains
 * itself, and none has more than the most levels. Every line around is looked at once.
 */
export function billProblems(book: BookReader, linked: readonly Line[], format: number): Problem[] {
  const lines = linked.filter(({ componentId }) => componentId !== null);
  if (lines.length === 0) return [];
  const around = linesAround(book, lines);
  const below = billLevels(usersByComponent(around));
  const loops = lines
    .filter(({ productId, componentId }) => below.looped.has(productId) && below.looped.has(componentId ?? ''))
    .flatMap((line) => loopProblem(book, line, around));
  if (loops.length > 0 || below.looped.size > 0 || format < LEVELS_SINCE) return loops;
  const above = billLevels(componentsByUser(around));
  return lines
    .filter(
      ({ productId, componentId }) => levelsThrough(above.levels, below.levels, productId, componentId) > MOST_LEVELS,
    )
    .map(({ id }) =>
      problem('too-many-levels', {
        kind: 'billLine',
        rowId: id,
        field: 'componentId',
        values: { most: String(MOST_LEVELS) },
      }),
    );
}

const levelsThrough = (
  above: ReadonlyMap<string, number>,
  below: ReadonlyMap<string, number>,
  productId: string,
  componentId: string | null,
) => (above.get(productId) ?? 1) + (below.get(componentId ?? '') ?? 1);

/** All lines with components that lead down from the products of these lines, or up from them. */
function linesAround(book: BookReader, lines: readonly Line[]): Line[] {
  const found = new Map<string, Line>();
  const walk = (from: Iterable<string>, field: 'productId' | 'componentId', next: (line: Line) => string | null) => {
    const seen = new Set(from);
    const open = [...seen];
    for (let id = open.pop(); id !== undefined; id = open.pop()) {
      for (const line of book.rowsWith('billLine', field, id) as readonly Line[]) {
        if (line.componentId === null) continue;
        found.set(line.id, line);
        const reached = next(line);
        if (reached === null || seen.has(reached)) continue;
        seen.add(reached);
        open.push(reached);
      }
    }
  };
  const products = lines.map(({ productId }) => productId);
  walk(products, 'productId', ({ componentId }) => componentId);
  walk(products, 'componentId', ({ productId }) => productId);
  // In one order, so that of several ways of one length the same is told.
  return [...found.values()].sort((one, other) => (one.id < other.id ? -1 : 1));
}

function grouped(pairs: readonly (readonly [of: string, member: string])[]): Map<string, Set<string>> {
  const groups = new Map<string, Set<string>>();
  for (const [of, member] of pairs) groups.set(of, (groups.get(of) ?? new Set<string>()).add(member));
  return groups;
}

const usersByComponent = (lines: readonly Line[]) =>
  grouped(lines.map(({ productId, componentId }) => [componentId ?? '', productId]));
const componentsByUser = (lines: readonly Line[]) =>
  grouped(lines.map(({ productId, componentId }) => [productId, componentId ?? '']));

/** The way from a line's component back to its product, printed; none where the line only leads into a loop. */
function loopProblem(book: BookReader, line: Line, around: readonly Line[]): Problem[] {
  const way = wayBetween(line.componentId ?? '', line.productId, componentsByUser(around));
  if (way === null) return [];
  const names = [line.productId, ...way].map((id) => rowLabel('product', book.row('product', id) ?? {}));
  const values = { loop: names.join(' → ') };
  return [problem('component-loop', { kind: 'billLine', rowId: line.id, field: 'componentId', values })];
}

/** The shortest way down from one product to another, both included; null where there is none. */
function wayBetween(from: string, to: string, componentsOf: ReadonlyMap<string, ReadonlySet<string>>): string[] | null {
  const cameFrom = new Map<string, string | null>([[from, null]]);
  const open = [from];
  for (let index = 0; index < open.length && !cameFrom.has(to); index += 1) {
    const at = open[index] as string;
    for (const component of componentsOf.get(at) ?? []) {
      if (cameFrom.has(component)) continue;
      cameFrom.set(component, at);
      open.push(component);
    }
  }
  if (!cameFrom.has(to)) return null;
  const way: string[] = [];
  for (let at: string | null = to; at !== null; at = cameFrom.get(at) ?? null) way.unshift(at);
  return way;
}
