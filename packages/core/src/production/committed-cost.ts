import type { CostBehaviour } from '@nuvar/book';
import { constant, type Figure, multiplied, quotient, sum } from '../figure/index.js';
import { NUMBER, unit } from '../quantity/index.js';
import { BATCH, type Calculation, money, type Sheet, WHOLE_BOOK } from '../sheet/index.js';
import { batch } from './batch.js';
import { equipmentRate, isCommittedMachine, wearsByYears } from './equipment-rate.js';
import { itemTotal } from './item-total.js';
import { costItems, productCost } from './product-cost.js';
import { loadCost } from './shared-load.js';
import type { CostItem, Taking } from './taking.js';

/** What of the cost of a unit does not change with it. */
export interface CommittedCost {
  /** Committed or stepped pay, what machines cost over years, other committed costs; components included. */
  readonly perUnit: Figure;
  /** The rest of the cost before overhead: what changes with each unit. */
  readonly changing: Figure;
}

/** True where anything in the book is committed or goes in steps: mostly nothing is, and then nothing is looked at. */
const isAnythingCommitted: Calculation<boolean> = {
  name: 'isAnythingCommitted',
  meanings: {},
  work: (sheet) =>
    sheet.all('labourGrade').some(({ behaviour }) => behaviour !== 'variable') ||
    sheet.all('equipment').some((machine) => wearsByYears(machine) || isCommittedMachine(machine)) ||
    sheet.all('otherCost').some(({ behaviour }) => behaviour !== 'variable'),
};

/**
 * What of the cost of a good unit is committed for the period or goes in steps, and what changes with the unit: cost before
 * overhead - committed. Break-even, contribution, floors and decisions use what changes; the card holds all.
 */
export const committedCost: Calculation<CommittedCost> = {
  name: 'committedCost',
  meanings: {
    perUnit:
      'What of the cost of one unit is committed whatever is made: pay, wear over years, upkeep of a year, floor.',
    changing: 'What changes with each unit that is made (variable cost).',
  },
  work(sheet, productId) {
    const { good, outputUnit, productName: subject } = sheet.read(batch, productId);
    const { variableCost } = sheet.read(productCost, productId);
    const perUnit = money(sheet).per(unit(outputUnit));
    const parts = sheet.read(isAnythingCommitted, WHOLE_BOOK)
      ? sheet.read(costItems, productId).flatMap((item) => committedPart(sheet, item) ?? [])
      : [];
    if (parts.length === 0)
      return { perUnit: sum({ name: 'Committed cost', subject }, perUnit, []), changing: variableCost };
    const perBatch = sum({ name: 'Committed cost per batch', subject }, money(sheet).per(BATCH), parts);
    const committed = quotient({ name: 'Committed cost', subject }, perBatch, good);
    return { perUnit: committed, changing: changingPart(subject, variableCost, committed) };
  },
};

const LESS = constant('Taken off', '-1', NUMBER, 'definition');

/** Partial costs stay partial: what is known of them, less what is known to be committed. */
function changingPart(subject: string, variableCost: Figure, committed: Figure): Figure {
  const minusOne = multiplied({ name: 'Less committed cost', subject }, committed, LESS);
  return sum({ name: 'Variable cost', subject }, variableCost.unit, [variableCost, minusOne]);
}

/** What of an item is committed; null where nothing is. */
function committedPart(sheet: Sheet, item: CostItem): Figure | null {
  const { of, kind, id } = item.taking;
  switch (of?.kind) {
    case 'product':
      return committedInside(sheet, item.taking);
    case 'labourGrade':
      return isVariable(sheet.row('labourGrade', of.id)) ? null : itemTotal(sheet, item);
    case 'equipment':
    case 'equipmentRun':
      return committedMachineHours(sheet, item);
    default:
      return kind !== 'otherCost' || isVariable(sheet.row('otherCost', id)) ? null : itemTotal(sheet, item);
  }
}

const isVariable = (row: { readonly behaviour: CostBehaviour } | undefined) =>
  row === undefined || row.behaviour === 'variable';

function committedInside(sheet: Sheet, { of, quantity }: Taking): Figure | null {
  const inside = sheet.read(committedCost, of?.id ?? '').perUnit;
  return inside.parts.length === 0
    ? null
    : multiplied({ name: 'Committed inside', subject: of?.name ?? '' }, quantity, inside);
}

/** What of a machine comes whatever is made, in the hours that are taken of it. */
function committedMachineHours(sheet: Sheet, { taking: { of, quantity } }: CostItem): Figure | null {
  if (of === null) return null;
  const run = of.kind === 'equipmentRun' ? sheet.row('equipmentRun', of.id) : undefined;
  const machineId = of.kind === 'equipment' ? of.id : run?.equipmentId;
  const machine = machineId == null ? undefined : sheet.row('equipment', machineId);
  if (machine === undefined) return null;
  const { committedPerHour } = sheet.read(equipmentRate, machine.id);
  if (committedPerHour === null) return null;
  const called = { name: 'Committed cost of equipment', subject: machine.name };
  if (run === undefined) return multiplied(called, quantity, committedPerHour);
  const { hoursPerPlace } = sheet.read(loadCost, run.id);
  return multiplied(
    called,
    multiplied({ ...called, name: 'Machine hours' }, quantity, hoursPerPlace),
    committedPerHour,
  );
}
