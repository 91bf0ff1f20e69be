import type { RowOf } from '@nuvar/book';
import {
  constant,
  difference,
  type Figure,
  largest,
  missing,
  multiplied,
  ofMissingRow,
  quotient,
  sum,
} from '../../figure/index.js';
import { batch, committedCost, labourRate, labourSetUpHours, plannedAt, plannedUnits } from '../../production/index.js';
import { type Unit, unit } from '../../quantity/index.js';
import { pricePoint, setPrice } from '../../selling/index.js';
import { BATCH, type Calculation, money, type Sheet } from '../../sheet/index.js';
import { planningGap } from '../gaps.js';
import { mixPeriod } from './periods/mix-periods.js';
import { isInSharedBatches, setUpHead } from './set-up-head.js';

/** What a mix plan knows of one of its products, for each unit of it. */
export interface MixProductTerms {
  readonly contribution: Figure;
  readonly revenue: Figure;
  readonly variableCost: Figure;
  /** Paid once where the product is made at all, in whatever channel; null for none, or where another line of it says it. */
  readonly setUpCost: Figure | null;
  /** The larger of what it is to be made at least and of its agreed orders. */
  readonly least: Figure;
  readonly most: Figure | null;
  /** So many at least where it is made at all; null for no such rule. */
  readonly lot: Figure | null;
  /** In what it is counted whole: one unit, or the good units of a batch; null for any amount. */
  readonly step: Figure | null;
  /** Of what all lines of the product together are a multiple, where it has several and is made in whole batches; null of the others. */
  readonly batch: Figure | null;
  /** Planned in Run for such a period; null where nothing is. */
  readonly planned: Figure | null;
}

type Row = RowOf<'mixProduct'>;

const PIECE = unit('each');

/** How a product of a mix plan is called: as in the book, or as typed; with its channel where that is chosen. */
export function nameInMix(sheet: Sheet, row: Row): string {
  const name = row.productId === null ? row.name.trim() : (sheet.row('product', row.productId)?.name ?? 'a product');
  const channel = row.channelId === null ? undefined : sheet.row('channel', row.channelId)?.name;
  return channel === undefined ? name : `${name} (${channel})`;
}

/** How the product of a line is called, whatever the channel. */
export const productNameInMix = (sheet: Sheet, row: Row): string => nameInMix(sheet, { ...row, channelId: null });

/** How a line of a mix plan is called, by its id: a quantity that is tried does not move it. */
export const mixLineName: Calculation<string> = {
  name: 'mixLineName',
  meanings: {},
  work(sheet, id) {
    const row = sheet.row('mixProduct', id);
    return row === undefined ? '' : nameInMix(sheet, row);
  },
};

/** In which unit a product of a mix plan is counted. */
export const outputInMix = (sheet: Sheet, { productId }: Row): Unit =>
  unit((productId === null ? undefined : sheet.row('product', productId)?.outputUnit) ?? PIECE.text);

/** The price of a product of a mix plan in its channel. */
export const priceInMix = (sheet: Sheet, { productId, channelId }: Row): RowOf<'pricePoint'> | undefined =>
  productId === null || channelId === null
    ? undefined
    : sheet.rowsOf('pricePoint', 'productId', productId).find((point) => point.channelId === channelId);

/**
 * The terms of a product in a mix plan: contribution, net revenue and variable cost of a unit as typed, else at its price in its
 * channel; without a price its variable cost is what changes with making it; its limits; its set-up. Where the set-up comes once in the plan, the labour of the set-ups that the contribution
 * holds is given back to it, since the plan charges it by itself. A product in several channels has one set-up and one lot for
 * all of them, by the line that `setUpHead` finds. Committed pay and wear are in no contribution. Gaps: no
 * contribution, no net revenue, no variable cost, no price in the channel.
 */
export const mixProductTerms: Calculation<MixProductTerms> = {
  name: 'mixProduct',
  meanings: {
    contribution: 'What one unit leaves for fixed costs and profit, without a set-up that the plan charges by itself.',
    revenue: 'What one unit brings: net revenue.',
    variableCost: 'What changes with each unit that is made and sold.',
    setUpCost: 'What its set-up costs, once, where it is made at all.',
    least: 'How much of it is to be made at least.',
    most: 'How much of it can be made at most.',
    lot: 'How much of it is made at least where it is made at all.',
    step: 'In what it is counted whole.',
    batch: 'The good units of a batch, of which all its lines together are a multiple.',
    planned: 'What is planned of it in such a period.',
  },
  work(sheet, id) {
    const row = sheet.row('mixProduct', id);
    if (row === undefined) return gone(sheet);
    const subject = nameInMix(sheet, row);
    const output = outputInMix(sheet, row);
    const limit = (field: 'minimum' | 'maximum' | 'agreed' | 'lot', name: string) =>
      sheet.input('mixProduct', row, field, { name, subject, unit: output });
    const headId = setUpHead(sheet, row);
    const isHead = headId === row.id;
    const head = isHead ? row : sheet.row('mixProduct', headId);
    const setUp =
      head?.setUp === 'once in the plan' && row.productId !== null ? setUpOfBatch(sheet, row.productId) : null;
    return {
      ...amountsOf(sheet, row, subject, money(sheet).per(output), setUp),
      setUpCost: isHead ? setUpCostOf(sheet, row, subject, setUp) : null,
      least:
        row.agreed === '0'
          ? limit('minimum', 'At least')
          : largest(
              { name: 'Made at least', subject },
              [limit('minimum', 'At least'), limit('agreed', 'Agreed orders')],
              'the larger of the two',
            ),
      most: row.maximum === null ? null : limit('maximum', 'At most'),
      lot: row.lot === null || !isHead ? null : limit('lot', 'Minimum lot'),
      ...wholeOf(sheet, row, output, isHead),
      planned: plannedInPeriod(sheet, row, subject),
    };
  },
};

function setUpCostOf(sheet: Sheet, row: Row, subject: string, setUp: Figure | null): Figure | null {
  const called = { name: 'Set-up cost', subject };
  if (row.setUpCost !== null) return sheet.input('mixProduct', row, 'setUpCost', { ...called, unit: money(sheet) });
  return setUp && multiplied(called, setUp, constant('Set-ups', '1', BATCH, 'once in the plan'));
}

type Amounts = Pick<MixProductTerms, 'contribution' | 'revenue' | 'variableCost'>;

function amountsOf(sheet: Sheet, row: Row, subject: string, perUnit: Unit, setUp: Figure | null): Amounts {
  const point = priceInMix(sheet, row);
  const typed = (field: 'contribution' | 'revenue' | 'variableCost', name: string) =>
    row[field] === null ? null : sheet.input('mixProduct', row, field, { name, subject, unit: perUnit });
  const left =
    typed('contribution', 'Contribution') ??
    (point === undefined ? without(sheet, row, subject, perUnit) : sheet.read(pricePoint, point.id).contribution);
  const revenue = typed('revenue', 'Net revenue') ?? revenueAt(sheet, row, subject, perUnit);
  const isHeld = setUp !== null && row.contribution === null && row.productId !== null;
  const inUnit = isHeld ? setUpInUnit(sheet, subject, setUp, row.productId as string) : null;
  return {
    contribution:
      inUnit === null ? left : sum({ name: 'Contribution before set-up', subject }, left.unit, [left, inUnit]),
    revenue,
    variableCost:
      typed('variableCost', 'Variable cost') ??
      (point !== undefined || (row.revenue !== null && row.contribution !== null)
        ? costOf(subject, revenue, left, inUnit)
        : costWithoutPrice(sheet, row, subject, perUnit, inUnit)),
  };
}

/**
 * What changes with making a unit of a line, without selling it and without a set-up that the plan charges by itself: as typed
 * (variable cost), else by its bill and steps. Gap: neither.
 */
export const mixMakingCost: Calculation<{ readonly perUnit: Figure }> = {
  name: 'mixMakingCost',
  meanings: { perUnit: 'What changes with making one unit.' },
  work(sheet, id) {
    const row = sheet.row('mixProduct', id);
    if (row === undefined) return { perUnit: gone(sheet).variableCost };
    const subject = productNameInMix(sheet, row);
    const perUnit = money(sheet).per(outputInMix(sheet, row));
    if (row.variableCost !== null)
      return {
        perUnit: sheet.input('mixProduct', row, 'variableCost', { name: 'Variable cost', subject, unit: perUnit }),
      };
    const setUp =
      row.setUp === 'once in the plan' && row.productId !== null ? setUpOfBatch(sheet, row.productId) : null;
    const inUnit = setUp === null ? null : setUpInUnit(sheet, subject, setUp, row.productId as string);
    return { perUnit: costWithoutPrice(sheet, row, subject, perUnit, inUnit) };
  },
};

const setUpInUnit = (sheet: Sheet, subject: string, setUp: Figure, productId: string): Figure =>
  quotient({ name: 'Set-up in a unit', subject }, setUp, sheet.read(batch, productId).good);

function costOf(subject: string, revenue: Figure, left: Figure, inUnit: Figure | null): Figure {
  const cost = difference({ name: 'Variable cost', subject }, revenue, left);
  return inUnit === null ? cost : difference({ name: 'Variable cost before set-up', subject }, cost, inUnit);
}

/** What a unit brings at its price. Gap: no price in a channel. */
function revenueAt(sheet: Sheet, row: Row, subject: string, perUnit: Unit): Figure {
  const point = priceInMix(sheet, row);
  if (point !== undefined) return sheet.read(setPrice, point.id).netRevenue;
  const place = { kind: 'mixProduct', id: row.id, field: 'revenue' } as const;
  return missing({ name: 'Net revenue', subject, unit: perUnit }, planningGap('no-mix-revenue', place, { subject }));
}

/** What changes with a unit that has no price: what making it does, less a set-up that the plan charges by itself. */
function costWithoutPrice(sheet: Sheet, row: Row, subject: string, perUnit: Unit, inUnit: Figure | null): Figure {
  const called = { name: 'Variable cost', subject };
  if (row.productId === null) {
    const place = { kind: 'mixProduct', id: row.id, field: 'variableCost' } as const;
    return missing({ ...called, unit: perUnit }, planningGap('no-mix-cost', place, { subject }));
  }
  const { changing } = sheet.read(committedCost, row.productId);
  return inUnit === null ? changing : difference({ ...called, name: 'Variable cost before set-up' }, changing, inUnit);
}

function without(sheet: Sheet, row: Row, subject: string, perUnit: Unit): Figure {
  const leaf = { name: 'Contribution', subject, unit: perUnit };
  const isPriced = row.productId !== null && row.channelId !== null;
  const channel = sheet.row('channel', row.channelId ?? '')?.name ?? '';
  const product = sheet.row('product', row.productId ?? '')?.name ?? row.name;
  const place = { kind: 'mixProduct', id: row.id, field: 'contribution' } as const;
  return missing(
    leaf,
    isPriced
      ? planningGap('no-mix-price', place, { subject: product, channel })
      : planningGap('no-mix-contribution', place, { subject }),
  );
}

/** What the set-ups of one batch cost in pay that changes with the hours; null where a product has no set-up. */
function setUpOfBatch(sheet: Sheet, productId: string): Figure | null {
  const steps = sheet.rowsOf('labourStep', 'productId', productId).filter(({ setUpMinutes }) => setUpMinutes !== '0');
  if (steps.length === 0) return null;
  const costs = steps.flatMap((step) => {
    const grade = step.gradeId === null ? undefined : sheet.row('labourGrade', step.gradeId);
    if (grade === undefined || grade.behaviour !== 'variable') return [];
    const called = { name: 'Set-up', subject: step.name };
    return [multiplied(called, labourSetUpHours(sheet, step), sheet.read(labourRate, grade.id).perHour)];
  });
  return sum('Set-up of a batch', money(sheet).per(BATCH), costs);
}

/**
 * In what a line is counted whole: a unit, or the good units of a batch. Of a product with several lines batches are those of all
 * of them together, by the line that says its set-up; each line is then whole units, where those of a batch are.
 */
function wholeOf(sheet: Sheet, row: Row, output: Unit, isHead: boolean): Pick<MixProductTerms, 'step' | 'batch'> {
  const { countedIn, productId } = row;
  const unitStep = () => constant('One unit', '1', output, 'whole units');
  const goodUnits = (id: string) =>
    multiplied('Good units of a batch', sheet.read(batch, id).good, constant('Batches', '1', BATCH, 'one'));
  if (productId !== null && isInSharedBatches(sheet, row)) {
    const good = goodUnits(productId);
    return { step: good.amount?.isInteger() === false ? null : unitStep(), batch: isHead ? good : null };
  }
  if (countedIn === 'any amount') return { step: null, batch: null };
  return { step: countedIn === 'whole batches' && productId !== null ? goodUnits(productId) : unitStep(), batch: null };
}

function plannedInPeriod(sheet: Sheet, row: Row, subject: string): Figure | null {
  if (row.productId === null) return null;
  const point = priceInMix(sheet, row);
  if (sheet.rowsOf('plannedVolume', 'productId', row.productId).length === 0) return null;
  const perMonth = point === undefined ? plannedUnits(sheet, row.productId) : plannedAt(sheet, point);
  if (perMonth.amount === null) return null;
  return multiplied({ name: 'Planned', subject }, perMonth, sheet.read(mixPeriod, row.planId).months);
}

function gone(sheet: Sheet): MixProductTerms {
  const figure = ofMissingRow({ name: 'Contribution', unit: money(sheet).per(PIECE) }, 'a mix plan');
  const none = ofMissingRow({ name: 'Quantity', unit: PIECE }, 'a mix plan');
  return {
    contribution: figure,
    revenue: figure,
    variableCost: figure,
    setUpCost: null,
    least: none,
    most: null,
    lot: null,
    step: null,
    batch: null,
    planned: null,
  };
}
