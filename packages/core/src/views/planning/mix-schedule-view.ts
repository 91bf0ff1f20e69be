import type { RowOf } from '@nuvar/book';
import type { Figure } from '../../figure/index.js';
import { decimal, type Decimal, isPositive, ZERO } from '../../number/index.js';
import {
  headsOfMix,
  linesOfHead,
  madeResources,
  mixComponentUse,
  mixLineName,
  mixPeriodDemand,
  mixPeriodResource,
  mixProductTerms,
  type MixSlot,
  mixSlots,
  mixStock,
  mixStockTerms,
  nameInMix,
  nameOfResource,
  outputInMix,
  periodsOfMix,
  resourcesOfMix,
  productNameInMix,
  slotId,
  type PeriodSlot,
  subjectOf,
  takersThatMake,
  triedInSlot,
  unitOfMixResource,
  withQuantities,
} from '../../planning/index.js';
import type { Evaluation } from '../../sheet/index.js';
import { type FigureView, shown, shownAll } from '../general/figure-view.js';
import { filledPercent, isBeyond } from './mix-measures.js';
import type { MixResourceView } from './mix-resource-view.js';

/** One quantity of a plan, as it is tried by hand. */
export interface MixSlotView extends MixSlot {
  readonly name: string;
  readonly quantity: string;
}

/** A line over the periods of its plan: what is sold of it. */
export interface MixSoldView {
  readonly id: string;
  readonly name: string;
  /** By period, as decimals; and in all of them. */
  readonly sold: readonly string[];
  readonly soldInAll: string;
  readonly least: readonly FigureView[];
  readonly most: readonly (FigureView | null)[];
}

/** A product over the periods of its plan. */
export interface MixStockView {
  /** Of the line that says its set-up and its stock. */
  readonly id: string;
  readonly name: string;
  readonly unit: string;
  /** By period, as decimals; and in all of them. */
  readonly made: readonly string[];
  readonly madeInAll: string;
  readonly opening: FigureView;
  readonly closing: readonly FigureView[];
  readonly holding: readonly FigureView[];
  readonly lines: readonly MixSoldView[];
}

/** A component over the periods of its plan. */
export interface MixComponentView {
  readonly id: string;
  readonly name: string;
  readonly unit: string;
  readonly made: readonly string[];
  readonly madeInAll: string;
  readonly left: readonly FigureView[];
}

/** Where a schedule does not hold: more is sold than there is or than is asked for, too little is left, something is too old. */
export interface MixScheduleFault {
  readonly code:
    'not in stock' | 'too old' | 'too little at the end' | 'below the demand' | 'above the demand' | 'below the lot';
  readonly name: string;
  readonly unit: string;
  /** By how much, as a decimal. */
  readonly by: string;
}

/** What is made, sold and in stock in each period of a plan. */
export interface MixScheduleView {
  readonly periods: readonly { readonly id: string; readonly name: string }[];
  readonly products: readonly MixStockView[];
  readonly components: readonly MixComponentView[];
  readonly faults: readonly MixScheduleFault[];
}

/** What making a unit of a line costs, and what selling it brings; the id is that of the line. */
export const mixStockTermsView = (evaluation: Evaluation, id: string) =>
  shownAll(evaluation, mixStockTerms, id, ['makingCost', 'netProceeds', 'opening', 'closing']);

const WORDS: Readonly<Record<MixSlot['of'], string>> = {
  quantity: '',
  sold: ' sold',
  made: ' made',
  component: ' made',
};

/** The quantities of a plan as they are tried by hand. */
export function slotsOf({ sheet }: Evaluation, planId: string): readonly MixSlotView[] {
  return sheet.read(mixSlots, planId).map((slot) => {
    if (slot.of === 'quantity')
      return { ...slot, name: sheet.read(mixLineName, slot.rowId), quantity: triedInSlot(sheet, slot) };
    const row = sheet.row('mixProduct', slot.rowId);
    const resource = sheet.row('mixResource', slot.rowId);
    const plain =
      row !== undefined
        ? nameInMix(sheet, slot.of === 'made' ? { ...row, channelId: null } : row)
        : resource === undefined
          ? ''
          : nameOfResource(sheet, resource);
    const name = slot.periodId === null ? plain : subjectOf(sheet, `${plain}${WORDS[slot.of]}`, slot.periodId);
    return { ...slot, name, quantity: triedInSlot(sheet, slot) };
  });
}

type Quantities = readonly string[] | null;

/** A plan of several periods: its schedule, and its resources in each of them. */
export function scheduleOf(
  evaluation: Evaluation,
  planId: string,
  quantities: Quantities,
): { readonly schedule: MixScheduleView; readonly resources: readonly MixResourceView[] } {
  const { sheet } = evaluation;
  const slots = slotsOf(evaluation, planId);
  const quantityOf = new Map(
    slots.map(({ id, quantity }, at) => [id, quantities === null ? quantity : (quantities[at] ?? '0')]),
  );
  const periods = periodsOfMix(sheet, planId).map((id) => ({ id, name: sheet.row('mixPeriod', id)?.name ?? '' }));
  const inPeriods = (rowId: string, of: PeriodSlot) =>
    periods.map(({ id }) => quantityOf.get(slotId(rowId, id, of)) ?? '0');
  const asked = (rowId: string, periodId: string) => withQuantities(`${rowId}.${periodId}`, quantities);
  const products = headsOfMix(sheet, planId).map((head): MixStockView => {
    const of = (member: 'opening' | 'closing' | 'holding') =>
      periods.map(({ id }) => shown(evaluation, mixStock, asked(head.id, id), member));
    return {
      id: head.id,
      name: productNameInMix(sheet, head),
      unit: outputInMix(sheet, head).text,
      made: inPeriods(head.id, 'made'),
      madeInAll: totalOf(inPeriods(head.id, 'made')),
      opening: of('opening')[0] as FigureView,
      closing: of('closing'),
      holding: of('holding'),
      lines: linesOfHead(sheet, head).map((line) => soldOf(evaluation, line, inPeriods(line.id, 'sold'))),
    };
  });
  const components = madeResources(sheet, planId).map((row): MixComponentView => ({
    id: row.id,
    name: nameOfResource(sheet, row),
    unit: unitOfMixResource(sheet, row).text,
    made: inPeriods(row.id, 'component'),
    madeInAll: totalOf(inPeriods(row.id, 'component')),
    left: periods.map(({ id }) => shown(evaluation, mixPeriodResource, asked(row.id, id), 'left')),
  }));
  const madeIn = (rowId: string, of: 'made' | 'component', at: number) => decimal(inPeriods(rowId, of)[at] ?? '0');
  return {
    schedule: { periods, products, components, faults: faultsOf(evaluation, products, periods, asked) },
    resources: periods.flatMap((period, at) =>
      resourcesOfMix(sheet, planId).map((row) =>
        resourceIn(evaluation, row, asked(row.id, period.id), period.id, (rowId, of) => madeIn(rowId, of, at)),
      ),
    ),
  };
}

const totalOf = (amounts: readonly string[]): string => amounts.reduce((so, each) => so.plus(each), ZERO).toFixed();

function soldOf(evaluation: Evaluation, line: RowOf<'mixProduct'>, sold: readonly string[]): MixSoldView {
  const { sheet } = evaluation;
  const ids = periodsOfMix(sheet, line.planId).map((id) => `${line.id}.${id}`);
  return {
    id: line.id,
    name: nameInMix(sheet, line),
    sold,
    soldInAll: totalOf(sold),
    least: ids.map((id) => shown(evaluation, mixPeriodDemand, id, 'least')),
    most: ids.map((id) =>
      evaluation.read(mixPeriodDemand, id).most === null ? null : shown(evaluation, mixPeriodDemand, id, 'most'),
    ),
  };
}

function faultsOf(
  evaluation: Evaluation,
  products: readonly MixStockView[],
  periods: MixScheduleView['periods'],
  asked: (rowId: string, periodId: string) => string,
): MixScheduleFault[] {
  const { sheet } = evaluation;
  const beyond = (
    code: MixScheduleFault['code'],
    name: string,
    unit: string,
    by: Decimal | null,
  ): MixScheduleFault[] => (by !== null && isBeyond(by, null) ? [{ code, name, unit, by: by.toFixed() }] : []);
  return periods.flatMap(({ id }, at) =>
    products.flatMap(({ id: headId, name, unit, made, lines }) => {
      const { closing, tooOld, lacking } = evaluation.read(mixStock, asked(headId, id));
      const called = subjectOf(sheet, name, id);
      const { lot } = evaluation.read(mixProductTerms, headId);
      const madeHere = decimal(made[at] ?? '0');
      return [
        ...beyond('not in stock', called, unit, closing.amount?.negated() ?? null),
        ...beyond('too old', called, unit, tooOld.amount),
        ...beyond('too little at the end', called, unit, lacking.amount),
        ...(isPositive(madeHere) ? beyond('below the lot', called, unit, above(lot, madeHere)) : []),
        ...lines.flatMap((line) => {
          const { least, most } = evaluation.read(mixPeriodDemand, `${line.id}.${id}`);
          const sold = decimal(line.sold[at] ?? '0');
          const here = subjectOf(sheet, line.name, id);
          return [
            ...beyond('below the demand', here, unit, above(least, sold)),
            ...beyond('above the demand', here, unit, above(most, sold)?.negated() ?? null),
          ];
        }),
      ];
    }),
  );
}

/** How far a limit is above an amount; null where there is none. */
const above = (limit: Figure | null, amount: Decimal): Decimal | null => limit?.amount?.minus(amount) ?? null;

function resourceIn(
  evaluation: Evaluation,
  row: RowOf<'mixResource'>,
  asked: string,
  periodId: string,
  madeIn: (rowId: string, of: 'made' | 'component') => Decimal,
): MixResourceView {
  const { sheet } = evaluation;
  const outcome = evaluation.read(mixPeriodResource, asked);
  const of = (member: 'extra' | 'premium' | 'extraUsed' | 'extraCost' | 'made') =>
    outcome[member] === null ? null : shown(evaluation, mixPeriodResource, asked, member);
  const there = outcome.available.amount?.plus(outcome.extra?.amount ?? ZERO) ?? null;
  return {
    id: `${row.id}.${periodId}`,
    name: subjectOf(sheet, nameOfResource(sheet, row), periodId),
    unit: unitOfMixResource(sheet, row).text,
    normalPrice: null,
    ...shownAll(evaluation, mixPeriodResource, asked, ['available', 'used', 'left', 'short']),
    extra: of('extra'),
    premium: of('premium'),
    extraUsed: of('extraUsed'),
    extraCost: of('extraCost'),
    made: of('made'),
    isShort: isBeyond(outcome.short.amount, there),
    shares: sharesIn(evaluation, row, madeIn),
    filled: filledPercent(there, outcome.used.amount),
  };
}

/** What each product and component that is made in a period takes of a resource. */
function sharesIn(
  evaluation: Evaluation,
  { id, planId }: RowOf<'mixResource'>,
  madeIn: (rowId: string, of: 'made' | 'component') => Decimal,
): MixResourceView['shares'] {
  const { sheet } = evaluation;
  const ofProducts = takersThatMake(sheet, id).map(({ place, lineId, perUnit, forSetUp }) => {
    const made = madeIn(lineId, 'made');
    const setUp = isPositive(made) ? (forSetUp?.amount ?? ZERO) : ZERO;
    const line = sheet.row('mixProduct', lineId);
    return {
      name: line === undefined ? '' : productNameInMix(sheet, line),
      amount: made.mul(perUnit.amount ?? ZERO).plus(setUp),
      shade: place,
    };
  });
  const lines = sheet.idsOf('mixProduct', 'planId', planId).length;
  const ofComponents = madeResources(sheet, planId).map((component, index) => {
    const perUnit = component.id === id ? null : evaluation.read(mixComponentUse, `${component.id}@${id}`).perUnit;
    const amount = madeIn(component.id, 'component').mul(perUnit?.amount ?? ZERO);
    return { name: nameOfResource(sheet, component), amount, shade: lines + index };
  });
  return [...ofProducts, ...ofComponents]
    .filter(({ amount }) => !amount.isZero())
    .map(({ name, amount, shade }) => ({ name, amount: amount.toNumber(), shade }));
}
