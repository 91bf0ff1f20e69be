import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { NUMBER, PERCENT, unit } from '../quantity/index.js';
import { amount, DAY, evaluated, workshop } from '../testing/evaluated.js';
import type { Figure } from './figure.js';
import { folded } from './folded.js';
import { figureGap } from './gaps.js';
import { constant, missing } from './leaves.js';
import { difference, multiplied, percentOf, quotient, shareOf, sum, wholeOf } from './operations.js';
import { runningSum } from './running-sum.js';
import { sameValue } from './same-value.js';
import { slopes } from './slopes.js';

const EUR = unit('EUR');
const euros = (amount: string) => constant('money', amount, EUR, 'example');
const unknown = missing({ name: 'unknown', unit: EUR }, figureGap('row-missing', null, { subject: 'salt' }));

describe('figures', () => {
  it('of different units cannot be added or compared: that is a fault of the program', () => {
    const kilos = constant('weight', '1', unit('kg'), 'example');
    for (const mix of [
      () => sum('both', EUR, [euros('1'), kilos]),
      () => difference('both', euros('1'), kilos),
      () => shareOf('both', kilos, euros('1')),
    ]) {
      expect(mix).toThrow(expect.objectContaining({ code: 'units-differ' }));
    }
  });

  it('let gaps travel up: a sum is partial and says so, nothing else is worked out of something partial', () => {
    const half = sum('cost', EUR, [euros('3'), unknown]);
    expect(half.amount?.toFixed()).toBe('3');
    expect(half.gaps.map((each) => each.code)).toEqual(['row-missing']);
    expect(multiplied('twice', half, constant('two', '2', NUMBER, 'example')).amount?.toFixed()).toBe('6');
    expect(percentOf('part', constant('ten', '10', PERCENT, 'example'), half).amount?.toFixed()).toBe('0.3');
    for (const of of [
      difference('profit', euros('9'), half),
      shareOf('margin', half, euros('9')),
      quotient('ratio', euros('9'), half),
      multiplied('square', half, half),
    ]) {
      expect(of.amount).toBeNull();
      expect(of.gaps).toHaveLength(1);
    }
    expect(sum('unknown', EUR, [unknown]).amount).toBeNull();
    expect(sum('nothing', EUR, []).amount?.toFixed()).toBe('0');
  });

  it('never divide by zero', () => {
    for (const of of [
      quotient('a', euros('1'), euros('0')),
      shareOf('b', euros('1'), euros('0')),
      wholeOf('c', euros('1'), constant('none', '0', PERCENT, 'example')),
    ]) {
      expect(of.amount).toBeNull();
      expect(of.gaps[0]?.code).toBe('divided-by-nothing');
    }
  });
});

describe('slopes', () => {
  it('are what a small step of each input really does, rounding and choices aside', () => {
    const { rows, point } = workshop({
      channel: { unitsPerOrder: '1.6' },
      fees: [
        { percent: '3', taxPercent: '20' },
        { takenOf: 'order', amount: '0.30' },
        {
          bandRule: 'slice by slice',
          bands: [
            { upTo: '10', percent: '4' },
            { percent: '2', amount: '0.10' },
          ],
        },
      ],
      pricePoint: { taxPercent: '20', taxInside: true, discountPercent: '5', price: '30' },
      billLine: { lossPercent: '8' },
      product: { batchSize: '12', yieldPercent: '92' },
    });
    const evaluation = evaluated(rows);
    const key = `pricePoint/${point}/profit`;
    const profit = evaluation.figure(key);
    if (profit?.amount == null) throw new RangeError('The example has a profit.');
    const found = slopes(profit);
    expect(found.length).toBeGreaterThan(15);
    for (const { input, slope } of found) {
      const { kind, id, field } = input.place ?? { kind: 'settings', id: '', field: '' };
      if (input.unit.text.startsWith('month')) continue;
      // A percentage that is at its most can only be lowered.
      const step = input.unit === PERCENT && input.amount?.eq(100) ? '-0.000001' : '0.000001';
      const fork = evaluation.fork([{ kind, id, field, how: 'add', by: step }]);
      const moved = fork.figure(key)?.amount?.minus(profit.amount).div(step);
      expect(Number(moved?.minus(slope).toFixed()), `${input.name} of ${input.subject}`).toBeCloseTo(0, 4);
    }
    expect(amount(evaluation, key)).toBe(profit.amount.toDecimalPlaces(20).toFixed());
    expect(evaluation.asOf).toBe(DAY);
  });
});

describe('a folded figure', () => {
  it('says what the figure says, works its parts out when it is first opened, and has the same ones ever after', () => {
    let opened = 0;
    const times = ({ one, other }: { one: string; other: string }) => {
      opened += 1;
      return multiplied(
        'Twice three',
        constant('Two', one, NUMBER, 'definition'),
        constant('Three', other, NUMBER, 'definition'),
      );
    };
    const twoAndThree = { one: '2', other: '3' };
    const figure = folded(times, twoAndThree);
    expect([figure.name, figure.amount?.toFixed(), opened]).toEqual(['Twice three', '6', 1]);
    const parts = figure.parts;
    expect(parts.map(({ name }) => name)).toEqual(['Two', 'Three']);
    expect([figure.parts === parts, opened]).toEqual([true, 2]);
    expect(sameValue(figure, times(twoAndThree))).toBe(true);
  });
});

describe('a running sum', () => {
  const called = { name: 'Cost', subject: 'a thing' };
  const amounts = fc.array(fc.tuple(fc.integer({ min: -99_999, max: 99_999 }), fc.integer({ min: 1, max: 97 })), {
    minLength: 1,
    maxLength: 12,
  });
  const quotients = (of: readonly (readonly [number, number])[]) =>
    of.map(([dividend, divisor]) =>
      quotient('part', euros(String(dividend)), constant('parts', String(divisor), NUMBER, 'example')),
    );

  it('is after any number of moves what adding all parts anew gives, to the last of 34 digits', () => {
    fc.assert(
      fc.property(amounts, fc.array(amounts, { maxLength: 6 }), (first, moves) => {
        let parts: readonly Figure[] = quotients(first);
        let running = runningSum(called, EUR, parts, undefined);
        for (const move of moves) {
          const moved = quotients(move);
          parts = parts.map((part, index) => moved[index * 2] ?? part);
          running = runningSum(called, EUR, parts, running);
          expect(sameValue(running, sum(called, EUR, parts))).toBe(true);
        }
      }),
    );
  });

  it('is the very figure of last time where nothing has moved, and another where it is called otherwise', () => {
    const parts = ['1', '2', '3', '4'].map(euros);
    const before = runningSum(called, EUR, parts, undefined);
    expect(runningSum(called, EUR, [...parts], before)).toBe(before);
    expect(runningSum({ ...called, subject: 'another' }, EUR, parts, before).subject).toBe('another');
  });

  it('follows parts that come, go, or lose their amount', () => {
    const four = ['1', '2', '3', '4'].map(euros);
    const before = runningSum(called, EUR, four, undefined);
    const withGap = runningSum(called, EUR, [...four.slice(0, 3), unknown], before);
    expect([withGap.amount?.toFixed(), withGap.gaps.length]).toEqual(['6', 1]);
    expect(runningSum(called, EUR, [...four, euros('5')], withGap).amount?.toFixed()).toBe('15');
    expect(runningSum(called, EUR, four.slice(0, 2), before).amount?.toFixed()).toBe('3');
  });
});
