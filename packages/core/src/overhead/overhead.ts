import { difference, type Figure, quotient, sum } from '../figure/index.js';
import { type Calculation, money, MONTH, WHOLE_BOOK } from '../sheet/index.js';
import { methodOfTheBook } from './methods/index.js';
import { openDays } from './open-days.js';
import { runningCost } from './running-cost.js';
import { overheadTotals } from './shared-out.js';
import { workNeeded } from './work-needed.js';

/** The running costs of the book, and what the method of the book makes of them. */
export interface Overhead {
  readonly total: Figure;
  /** Of that, what goes up and down with the work. */
  readonly variable: Figure;
  /** The rest: fixed, or fixed within its step. */
  readonly fixed: Figure;
  readonly perOpenDay: Figure;
  readonly plannedHours: Figure;
  readonly sharedOut: Figure;
  readonly notSharedOut: Figure;
}

/**
 * All running costs of a month, per open day, and what the planned units absorb of them by the method of the book. What
 * they do not absorb is shown, never lost: unused capacity, and what the method shares out over nobody.
 */
export const overhead: Calculation<Overhead> = {
  name: 'overhead',
  meanings: {
    total: 'All running costs of a month.',
    variable: 'The running costs of a month that go up and down with what is made and sold.',
    fixed: 'The running costs of a month that come whatever is made and sold.',
    perOpenDay: 'What it costs to open the door for a day.',
    plannedHours:
      'Productive labour hours that the planned units of all products need in a month, including their components.',
    sharedOut: 'The running costs that the planned units of a month absorb.',
    notSharedOut:
      'The running costs that no planned unit absorbs: idle capacity, and what is shared out over no product.',
  },
  work(sheet) {
    const perMonth = money(sheet).per(MONTH);
    const rows = sheet.all('runningCost');
    const together = (name: string, isVariable: boolean) =>
      sum(
        name,
        perMonth,
        rows
          .filter(({ behaviour }) => (behaviour === 'variable') === isVariable)
          .map(({ id }) => sheet.read(runningCost, id).perMonth),
      );
    const fixed = together('Fixed running costs per month', false);
    const variable = together('Variable running costs per month', true);
    const total = sum('Running costs per month', perMonth, [fixed, variable]);
    const { assigned } = sheet.read(overheadTotals, methodOfTheBook(sheet));
    return {
      total,
      fixed,
      variable,
      perOpenDay: quotient('Running costs per open day', total, sheet.read(openDays, WHOLE_BOOK).perMonth),
      plannedHours: sheet.read(workNeeded, 'labour hours').perMonth,
      sharedOut: assigned,
      notSharedOut: difference('Unabsorbed per month', total, assigned),
    };
  },
};
