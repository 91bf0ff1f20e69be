import { rowsByKind } from '@nuvar/book';
import { expect, it } from 'vitest';
import { evaluate } from '../evaluate/index.js';
import { rowsOf } from '../testing/evaluated.js';
import { steppedCosts, stepsOfMonth } from './cost-steps.js';

const DRIVER = 'units';

/** Names of the stepped costs that count on a day, each with its steps a month. */
function stepsOn(
  day: string,
): Record<string, readonly (readonly [upTo: string | null, perMonth: string | undefined])[]> {
  const rows = rowsOf((book) => {
    book.add('settings', { name: 'Steps', openDaysPerMonth: '20' });
    const cost = (name: string, fields: object, ...steps: (readonly [string | null, string])[]) => {
      const id = book.add('runningCost', { name, rhythm: 'month', driver: DRIVER, ...fields });
      for (const [upTo, amount] of steps) book.add('costStep', { runningCostId: id, upTo, amount });
    };
    // Out of order, as they were typed.
    cost('Rent', { behaviour: 'stepped' }, [null, '6000'], ['150', '2000'], ['300', '3500']);
    cost('Forklift', { behaviour: 'stepped', rhythm: 'year', startsOn: '2026-07-01' }, ['100', '1200'], [null, '2400']);
    cost('Van', { behaviour: 'stepped', endsOn: '2026-09-30' }, [null, '400']);
    cost('Insurance', { behaviour: 'fixed', amount: '90' });
  });
  const { sheet } = evaluate(rowsByKind(rows), day);
  return Object.fromEntries(
    steppedCosts(sheet).map((row) => [
      row.name,
      stepsOfMonth(sheet, row).map(
        ({ upTo, perMonth }) => [upTo?.toFixed() ?? null, perMonth.amount?.toFixed()] as const,
      ),
    ]),
  );
}

const RENT = [
  ['150', '2000'],
  ['300', '3500'],
  [null, '6000'],
];

it('only costs that go in steps and count on the day have steps, in the order of their limits, brought to a month', () => {
  expect(stepsOn('2026-06-30')).toEqual({ Rent: RENT, Van: [[null, '400']] });
  expect(stepsOn('2026-11-25')).toEqual({
    Rent: RENT,
    Forklift: [
      ['100', '100'],
      [null, '200'],
    ],
  });
});
