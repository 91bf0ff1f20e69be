import type { RowOf } from '@nuvar/book';
import type { Figure, Gap } from '../../../figure/index.js';
import { mixComponentUse } from '../mix-component.js';
import { productNameInMix } from '../mix-product.js';
import { mixResourceTerms, nameOfResource, unitOfMixResource } from '../mix-resource.js';
import { takersThatMake } from '../mix-takers.js';
import { countsMoney, lackingOf, plain } from '../model-parts.js';
import { isKept, mixPeriodSupply } from './mix-period-supply.js';
import { slotId } from './mix-slots.js';
import { expires } from './mix-stock.js';
import { subjectOf } from './period-quantity.js';
import type { Component, Line } from './schedule-terms.js';
import { addProduct, addResource, addUse, asCost, type Writing } from './schedule-writing.js';

/** A resource in each period: by itself, or of what is kept up to the end of each. */
export function addSupply(
  writing: Writing,
  row: RowOf<'mixResource'>,
  heads: readonly Line[],
  components: readonly Component[],
): void {
  const { sheet, goal, periods, isKnown } = writing;
  const supplies = periods.map((id) => sheet.read(mixPeriodSupply, `${row.id}.${id}`));
  const { normalPrice } = sheet.read(mixResourceTerms, row.id);
  const takers = takersOf(writing, row, heads, components);
  const figures = supplies.flatMap(({ available, premium }) => [available, countsMoney(goal) ? premium : null]);
  if (!isKnown([...lackingOf(figures), ...takers.flatMap(({ gaps }) => gaps)])) return;
  const component = components.find((each) => each.row.id === row.id);
  const kept = isKept(row);
  let there = 0;
  periods.forEach((periodId, at) => {
    const { available, extra, premium } = supplies[at] as (typeof supplies)[number];
    there = plain(available) + (kept ? there : 0);
    writing.fixed += (component?.heldFrom[at] ?? 0) * plain(available);
    addResource(writing, {
      id: `${row.id}.${periodId}`,
      name: subjectOf(sheet, nameOfResource(sheet, row), periodId),
      unit: unitOfMixResource(sheet, row).text,
      available: there,
      normalPrice: plain(normalPrice),
      ...(kept || premium === null ? {} : { extra: plain(extra), premium: countsMoney(goal) ? plain(premium) : 0 }),
    });
    for (const { id, period, perUnit, forSetUp } of takers)
      if (kept ? period <= at : period === at) addUse(writing, id, perUnit, forSetUp);
    if (component !== undefined)
      for (const each of periods.slice(0, at + 1)) addUse(writing, slotId(row.id, each, 'component'), -1);
  });
  if (kept && component === undefined) addPurchase(writing, row, takers);
}

/** Who takes of a resource in which period, and how much. */
interface Taker {
  readonly id: string;
  readonly period: number;
  readonly perUnit: number;
  readonly forSetUp: number;
  readonly gaps: readonly Gap[];
}

function takersOf(
  { sheet, periods }: Writing,
  { id }: RowOf<'mixResource'>,
  heads: readonly Line[],
  components: readonly Component[],
): Taker[] {
  const inPeriods = (rowId: string, of: 'made' | 'component', perUnit: Figure, forSetUp: Figure | null) => {
    const gaps = lackingOf([perUnit, forSetUp]);
    const use = { perUnit: plain(perUnit), forSetUp: plain(forSetUp), gaps };
    return periods.map((periodId, period) => ({ id: slotId(rowId, periodId, of), period, ...use }));
  };
  const known = new Set(heads.map(({ row }) => row.id));
  return [
    ...takersThatMake(sheet, id).flatMap(({ lineId, perUnit, forSetUp }) =>
      known.has(lineId) ? inPeriods(lineId, 'made', perUnit, forSetUp) : [],
    ),
    ...components.flatMap(({ row }) => {
      if (row.id === id) return [];
      const { perUnit } = sheet.read(mixComponentUse, `${row.id}@${id}`);
      return inPeriods(row.id, 'component', perUnit, null);
    }),
  ];
}

/** The extra of something kept: bought once for all periods. What is cheaper than the normal supply is bought no further than it is used. */
function addPurchase(writing: Writing, row: RowOf<'mixResource'>, takers: readonly Taker[]): void {
  const { sheet, goal, periods, resources, uses } = writing;
  const [first = ''] = periods;
  const { extra, premium } = sheet.read(mixPeriodSupply, `${row.id}.${first}`);
  if (extra === null || premium === null) return;
  const [name, unit] = [nameOfResource(sheet, row), unitOfMixResource(sheet, row).text];
  const id = `${row.id}.bought`;
  const each = countsMoney(goal) ? plain(premium) : 0;
  addProduct(writing, id, { name: `Extra ${name}`, unit, gain: asCost(writing, each), most: plain(extra) });
  const product = writing.at.get(id) as number;
  const from = resources.length - periods.length;
  periods.forEach((_period, at) => uses.push({ product, resource: from + at, perUnit: -1, forSetUp: 0 }));
  if (each >= 0) return;
  addResource(writing, { id, name: `Extra ${name} that is used`, unit, available: 0 });
  addUse(writing, id, 1);
  for (const taker of takers) addUse(writing, taker.id, -taker.perUnit, -taker.forSetUp);
}

/** The stock of a product up to the end of each period, and what of it is to be sold by then. */
export function addStock(
  writing: Writing,
  { row, headId, unit, opening, closing, heldFrom }: Line,
  lines: readonly Line[],
): void {
  const { sheet, goal, periods } = writing;
  const name = productNameInMix(sheet, row);
  const sellers = lines.filter((line) => line.headId === headId);
  if (countsMoney(goal)) writing.fixed += opening * (heldFrom[0] ?? 0);
  const add = (kind: string, words: string, at: number, available: number, sign: 1 | -1, lag: number) => {
    const periodId = periods[at] as string;
    addResource(writing, {
      id: `${row.id}.${periodId}.${kind}`,
      name: subjectOf(sheet, `${name} ${words}`, periodId),
      unit,
      available,
      isStock: true,
    });
    periods.slice(0, at + 1).forEach((each, index) => {
      for (const seller of sellers) addUse(writing, slotId(seller.row.id, each, 'sold'), sign);
      if (index <= at - lag) addUse(writing, slotId(row.id, each, 'made'), -sign);
    });
  };
  periods.forEach((_period, at) => {
    add('stock', 'in stock', at, opening - (at === periods.length - 1 ? closing : 0), 1, 0);
    if (expires(row.keepsFor, at)) add('kept', 'to be sold within its shelf life', at, 0 - opening, -1, row.keepsFor);
  });
}
