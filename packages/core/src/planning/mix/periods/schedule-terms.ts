import type { MixGoal, RowOf } from '@nuvar/book';
import type { Figure } from '../../../figure/index.js';
import { mixProductTerms, nameInMix, outputInMix } from '../mix-product.js';
import { productsOfMix } from '../mix-quantities.js';
import { nameOfResource } from '../mix-resource.js';
import { countsMoney, countsSetUps, lackingOf, plain, plainOr } from '../model-parts.js';
import { setUpHead } from '../set-up-head.js';
import { componentPrice, mixHolding, mixStockTerms, type MixStockTerms } from './mix-stock-terms.js';
import type { Writing } from './schedule-writing.js';

/** A line whose terms are known. */
export interface Line {
  readonly row: RowOf<'mixProduct'>;
  readonly headId: string;
  readonly name: string;
  readonly unit: string;
  /** What selling and making a unit add to the goal, without holding. */
  readonly soldGain: number;
  readonly madeGain: number;
  /** By period: what a unit costs that is held from its end to the end of the plan. */
  readonly heldFrom: readonly number[];
  readonly most: number | null;
  readonly least: number;
  /** In what it is made whole, and in what it is sold. */
  readonly step: number | null;
  readonly soldStep: number | null;
  readonly lot: number | null;
  readonly setUpCost: number;
  readonly opening: number;
  readonly closing: number;
}

/** The lines of a plan of which everything is known that its goal needs; those of a product whose first line lacks something are left out. */
export function linesOf(writing: Writing): Line[] {
  const lines = productsOfMix(writing.sheet, writing.planId).flatMap((row) => lineOf(writing, row) ?? []);
  return lines.filter(({ headId }) => lines.some(({ row }) => row.id === headId));
}

function lineOf({ sheet, goal, periods, isKnown }: Writing, row: RowOf<'mixProduct'>): Line | null {
  const terms = sheet.read(mixProductTerms, row.id);
  const stock = sheet.read(mixStockTerms, row.id);
  const headId = setUpHead(sheet, row);
  const rates = countsMoney(goal) ? periods.map((id) => sheet.read(mixHolding, `${headId}.${id}`).perUnit) : [];
  const gains = gainsOf(goal, terms.revenue, stock);
  const setUpCost = countsSetUps(goal) ? terms.setUpCost : null;
  if (!isKnown(lackingOf([...gains.figures, ...rates, setUpCost, terms.step, terms.batch]))) return null;
  return {
    row,
    headId,
    name: nameInMix(sheet, row),
    unit: outputInMix(sheet, row).text,
    soldGain: gains.sold,
    madeGain: gains.made,
    setUpCost: plain(setUpCost),
    heldFrom: fromThenOn(periods.map((_period, at) => plain(rates[at] ?? null))),
    least: plain(terms.least),
    most: plainOr(terms.most, null),
    step: plainOr(terms.batch ?? terms.step, null),
    soldStep: terms.step === null ? null : 1,
    lot: plainOr(terms.lot, null),
    opening: plain(stock.opening),
    closing: plain(stock.closing),
  };
}

/** What selling and making a unit add to the goal, and the figures that say so. */
function gainsOf(
  goal: MixGoal,
  revenue: Figure,
  { netProceeds, makingCost, sellingCost }: MixStockTerms,
): { readonly figures: readonly Figure[]; readonly sold: number; readonly made: number } {
  if (goal === 'units') return { figures: [], sold: 1, made: 0 };
  if (goal === 'revenue') return { figures: [revenue], sold: plain(revenue), made: 0 };
  if (goal === 'least cost')
    return { figures: [sellingCost, makingCost], sold: plain(sellingCost), made: plain(makingCost) };
  return { figures: [netProceeds, makingCost], sold: plain(netProceeds), made: -plain(makingCost) };
}

/** By period: the sum from it to the last. */
const fromThenOn = (rates: readonly number[]): number[] =>
  rates.map((_rate, at) => rates.slice(at).reduce((total, rate) => total + rate, 0));

/** A component that can be made. */
export interface Component {
  readonly row: RowOf<'mixResource'>;
  readonly name: string;
  /** By period: what one of it costs that is held from its end to the end of the plan; and with what making it costs. */
  readonly heldFrom: readonly number[];
  readonly costFrom: readonly number[];
}

export function componentOf({ sheet, goal, periods, isKnown }: Writing, row: RowOf<'mixResource'>): Component | null {
  const price = countsMoney(goal) ? componentPrice(sheet, row) : null;
  const rates = countsMoney(goal) ? periods.map((id) => sheet.read(mixHolding, `${row.id}.${id}`).perUnit) : [];
  if (!isKnown(lackingOf([price, ...rates]))) return null;
  const heldFrom = fromThenOn(periods.map((_period, at) => plain(rates[at] ?? null)));
  return { row, name: nameOfResource(sheet, row), heldFrom, costFrom: heldFrom.map((each) => each + plain(price)) };
}
