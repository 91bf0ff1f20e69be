import type { MixGoal, RowOf } from '@nuvar/book';
import type { Figure, Gap } from '../../../figure/index.js';
import type { Sheet } from '../../../sheet/index.js';
import { madeResources, mixComponentUse } from '../mix-component.js';
import type { MixModelOfPlan, ModelProduct, ModelResource, ModelTotal, ModelUse } from '../mix-model.js';
import { fixedCostsOfMix } from '../mix-outcome.js';
import { mixProductTerms, nameInMix, outputInMix } from '../mix-product.js';
import { productsOfMix, resourcesOfMix } from '../mix-quantities.js';
import { mixResourceTerms, nameOfResource, unitOfMixResource } from '../mix-resource.js';
import { mixUse } from '../mix-use.js';
import {
  countsMoney,
  countsSetUps,
  gapsOfModel,
  goalOf,
  type IsKnown,
  lackingOf,
  modelTotals,
  plain,
  plainOr,
} from '../model-parts.js';
import { setUpHead } from '../set-up-head.js';
import { isKept, mixPeriodSupply } from './mix-period-supply.js';
import { periodsOfMix } from './mix-periods.js';
import { mixPeriodDemand } from './mix-period-demand.js';
import { mixSlotPlaces, slotId } from './mix-slots.js';
import { expires } from './mix-stock.js';
import { componentPrice, mixHolding, mixStockTerms } from './mix-stock-terms.js';
import { subjectOf } from './period-quantity.js';

/** A model of several periods as it is written. */
interface Writing {
  readonly sheet: Sheet;
  readonly planId: string;
  readonly goal: MixGoal;
  readonly periods: readonly string[];
  readonly isKnown: IsKnown;
  readonly products: ModelProduct[];
  readonly resources: ModelResource[];
  readonly uses: ModelUse[];
  /** By the id of a quantity: its place among the products. */
  readonly at: Map<string, number>;
  /** What is taken off the goal whatever is made: the holding of what is there before. */
  fixed: number;
}

/**
 * The model of a plan of several periods, by the id of the plan: what is made and what is sold of each product in each period are
 * products of their own, a stock is a resource that making adds to and selling takes from, up to the end of each period. Holding
 * is charged to what is made, for all periods from then on, and given back to what is sold; that of the stock that was there
 * before is fixed. So the solver, its reasons and its files need no other program.
 */
export function scheduleModel(sheet: Sheet, planId: string): MixModelOfPlan {
  const plan = sheet.row('mixPlan', planId);
  const goal = goalOf(sheet, planId);
  const { isKnown, all } = gapsOfModel();
  const periods = periodsOfMix(sheet, planId);
  const fixedCosts = goal === 'operating profit' ? fixedCostsOfMix(sheet, planId) : null;
  isKnown(lackingOf([fixedCosts]));
  const writing: Writing = {
    ...{ sheet, planId, goal, periods, isKnown },
    ...{ products: [], resources: [], uses: [], at: new Map(), fixed: plain(fixedCosts) },
  };
  const lines = linesOf(writing);
  const heads = lines.filter(({ row, headId }) => headId === row.id);
  const components = madeResources(sheet, planId).flatMap((row) => componentOf(writing, row) ?? []);
  for (const line of lines) addLine(writing, line, lines, components);
  for (const component of components) addComponent(writing, component, components);
  for (const row of resourcesOfMix(sheet, planId)) addResource(writing, row, heads, components);
  for (const head of heads) addStock(writing, head, lines);
  const { products, resources, uses } = writing;
  return {
    model: {
      ...{ name: plan?.name ?? '', goal, isLeast: goal === 'least cost', isInPeriods: true, fixed: writing.fixed },
      ...{ products, resources, uses },
      totals: totalsOf(writing, lines),
      secondsAtMost: Number(plan?.secondsAtMost ?? '10'),
      gapPercent: Number(plan?.gapPercent ?? '0'),
    },
    gaps: all(),
  };
}

/** A line whose terms are known. */
interface Line {
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
function linesOf(writing: Writing): Line[] {
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
    ...{ row, headId, name: nameInMix(sheet, row), unit: outputInMix(sheet, row).text },
    ...{ soldGain: gains.sold, madeGain: gains.made, setUpCost: plain(setUpCost) },
    heldFrom: fromThenOn(periods.map((_period, at) => plain(rates[at] ?? null))),
    ...{ least: plain(terms.least), most: plainOr(terms.most, null) },
    soldStep: terms.step === null ? null : 1,
    ...{ step: plainOr(terms.batch ?? terms.step, null), lot: plainOr(terms.lot, null) },
    ...{ opening: plain(stock.opening), closing: plain(stock.closing) },
  };
}

/** What selling and making a unit add to the goal, and the figures that say so. */
function gainsOf(
  goal: MixGoal,
  revenue: Figure,
  { netProceeds, makingCost, sellingCost }: { [Of in 'netProceeds' | 'makingCost' | 'sellingCost']: Figure },
) {
  if (goal === 'units') return { figures: [], sold: 1, made: 0 };
  if (goal === 'revenue') return { figures: [revenue], sold: plain(revenue), made: 0 };
  if (goal === 'least cost')
    return { figures: [sellingCost, makingCost], sold: plain(sellingCost), made: plain(makingCost) };
  return { figures: [netProceeds, makingCost], sold: plain(netProceeds), made: -plain(makingCost) };
}

/** By period: the sum from it to the last. */
const fromThenOn = (rates: readonly number[]): number[] =>
  rates.map((_rate, at) => rates.slice(at).reduce((so, rate) => so + rate, 0));

/** A component that can be made. */
interface Component {
  readonly row: RowOf<'mixResource'>;
  readonly name: string;
  /** By period: what one of it costs that is held from its end to the end of the plan; and with what making it costs. */
  readonly heldFrom: readonly number[];
  readonly costFrom: readonly number[];
}

function componentOf({ sheet, goal, periods, isKnown }: Writing, row: RowOf<'mixResource'>): Component | null {
  const price = countsMoney(goal) ? componentPrice(sheet, row) : null;
  const rates = countsMoney(goal) ? periods.map((id) => sheet.read(mixHolding, `${row.id}.${id}`).perUnit) : [];
  if (!isKnown(lackingOf([price, ...rates]))) return null;
  const heldFrom = fromThenOn(periods.map((_period, at) => plain(rates[at] ?? null)));
  return { row, name: nameOfResource(sheet, row), heldFrom, costFrom: heldFrom.map((each) => each + plain(price)) };
}

/** By the goal: a cost counts against it, or makes it up. */
const asCost = ({ goal }: Writing, cost: number) => (goal === 'least cost' ? cost : -cost);

const PLAIN = { lot: null, step: null, batch: null, setUpCost: 0, most: null, least: 0, useful: null, isCost: false };

function addProduct(
  writing: Writing,
  id: string,
  product: Partial<ModelProduct> & Pick<ModelProduct, 'name' | 'unit' | 'gain'>,
) {
  const { products, at, sheet, planId } = writing;
  const place = sheet.read(mixSlotPlaces, planId).get(id) ?? -1;
  at.set(id, products.length);
  products.push({ ...PLAIN, contribution: product.gain, ...product, id, place, setUpWith: products.length });
}

function addLine(writing: Writing, line: Line, lines: readonly Line[], components: readonly Component[]): void {
  const { sheet, periods } = writing;
  const { row, headId, heldFrom, unit } = line;
  if (headId === row.id)
    periods.forEach((periodId, at) => {
      let [credit, ofSetUp] = [0, 0];
      for (const component of components) {
        const { perUnit, forSetUp } = sheet.read(mixUse, `${row.id}@${component.row.id}`);
        credit += plain(perUnit) * (component.costFrom[at] ?? 0);
        ofSetUp += plain(forSetUp) * (component.heldFrom[at] ?? 0);
      }
      addProduct(writing, slotId(row.id, periodId, 'made'), {
        ...{ unit, step: line.step, lot: line.lot, setUpCost: line.setUpCost - ofSetUp },
        name: subjectOf(sheet, `${nameInMix(sheet, { ...row, channelId: null })} made`, periodId),
        gain: line.madeGain + asCost(writing, (heldFrom[at] ?? 0) - credit),
        useful: usefulFrom(writing, line, lines, at),
        isCost: countsMoney(writing.goal) && writing.goal !== 'least cost',
      });
    });
  periods.forEach((periodId, at) => {
    const { least, most } = sheet.read(mixPeriodDemand, `${row.id}.${periodId}`);
    addProduct(writing, slotId(row.id, periodId, 'sold'), {
      ...{ unit, least: plain(least), most: plainOr(most, null), step: line.soldStep },
      name: subjectOf(sheet, `${line.name} sold`, periodId),
      gain: line.soldGain - asCost(writing, heldFrom[at] ?? 0),
    });
  });
}

/**
 * How much of a product could be sold from a period on, with what must be there at the end; null where nothing limits it. To make
 * more never pays: what making costs holds the normal price of all that it takes.
 */
function usefulFrom(
  { sheet, periods }: Writing,
  { headId, closing, step, lot }: Line,
  lines: readonly Line[],
  from: number,
): number | null {
  let total = closing;
  for (const { row, most } of lines.filter((line) => line.headId === headId)) {
    const demands = periods.slice(from).map((id) => sheet.read(mixPeriodDemand, `${row.id}.${id}`).most);
    const sum = demands.reduce((so, each) => so + plainOr(each, Number.POSITIVE_INFINITY), 0);
    total += Math.min(sum, most ?? Number.POSITIVE_INFINITY);
  }
  if (!Number.isFinite(total)) return null;
  const needed = Math.max(lot ?? 0, total);
  return step === null ? needed : Math.ceil(needed / step - 1e-9) * step;
}

function addComponent(writing: Writing, { row, name, costFrom }: Component, components: readonly Component[]): void {
  const { sheet, periods } = writing;
  periods.forEach((periodId, at) => {
    const credit = components.reduce((so, { row: other, costFrom: cost }) => {
      if (other.id === row.id) return so;
      return so + plain(sheet.read(mixComponentUse, `${row.id}@${other.id}`).perUnit) * (cost[at] ?? 0);
    }, 0);
    addProduct(writing, slotId(row.id, periodId, 'component'), {
      name: subjectOf(sheet, `${name} made`, periodId),
      unit: unitOfMixResource(sheet, row).text,
      gain: asCost(writing, (costFrom[at] ?? 0) - credit),
      isCost: countsMoney(writing.goal) && writing.goal !== 'least cost',
    });
  });
}

const SUPPLY = { extra: 0, premium: 0, normalPrice: 0, making: null, isStock: false };

/** A resource in each period: by itself, or of what is kept up to the end of each. */
function addResource(
  writing: Writing,
  row: RowOf<'mixResource'>,
  heads: readonly Line[],
  components: readonly Component[],
): void {
  const { sheet, goal, periods, isKnown, resources } = writing;
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
    resources.push({
      ...SUPPLY,
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
    if (use.perUnit === 0 && use.forSetUp === 0 && gaps.length === 0) return [];
    return periods.map((periodId, period) => ({ id: slotId(rowId, periodId, of), period, ...use }));
  };
  return [
    ...heads.flatMap(({ row }) => {
      const { perUnit, forSetUp } = sheet.read(mixUse, `${row.id}@${id}`);
      return inPeriods(row.id, 'made', perUnit, forSetUp);
    }),
    ...components.flatMap(({ row }) => {
      if (row.id === id) return [];
      const { perUnit } = sheet.read(mixComponentUse, `${row.id}@${id}`);
      return inPeriods(row.id, 'component', perUnit, null);
    }),
  ];
}

/** What a product takes of the resource that was added last. */
function addUse({ uses, at, resources }: Writing, id: string, perUnit: number, forSetUp = 0): void {
  const product = at.get(id);
  if (product !== undefined) uses.push({ product, resource: resources.length - 1, perUnit, forSetUp });
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
  resources.push({ ...SUPPLY, id, name: `Extra ${name} that is used`, unit, available: 0 });
  addUse(writing, id, 1);
  for (const taker of takers) addUse(writing, taker.id, -taker.perUnit, -taker.forSetUp);
}

/** The stock of a product up to the end of each period, and what of it is to be sold by then. */
function addStock(
  writing: Writing,
  { row, headId, unit, opening, closing, heldFrom }: Line,
  lines: readonly Line[],
): void {
  const { sheet, goal, periods, resources } = writing;
  const name = nameInMix(sheet, { ...row, channelId: null });
  const sellers = lines.filter((line) => line.headId === headId);
  if (countsMoney(goal)) writing.fixed += opening * (heldFrom[0] ?? 0);
  const add = (kind: string, words: string, at: number, available: number, sign: 1 | -1, lag: number) => {
    const periodId = periods[at] as string;
    resources.push({
      ...SUPPLY,
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

/** The totals of the plan, over what is sold in all its periods; the limits of a line for the whole plan are totals of its own. */
function totalsOf(writing: Writing, lines: readonly Line[]): ModelTotal[] {
  const { sheet, planId, periods, at, isKnown } = writing;
  const placesOf = ({ row }: Line) => periods.flatMap((id) => at.get(slotId(row.id, id, 'sold')) ?? []);
  const ofLine = (line: Line, rule: 'at least' | 'at most', units: number): ModelTotal => ({
    ...{
      id: `${line.row.id}.${rule}`,
      name: `${line.name}, all periods`,
      rule,
      measure: 'units',
      stated: units,
      units,
    },
    terms: placesOf(line).map((place) => [place, 1] as const),
  });
  return [
    ...modelTotals(sheet, planId, new Map(lines.map((line) => [line.row.id, placesOf(line)])), isKnown),
    ...lines.flatMap((line) => [
      ...(line.least > 0 ? [ofLine(line, 'at least', line.least)] : []),
      ...(line.most === null ? [] : [ofLine(line, 'at most', line.most)]),
    ]),
  ];
}
