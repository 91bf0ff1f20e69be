import type { MixTotalMeasure, MixTotalRule, RowOf } from '@nuvar/book';
import { type Figure, gapSentence } from '../../figure/index.js';
import { compared, decimal, type Decimal, isPositive, ZERO } from '../../number/index.js';
import {
  limitsByProduct,
  mixAgainst,
  mixBeside,
  type MixModel,
  mixModel,
  mixPlansApart,
  mixSlots,
  isInPeriods,
  triedInSlot,
  madeResources,
  mixComponentUse,
  mixOutcome,
  mixProductTerms,
  type MixProductTerms,
  mixResourceOutcome,
  mixResourceTerms,
  mixTotalOutcome,
  madeOf,
  mixLineName,
  mixTakers,
  setUpHead,
  nameInMix,
  nameOfResource,
  outputInMix,
  productsOfMix,
  resourcesOfMix,
  unitOfMixResource,
  withQuantities,
} from '../../planning/index.js';
import type { Evaluation, Sheet } from '../../sheet/index.js';
import { type FigureView, type GapView, shown, shownAll } from '../general/figure-view.js';
import { mixBrings } from './mix-brings.js';
import { filledPercent, isBeyond } from './mix-measures.js';
import { type MixNote, mixNotes } from './mix-notes.js';
import type { MixResourceView } from './mix-resource-view.js';
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

export interface MixProductView {
  readonly id: string;
  readonly name: string;
  readonly unit: string;
  readonly quantity: string;
  readonly contribution: FigureView;
  readonly revenue: FigureView;
  readonly variableCost: FigureView;
  readonly setUpCost: FigureView | null;
  readonly least: FigureView;
  readonly most: FigureView | null;
  readonly lot: FigureView | null;
  readonly step: FigureView | null;
  /** Of what all lines of the product together are a multiple; null where that does not matter. */
  readonly batch: FigureView | null;
  readonly planned: FigureView | null;
  /** True where it breaks a limit of its own. */
  readonly isBroken: boolean;
}

/** A mix plan as it is tried by hand. */
export interface MixView extends MixOutcomeView {
  readonly products: readonly MixProductView[];
  /** The quantities that are tried by hand, in the order in which others are asked for. */
  readonly slots: readonly MixSlotView[];
  /** The resources of the plan, how much of each there is in all, and what more costs. */
  readonly supplies: readonly Pick<MixResourceView, 'id' | 'available' | 'normalPrice' | 'premium'>[];
  /** What is planned in Run for such a period; null where nothing of it is. */
  readonly planned: MixOutcomeView['outcome'] | null;
  /** What the mix tried by hand reaches above that. */
  readonly ahead: FigureView | null;
  /** By product: what is planned of it, as a decimal; null where nothing of any is. */
  readonly plannedQuantities: readonly string[] | null;
  readonly notes: readonly MixNote[];
}

/** A mix plan as the solver is given it, apart from the quantities tried by hand. */
export interface MixModelView {
  readonly model: MixModel;
  /** By product of the plan: how much of it its limits allow by themselves, the end of its bar. Null where nothing limits it. */
  readonly rooms: readonly (number | null)[];
  readonly gaps: readonly GapView[];
}

const MODEL_VIEWS = new WeakMap<object, MixModelView>();

/** The model of a plan. It is the same object as long as nothing in it has changed, so that it is not sent again. */
export function mixModelView(evaluation: Evaluation, planId: string): MixModelView {
  const ofPlan = evaluation.read(mixModel, planId);
  const known = MODEL_VIEWS.get(ofPlan);
  if (known !== undefined) return known;
  const { model, gaps } = ofPlan;
  const limits = limitsByProduct(model);
  const rooms = new Map(model.products.map(({ place }, at) => [place, limits[at] ?? null]));
  const view: MixModelView = {
    model,
    rooms: productsOfMix(evaluation.sheet, planId).map((_row, place) => {
      const room = rooms.get(place) ?? null;
      return room === null || !Number.isFinite(room) ? null : room;
    }),
    gaps: gaps.map((gap) => ({
      code: gap.code,
      sentence: gapSentence(gap),
      stated: gap.stated,
      place: gap.place,
      values: gap.values,
    })),
  };
  MODEL_VIEWS.set(ofPlan, view);
  return view;
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
    supplies: resourcesOfMix(sheet, planId).map((row) => ({ id: row.id, ...supplyOf(evaluation, row.id) })),
    planned: asPlanned === null ? null : shownAll(evaluation, mixOutcome, asPlanned, OUTCOME),
    ahead: asPlanned === null ? null : shown(evaluation, mixAgainst, asPlanned, 'ahead'),
    plannedQuantities,
    notes: mixNotes(evaluation, planId),
  };
}

/** How much of a resource there is in all, and what it costs. */
function supplyOf(evaluation: Evaluation, id: string): Omit<MixView['supplies'][number], 'id'> {
  const terms = evaluation.read(mixResourceTerms, id);
  const known = (member: 'normalPrice' | 'premium') =>
    terms[member] === null ? null : shown(evaluation, mixResourceTerms, id, member);
  return {
    available: shown(evaluation, mixResourceTerms, id, 'available'),
    normalPrice: known('normalPrice'),
    premium: known('premium'),
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

function resourceOf(
  evaluation: Evaluation,
  id: string,
  quantities: readonly string[] | null,
  made: readonly string[],
): MixResourceView {
  const { sheet } = evaluation;
  const row = sheet.row('mixResource', id);
  const asked = withQuantities(id, quantities);
  const terms = evaluation.read(mixResourceTerms, id);
  const outcome = evaluation.read(mixResourceOutcome, asked);
  const of = (member: 'extraUsed' | 'extraCost' | 'made') =>
    outcome[member] === null ? null : shown(evaluation, mixResourceOutcome, asked, member);
  const there = terms.available.amount?.plus(terms.extra?.amount ?? ZERO) ?? null;
  const used = outcome.used.amount;
  return {
    id,
    name: row === undefined ? '' : nameOfResource(sheet, row),
    unit: row === undefined ? '' : unitOfMixResource(sheet, row).text,
    ...supplyOf(evaluation, id),
    extra: terms.extra === null ? null : shown(evaluation, mixResourceTerms, id, 'extra'),
    ...shownAll(evaluation, mixResourceOutcome, asked, ['used', 'left', 'short']),
    extraUsed: of('extraUsed'),
    extraCost: of('extraCost'),
    made: of('made'),
    isShort: isBeyond(outcome.short.amount, there),
    shares: row === undefined ? [] : sharesOf(evaluation, row, quantities, made),
    filled: outcome.made === null ? filledPercent(there, used) : null,
  };
}

/** What each product takes of a resource, and each component that is made beyond its stock. */
function sharesOf(
  evaluation: Evaluation,
  { id, planId }: RowOf<'mixResource'>,
  quantities: readonly string[] | null,
  made: readonly string[],
): MixResourceView['shares'] {
  const { sheet } = evaluation;
  const { heads } = madeOf(sheet, planId, quantities);
  const lines = sheet.idsOf('mixProduct', 'planId', planId);
  const ofProducts = evaluation.read(mixTakers, id).map(({ place, lineId, perUnit, forSetUp }) => {
    const setUp = heads.has(lineId) ? (forSetUp?.amount?.toNumber() ?? 0) : 0;
    const amount = Math.max(0, Number(made[place] ?? '0')) * (perUnit.amount?.toNumber() ?? 0) + setUp;
    return { lineId, amount, shade: place };
  });
  const ofComponents = madeResources(sheet, planId).map((component, index) => {
    const own = evaluation.read(mixResourceOutcome, withQuantities(component.id, quantities)).made;
    const perUnit = component.id === id ? null : evaluation.read(mixComponentUse, `${component.id}@${id}`).perUnit;
    const amount = (own?.amount?.toNumber() ?? 0) * (perUnit?.amount?.toNumber() ?? 0);
    return { name: nameOfResource(sheet, component), amount, shade: lines.length + index };
  });
  const named = ofProducts
    .filter(({ amount }) => amount !== 0)
    .map(({ lineId, amount, shade }) => ({ name: sheet.read(mixLineName, lineId), amount, shade }));
  return [...named, ...ofComponents.filter(({ amount }) => amount !== 0)];
}

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

function productsOf(evaluation: Evaluation, planId: string): MixProductView[] {
  const { sheet } = evaluation;
  const rows = productsOfMix(sheet, planId);
  const made = madeByProduct(sheet, planId);
  const isOfPeriods = isInPeriods(sheet, planId);
  return rows.map((row, index) => {
    const terms = evaluation.read(mixProductTerms, row.id);
    const { own, together } = made[index] as (typeof made)[number];
    return {
      ...termsView(evaluation, row.id, terms),
      quantity: row.quantity,
      isBroken: breaksOwnLimit(isOfPeriods ? { ...terms, lot: null, batch: null } : terms, own, together),
    };
  });
}

type TermsView = Omit<MixProductView, 'quantity' | 'isBroken'>;

const TERMS_VIEWS = new WeakMap<MixProductTerms, TermsView>();

/** What a plan knows of one of its products, whatever is tried of it. It is the same object as long as its terms are. */
function termsView(evaluation: Evaluation, id: string, terms: MixProductTerms): TermsView {
  const known = TERMS_VIEWS.get(terms);
  if (known !== undefined) return known;
  const { sheet } = evaluation;
  const row = sheet.row('mixProduct', id) as RowOf<'mixProduct'>;
  const figure = (member: 'setUpCost' | 'most' | 'lot' | 'step' | 'batch' | 'planned') =>
    terms[member] === null ? null : shown(evaluation, mixProductTerms, id, member);
  const view: TermsView = {
    id,
    name: nameInMix(sheet, row),
    unit: outputInMix(sheet, row).text,
    ...shownAll(evaluation, mixProductTerms, id, ['contribution', 'revenue', 'variableCost', 'least']),
    setUpCost: figure('setUpCost'),
    most: figure('most'),
    lot: figure('lot'),
    step: figure('step'),
    batch: figure('batch'),
    planned: figure('planned'),
  };
  TERMS_VIEWS.set(terms, view);
  return view;
}

/** By line: what is tried of it - of several periods what is sold in all of them -, and of its product in all its lines. */
function madeByProduct(sheet: Sheet, planId: string): { readonly own: Decimal; readonly together: Decimal }[] {
  const rows = productsOfMix(sheet, planId);
  const isOfPeriods = isInPeriods(sheet, planId);
  const own = rows.map((row) => (isOfPeriods ? soldInAll(sheet, row) : decimal(row.quantity)));
  const heads = rows.map((row) => setUpHead(sheet, row));
  const together = new Map<string, Decimal>();
  heads.forEach((head, index) => {
    together.set(head, (together.get(head) ?? ZERO).plus(own[index] ?? ZERO));
  });
  return rows.map((_row, index) => ({ own: own[index] ?? ZERO, together: together.get(heads[index] ?? '') ?? ZERO }));
}

/** What is sold of a line in all periods, as tried. */
const soldInAll = (sheet: Sheet, { id, planId }: RowOf<'mixProduct'>): Decimal =>
  sheet
    .read(mixSlots, planId)
    .filter((slot) => slot.rowId === id && slot.of === 'sold')
    .reduce((so, slot) => so.plus(triedInSlot(sheet, slot)), ZERO);

/** True where so much is whole batches, but for noise. */
function isWholePart(amount: Decimal, batch: Decimal): boolean {
  const parts = amount.div(batch);
  return !isBeyond(parts.minus(parts.round()).abs(), null);
}

/** The minimum lot, and batches, are those of all lines of a product together. */
function breaksOwnLimit({ least, most, lot, batch }: MixProductTerms, made: Decimal, together: Decimal): boolean {
  const isUnder = (limit: Figure | null, quantity: Decimal) =>
    limit !== null && limit.amount !== null && isBeyond(limit.amount.minus(quantity), limit.amount);
  const isOver = most !== null && most.amount !== null && isBeyond(made.minus(most.amount), most.amount);
  const isSplit = batch !== null && batch.amount !== null && !isWholePart(together, batch.amount);
  return isUnder(least, made) || isOver || isSplit || (isPositive(together) && isUnder(lot, together));
}

const PLACES = 12;

/** A number of the solver as a plain decimal, without an exponent, with the twelve places that a quantity can have. Its noise was taken off before. */
export const plainDecimal = (value: number): string =>
  Number.isFinite(value) ? decimal(String(value)).toDecimalPlaces(PLACES).toFixed() : '0';

/** Quantities by product of a model as decimals by quantity of the plan, as an outcome is asked for; what the model leaves out is not made. */
export function quantitiesOfPlan(
  slots: readonly Pick<MixSlotView, 'id'>[],
  model: MixModel,
  quantities: readonly number[],
): string[] {
  const places = new Map(model.products.map(({ id }, at) => [id, at]));
  return slots.map(({ id }) => plainDecimal(quantities[places.get(id) ?? -1] ?? 0));
}
