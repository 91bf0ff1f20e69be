import { newId } from '../new-id.js';

type Rows = Readonly<Record<string, readonly Readonly<Record<string, unknown>>[]>>;

const POOLS = [
  { use: 'production', name: 'Production' },
  { use: 'non-production', name: 'Selling and office' },
];

/**
 * The rows of a book of format 6 as format 7 has them: the planned units of a product become a planned volume, and what a
 * running cost is used for becomes the pool that it is in.
 */
export function withPoolsAndVolumes(rows: Rows): Rows {
  if (!isLists(rows)) return rows;
  const { product = [], runningCost = [], costPool = [], plannedVolume = [] } = rows;
  const uses = new Set(runningCost.map(({ pool }) => pool));
  const pools = POOLS.filter(({ use }) => uses.has(use)).map((pool, position) => ({ id: newId(), position, ...pool }));
  return {
    ...rows,
    product: product.map(({ plannedUnitsPerMonth: _planned, ...row }) => row),
    plannedVolume: [
      ...plannedVolume,
      ...product
        .filter(({ plannedUnitsPerMonth }) => plannedUnitsPerMonth !== undefined && plannedUnitsPerMonth !== null)
        .map(({ id, plannedUnitsPerMonth }) => ({ id: newId(), productId: id, unitsPerMonth: plannedUnitsPerMonth })),
    ],
    costPool: [...costPool, ...pools],
    runningCost: runningCost.map((row) => {
      const found = pools.find(({ use }) => use === row.pool);
      // A use that format 6 did not know stays, and is refused with its name.
      if (found === undefined) return row;
      const { pool: _use, ...fields } = row;
      return { ...fields, poolId: found.id };
    }),
  };
}

/** What is no list of rows is refused later, with its name. */
const isLists = (rows: unknown): rows is Rows =>
  typeof rows === 'object' &&
  rows !== null &&
  ['product', 'runningCost', 'costPool', 'plannedVolume'].every((kind) => {
    const list = (rows as Record<string, unknown>)[kind];
    return list === undefined || (Array.isArray(list) && list.every((row) => typeof row === 'object' && row !== null));
  });
