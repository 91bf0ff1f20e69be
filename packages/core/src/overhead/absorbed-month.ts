import type { RowOf } from '@nuvar/book';
import { choice, difference, type Figure, multiplied, ofMissingRow, quotient, sum } from '../figure/index.js';
import { type Calculation, money, MONTH, type Sheet } from '../sheet/index.js';
import { unitOfDriver } from './driver.js';
import { overheadGap } from './gaps.js';
import { methodOf, methodOfTheBook, STANDARD_METHOD } from './methods/index.js';
import { overheadLot } from './shared-out.js';

/** What a month absorbed of production overhead, against what really came of it. */
export interface AbsorbedMonth {
  readonly budget: Figure;
  readonly budgetBasis: Figure;
  readonly rate: Figure;
  readonly actual: Figure;
  /** On the basis really worked (normal costing). */
  readonly absorbed: Figure;
  readonly difference: Figure;
  readonly expenditure: Figure;
  readonly volume: Figure;
  /** On the standard basis of the output (standard costing); null where none is entered. */
  readonly absorbedStandard: Figure | null;
  readonly differenceStandard: Figure | null;
  readonly capacity: Figure | null;
  readonly efficiency: Figure | null;
}

/**
 * Over-absorbed (+) or under-absorbed (-) production overhead of a month = rate x basis worked - actual overhead, split into
 * expenditure = budget - actual, and volume = rate x (basis worked - budgeted basis). On the standard basis of the output the
 * volume is split into capacity = rate x (worked - budgeted) and efficiency = rate x (standard - worked). Budget and basis are
 * those entered for the month, else those of today. Source: Horngren, Datar & Rajan, Cost Accounting.
 */
export const absorbedMonth: Calculation<AbsorbedMonth> = {
  name: 'absorbedMonth',
  meanings: {
    budget: 'The production overhead that was budgeted for the month.',
    budgetBasis: 'The basis over which it was to be absorbed.',
    rate: 'The budgeted overhead for each unit of the basis (absorption rate).',
    actual: 'The production overhead that really came.',
    absorbed: 'What the basis really worked absorbed (normal costing).',
    difference: 'Over-absorbed above zero, under-absorbed below.',
    expenditure: 'The part of it that comes from spending less or more than budgeted.',
    volume: 'The part of it that comes from working more or less than budgeted.',
    absorbedStandard: 'What the standard basis of the output absorbed (standard costing).',
    differenceStandard: 'Over-absorbed above zero, under-absorbed below, on the standard basis.',
    capacity: 'The part of it that comes from working more or less than budgeted.',
    efficiency: 'The part of it that comes from needing less or more than standard for the output.',
  },
  work(sheet, id) {
    const row = sheet.row('overheadActual', id);
    const perMonth = money(sheet).per(MONTH);
    if (row === undefined) {
      const gone = ofMissingRow({ name: 'Overhead of the month', unit: perMonth }, 'a month of actual overhead');
      return {
        budget: gone,
        budgetBasis: gone,
        rate: gone,
        actual: gone,
        absorbed: gone,
        difference: gone,
        expenditure: gone,
        volume: gone,
        absorbedStandard: null,
        differenceStandard: null,
        capacity: null,
        efficiency: null,
      };
    }
    const budgeted = budgetOf(sheet, row);
    const basis = (field: 'basisQuantity' | 'standardQuantity', name: string) =>
      sheet.input('overheadActual', row, field, {
        name,
        unit: budgeted.basis.unit,
        whenEmpty: (place) => overheadGap('no-actual', place, { what: name.toLowerCase() }),
      });
    const worked = basis('basisQuantity', 'Basis worked');
    const actual = sheet.input('overheadActual', row, 'amount', {
      name: 'Actual overhead',
      unit: perMonth,
      whenEmpty: (place) => overheadGap('no-actual', place, { what: 'actual overhead' }),
    });
    const rate = quotient('Absorption rate', budgeted.amount, budgeted.basis);
    const absorbed = multiplied('Absorbed by the basis worked', rate, worked);
    const expenditure = difference('Expenditure', budgeted.amount, actual);
    const apart = difference('Worked above budget', worked, budgeted.basis);
    const volume = multiplied('Volume', rate, apart);
    return {
      budget: budgeted.amount,
      budgetBasis: budgeted.basis,
      rate,
      actual,
      absorbed,
      difference: difference('Over-absorbed (+) or under-absorbed (−)', absorbed, actual),
      expenditure,
      volume,
      ...onStandard(
        rate,
        volume,
        actual,
        worked,
        row.standardQuantity === null ? null : basis('standardQuantity', 'Standard for the output'),
      ),
    };
  },
};

function onStandard(
  rate: Figure,
  volume: Figure,
  actual: Figure,
  worked: Figure,
  standard: Figure | null,
): Pick<AbsorbedMonth, 'absorbedStandard' | 'differenceStandard' | 'capacity' | 'efficiency'> {
  if (standard === null) return { absorbedStandard: null, differenceStandard: null, capacity: null, efficiency: null };
  const absorbedStandard = multiplied('Absorbed by the standard basis', rate, standard);
  return {
    absorbedStandard,
    differenceStandard: difference('Over-absorbed (+) or under-absorbed (−)', absorbedStandard, actual),
    capacity: choice('Capacity', volume, 'rate × (worked − budgeted)'),
    efficiency: multiplied('Efficiency', rate, difference('Standard above worked', standard, worked)),
  };
}

/** What was budgeted: as entered, else what the method of the book shares out today, over what. */
function budgetOf(sheet: Sheet, row: RowOf<'overheadActual'>): { readonly amount: Figure; readonly basis: Figure } {
  const today = lotOfToday(sheet, row.departmentId);
  const basisUnit = today.basis.unit;
  return {
    amount:
      row.budgetAmount === null
        ? choice('Budgeted overhead', today.cost, 'of today')
        : sheet.input('overheadActual', row, 'budgetAmount', {
            name: 'Budgeted overhead',
            unit: money(sheet).per(MONTH),
          }),
    basis:
      row.budgetQuantity === null
        ? choice('Budgeted basis', today.basis, `of today: ${today.basis.note}`)
        : sheet.input('overheadActual', row, 'budgetQuantity', { name: 'Budgeted basis', unit: basisUnit }),
  };
}

/** A department by the method of the book where that goes by departments, else by the first that does; the book by one rate. */
function lotOfToday(sheet: Sheet, departmentId: string | null): { readonly cost: Figure; readonly basis: Figure } {
  const ofBook = methodOf(sheet, methodOfTheBook(sheet));
  const wanted = departmentId === null ? 'single rate' : 'by department';
  const other = departmentId === null ? STANDARD_METHOD : wanted;
  const method =
    ofBook.type === wanted ? ofBook.id : (sheet.all('costingMethod').find(({ type }) => type === wanted)?.id ?? other);
  const lotId = departmentId === null ? 'production' : `department.${departmentId}`;
  const { cost, basis } = sheet.read(overheadLot, `${method}@${lotId}`);
  const none = sum('Nothing budgeted', money(sheet).per(MONTH), []);
  const isGone = cost.operation === 'missing' && basis.operation === 'missing';
  return isGone
    ? { cost: none, basis: { ...none, unit: unitOfDriver(sheet, 'labour hours').per(MONTH) } }
    : { cost, basis };
}
