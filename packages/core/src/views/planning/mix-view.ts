import type { MixTotalMeasure, MixTotalRule } from '@nuvar/book';
import { compared, decimal, type Decimal, ZERO } from '../../number/index.js';
import {
  isInPeriods,
  madeOf,
  mixAgainst,
  mixBeside,
  mixOutcome,
  mixPlansApart,
  mixProductTerms,
  mixTotalOutcome,
  productsOfMix,
  resourcesOfMix,
  withQuantities,
} from '../../planning/index.js';
import type { Evaluation } from '../../sheet/index.js';
import { type FigureView, shown, shownAll } from '../general/figure-view.js';
import { mixBrings } from './mix-brings.js';
import { isBeyond } from './mix-measures.js';
import { type MixNote, mixNotes } from './mix-notes.js';
import { type MixProductView, productsOf } from './mix-products-view.js';
import { type MixResourceView, type MixSupplyView, resourceOf, supplyOf } from './mix-resource-view.js';
import { type MixScheduleView, type MixSlotView, scheduleOf, slotsOf } from './mix-schedule-view.js';

const OUTCOME = [
  'goal',
  'contribution',
  'setUps',
  'extra',
  'holding',
  'profit',
  'fixedCosts',
  'operatingProfit',
  'revenue',
  'units',
  'cost',
] as const;
type OutcomeMember = (typeof OUTCOME)[number];

export interface MixTotalView {
  readonly id: string;
  readonly name: string;
  readonly rule: MixTotalRule;
  readonly measure: MixTotalMeasure;
  /** The limit as it was entered: units, or percent of all. */
  readonly stated: FigureView;
  readonly units: FigureView;
  readonly limit: FigureView;
  readonly isBroken: boolean;
}

/** What a mix comes to: its goal, and what it takes of each resource and total. */
export interface MixOutcomeView {
  readonly outcome: Readonly<Record<OutcomeMember, FigureView>>;
  /** What each product brings to the goal, set-up and all, in the order of the products; null where it is not known. */
  readonly brings: readonly (string | null)[];
  readonly resources: readonly MixResourceView[];
  readonly totals: readonly MixTotalView[];
  /** What is made, sold and in stock in each period; null of a plan of one. */
  readonly schedule: MixScheduleView | null;
  /** The resource that runs out first when all quantities grow alike: its place. Null where none is used. */
  readonly first: number | null;
  /** True where every limit holds. */
  readonly fits: boolean;
  /** What it reaches above the mix tried by hand; null of that one itself. */
  readonly gained: FigureView | null;
  /** How much more of each product it makes than the mix tried by hand, as decimals: those that differ, the furthest first. */
  readonly moved: readonly { readonly name: string; readonly by: string }[];
}

/** A mix plan as it is tried by hand. */
export interface MixView extends MixOutcomeView {
  readonly products: readonly MixProductView[];
  /** The quantities that are tried by hand, in the order in which others are asked for. */
  readonly slots: readonly MixSlotView[];
  /** The resources of the plan, how much of each there is in all, and what more costs. */
  readonly supplies: readonly MixSupplyView[];
  /** What is planned in Run for such a period; null where nothing of it is. */
  readonly planned: MixOutcomeView['outcome'] | null;
  /** What the mix tried by hand reaches above that. */
  readonly ahead: FigureView | null;
  /** By product: what is planned of it, as a decimal; null where nothing of any is. */
  readonly plannedQuantities: readonly string[] | null;
  readonly notes: readonly MixNote[];
}

/** A mix plan by the quantities tried by hand. */
export function mixView(evaluation: Evaluation, planId: string): MixView {
  const { sheet } = evaluation;
  const rows = productsOfMix(sheet, planId);
  const planned = isInPeriods(sheet, planId)
    ? []
    : rows.map(({ id }) => evaluation.read(mixProductTerms, id).planned?.amount ?? null);
  const plannedQuantities = planned.some((amount) => amount !== null)
    ? planned.map((amount) => (amount ?? ZERO).toDecimalPlaces(6).toFixed())
    : null;
  const asPlanned = plannedQuantities === null ? null : withQuantities(planId, plannedQuantities);
  return {
    ...mixOutcomeView(evaluation, planId),
    products: productsOf(evaluation, planId),
    slots: slotsOf(evaluation, planId),
    supplies: resourcesOfMix(sheet, planId).map(({ id }) => supplyOf(evaluation, id)),
    planned: asPlanned === null ? null : shownAll(evaluation, mixOutcome, asPlanned, OUTCOME),
    ahead: asPlanned === null ? null : shown(evaluation, mixAgainst, asPlanned, 'ahead'),
    plannedQuantities,
    notes: mixNotes(evaluation, planId),
  };
}

/** A mix of other quantities than those typed: the id is "plan@12|30|0", one for each quantity of the plan. */
export function mixOutcomeView(evaluation: Evaluation, id: string): MixOutcomeView {
  const { sheet } = evaluation;
  const [planId = '', stated] = id.split('@');
  const quantities = stated === undefined ? null : stated.split('|');
  const isOfPeriods = isInPeriods(sheet, planId);
  const { resources, brings, schedule } = isOfPeriods
    ? { ...scheduleOf(evaluation, planId, quantities), brings: [] }
    : { ...ofOnePeriod(evaluation, planId, quantities), schedule: null };
  const totals = sheet.rowsOf('mixTotal', 'planId', planId).map((row) => totalOf(evaluation, row.id, quantities));
  const [first] = resources
    .flatMap(({ filled }, index) => (filled === null || filled === 0 ? [] : [{ filled, index }]))
    .sort((one, other) => other.filled - one.filled);
  return {
    outcome: shownAll(evaluation, mixOutcome, id, OUTCOME),
    brings,
    resources,
    totals,
    schedule,
    first: first?.index ?? null,
    fits:
      resources.every(({ isShort }) => !isShort) &&
      totals.every(({ isBroken }) => !isBroken) &&
      (schedule === null || schedule.faults.length === 0),
    gained: quantities === null ? null : shown(evaluation, mixAgainst, id, 'gained'),
    moved: quantities === null ? [] : movedTo(slotsOf(evaluation, planId), quantities),
  };
}

/** The resources of a plan of one period, and what its products bring to the goal. */
function ofOnePeriod(
  evaluation: Evaluation,
  planId: string,
  quantities: readonly string[] | null,
): Pick<MixOutcomeView, 'resources' | 'brings'> {
  const { sheet } = evaluation;
  const rows = productsOfMix(sheet, planId);
  const made = rows.map((row, index) => (quantities === null ? row.quantity : (quantities[index] ?? '0')));
  const areMade = madeOf(sheet, planId, quantities).heads;
  return {
    resources: resourcesOfMix(sheet, planId).map((row) => resourceOf(evaluation, row.id, quantities, made)),
    brings: rows.map((row, index) => mixBrings(evaluation, row, decimal(made[index] ?? '0'), areMade.has(row.id))),
  };
}

/** How much more there is of each quantity than is tried by hand: of those that differ, the furthest first. */
function movedTo(slots: readonly MixSlotView[], quantities: readonly string[]): MixOutcomeView['moved'] {
  return slots
    .map(({ name, quantity }, index) => ({ name, by: decimal(quantities[index] ?? '0').minus(quantity) }))
    .filter(({ by }) => isBeyond(by.abs(), null))
    .sort((one, other) => compared(other.by.abs(), one.by.abs()))
    .map(({ name, by }) => ({ name, by: by.toFixed() }));
}

/** What one mix of a plan reaches above another; the id is "plan@12|30|0@10|30|0". */
export const mixBesideView = (evaluation: Evaluation, id: string): FigureView =>
  shown(evaluation, mixBeside, id, 'gained');

/** What one plan leaves above another; the id is "plan@other". */
export const mixApartView = (evaluation: Evaluation, id: string): FigureView =>
  shown(evaluation, mixPlansApart, id, 'apart');

function totalOf(evaluation: Evaluation, id: string, quantities: readonly string[] | null): MixTotalView {
  const { name = '', rule = 'at most', measure = 'units' } = evaluation.sheet.row('mixTotal', id) ?? {};
  const asked = withQuantities(id, quantities);
  const { units, limit } = evaluation.read(mixTotalOutcome, asked);
  const isBroken = units.amount !== null && limit.amount !== null && breaksRule(rule, units.amount, limit.amount);
  return {
    id,
    name,
    rule,
    measure,
    ...shownAll(evaluation, mixTotalOutcome, asked, ['units', 'limit', 'stated']),
    isBroken,
  };
}

function breaksRule(rule: MixTotalRule, units: Decimal, limit: Decimal): boolean {
  const over = units.minus(limit);
  return (rule !== 'at least' && isBeyond(over, limit)) || (rule !== 'at most' && isBeyond(over.negated(), limit));
}
