import type { Sheet } from '../../../sheet/index.js';
import { madeResources, mixComponentUse } from '../mix-component.js';
import type { MixModelOfPlan, ModelTotal } from '../mix-model.js';
import { fixedCostsOfMix } from '../mix-outcome.js';
import { productNameInMix } from '../mix-product.js';
import { resourcesOfMix } from '../mix-quantities.js';
import { unitOfMixResource } from '../mix-resource.js';
import { mixUse } from '../mix-use.js';
import { countsMoney, gapsOfModel, goalOf, lackingOf, modelTotals, plain, plainOr } from '../model-parts.js';
import { mixPeriodDemand } from './mix-period-demand.js';
import { periodsOfMix } from './mix-periods.js';
import { slotId } from './mix-slots.js';
import { subjectOf } from './period-quantity.js';
import { addStock, addSupply } from './schedule-resources.js';
import { type Component, componentOf, type Line, linesOf } from './schedule-terms.js';
import { addProduct, asCost, type Writing } from './schedule-writing.js';

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
    sheet,
    planId,
    goal,
    periods,
    isKnown,
    products: [],
    resources: [],
    uses: [],
    at: new Map(),
    fixed: plain(fixedCosts),
  };
  const lines = linesOf(writing);
  const heads = lines.filter(({ row, headId }) => headId === row.id);
  const components = madeResources(sheet, planId).flatMap((row) => componentOf(writing, row) ?? []);
  for (const line of lines) addLine(writing, line, lines, components);
  for (const component of components) addComponent(writing, component, components);
  for (const row of resourcesOfMix(sheet, planId)) addSupply(writing, row, heads, components);
  for (const head of heads) addStock(writing, head, lines);
  const { products, resources, uses } = writing;
  return {
    model: {
      name: plan?.name ?? '',
      goal,
      isLeast: goal === 'least cost',
      isInPeriods: true,
      fixed: writing.fixed,
      products,
      resources,
      uses,
      totals: totalsOf(writing, lines),
      secondsAtMost: Number(plan?.secondsAtMost ?? '10'),
      gapPercent: Number(plan?.gapPercent ?? '0'),
    },
    gaps: all(),
  };
}

/** True of a goal to which making adds nothing but its cost. */
const isOnlyCost = ({ goal }: Writing): boolean => countsMoney(goal) && goal !== 'least cost';

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
        unit,
        step: line.step,
        lot: line.lot,
        setUpCost: line.setUpCost - ofSetUp,
        name: subjectOf(sheet, `${productNameInMix(sheet, row)} made`, periodId),
        gain: line.madeGain + asCost(writing, (heldFrom[at] ?? 0) - credit),
        useful: usefulFrom(writing, line, lines, at),
        isCost: isOnlyCost(writing),
      });
    });
  periods.forEach((periodId, at) => {
    const { least, most } = sheet.read(mixPeriodDemand, `${row.id}.${periodId}`);
    addProduct(writing, slotId(row.id, periodId, 'sold'), {
      unit,
      least: plain(least),
      most: plainOr(most, null),
      step: line.soldStep,
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
  let needed = closing;
  for (const { row, most } of lines.filter((line) => line.headId === headId)) {
    const demands = periods.slice(from).map((id) => sheet.read(mixPeriodDemand, `${row.id}.${id}`).most);
    const sum = demands.reduce((total, each) => total + plainOr(each, Number.POSITIVE_INFINITY), 0);
    needed += Math.min(sum, most ?? Number.POSITIVE_INFINITY);
  }
  if (!Number.isFinite(needed)) return null;
  const made = Math.max(lot ?? 0, needed);
  return step === null ? made : Math.ceil(made / step - 1e-9) * step;
}

function addComponent(writing: Writing, { row, name, costFrom }: Component, components: readonly Component[]): void {
  const { sheet, periods } = writing;
  periods.forEach((periodId, at) => {
    const credit = components.reduce((total, { row: other, costFrom: cost }) => {
      if (other.id === row.id) return total;
      return total + plain(sheet.read(mixComponentUse, `${row.id}@${other.id}`).perUnit) * (cost[at] ?? 0);
    }, 0);
    addProduct(writing, slotId(row.id, periodId, 'component'), {
      name: subjectOf(sheet, `${name} made`, periodId),
      unit: unitOfMixResource(sheet, row).text,
      gain: asCost(writing, (costFrom[at] ?? 0) - credit),
      isCost: isOnlyCost(writing),
    });
  });
}

/** The totals of the plan, over what is sold in all its periods; the limits of a line for the whole plan are totals of its own. */
function totalsOf(writing: Writing, lines: readonly Line[]): ModelTotal[] {
  const { sheet, planId, periods, at, isKnown } = writing;
  const placesOf = ({ row }: Line) => periods.flatMap((id) => at.get(slotId(row.id, id, 'sold')) ?? []);
  const ofLine = (line: Line, rule: 'at least' | 'at most', units: number): ModelTotal => ({
    id: `${line.row.id}.${rule}`,
    name: `${line.name}, all periods`,
    rule,
    measure: 'units',
    stated: units,
    units,
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
