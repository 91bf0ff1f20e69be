import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { apportion, sharesInPercent } from './apportion.js';
import { Decimal, decimal } from './decimal.js';
import { compared, subtracted } from './noise.js';
import { fixedDigits, roundToStep } from './round.js';

describe('decimals', () => {
  it('are decimal where binary floats are not, to 34 digits', () => {
    expect(decimal('0.1').plus('0.2').toFixed()).toBe('0.3');
    expect(decimal(1).div(3).toFixed()).toBe(`0.${'3'.repeat(34)}`);
    expect(decimal('9999999999999999999999999999999999').plus(0).toFixed()).toBe('9'.repeat(34));
  });

  it('round half away from zero, or half to even where a book says so', () => {
    expect(fixedDigits('1.005', 2, 'half-away-from-zero')).toBe('1.01');
    expect(fixedDigits('-1.005', 2, 'half-away-from-zero')).toBe('-1.01');
    expect(fixedDigits('1.005', 2, 'half-even')).toBe('1.00');
    expect(fixedDigits('1.015', 2, 'half-even')).toBe('1.02');
    expect(roundToStep(decimal('7.32'), decimal('0.05'), 'half-away-from-zero').toFixed()).toBe('7.3');
  });

  it('do not round up for what a division left over', () => {
    const ten = decimal(10).div(3).mul(3);
    expect(ten.eq(10)).toBe(false);
    expect(roundToStep(ten, decimal('0.01'), 'up').toFixed(2)).toBe('10.00');
    // 4.617 an hour for 40000/12 hours as they are typed, 3333.333333333333: 15,390.00 and no cent more.
    const typed = decimal('3333.333333333333').mul('4.617');
    expect(roundToStep(typed, decimal('0.01'), 'up').toFixed(2)).toBe('15390.00');
    expect(roundToStep(typed, decimal('0.01'), 'down').toFixed(2)).toBe('15390.00');
    const more = decimal('15390.00000002');
    expect(roundToStep(more, decimal('0.01'), 'up').toFixed(2)).toBe('15390.01');
    expect(roundToStep(decimal('15389.99999998'), decimal('0.01'), 'down').toFixed(2)).toBe('15389.99');
  });
});

describe('apportion', () => {
  const weights = fc
    .array(fc.integer({ min: 0, max: 10_000 }), { minLength: 1, maxLength: 12 })
    .filter((list) => list.some((each) => each > 0));
  const cent = decimal('0.01');

  it('shares out exactly, each share within one step of its own, for credits too', () => {
    fc.assert(
      fc.property(fc.integer({ min: -1_000_000, max: 1_000_000 }), weights, (cents, parts) => {
        const whole = decimal(cents).mul(cent);
        const basis = parts.reduce((sum, each) => sum + each, 0);
        const shares = apportion(whole, parts.map(decimal), cent);
        expect(Decimal.sum(...shares).eq(whole)).toBe(true);
        shares.forEach((share, line) =>
          expect(
            share
              .minus(whole.mul(parts[line] ?? 0).div(basis))
              .abs()
              .lt(cent),
          ).toBe(true),
        );
      }),
    );
  });

  it('gives ties to the earlier line and refuses a basis of nothing', () => {
    expect(apportion(decimal('10'), [1, 1, 1].map(decimal), cent).map((share) => share.toFixed(2))).toEqual([
      '3.34',
      '3.33',
      '3.33',
    ]);
    expect(() => apportion(decimal('10'), [0, 0].map(decimal), cent)).toThrow(
      expect.objectContaining({ code: 'basis-not-positive' }),
    );
    expect(sharesInPercent([1, 1, 1].map(decimal))).toEqual(['33.4', '33.3', '33.3']);
  });
});

describe('what divisions leave over', () => {
  it('is dropped before a tie is looked for, in every mode', () => {
    // 29.955 kg of a pack of 3 kg at 1.00 cost exactly 9.985.
    const cost = decimal('29.955').mul(decimal(1).div(3));
    expect(cost.eq('9.985')).toBe(false);
    expect(fixedDigits(cost.toFixed(), 2, 'half-away-from-zero')).toBe('9.99');
    expect(fixedDigits(cost.toFixed(), 2, 'half-even')).toBe('9.98');
    expect(roundToStep(cost, decimal('0.001'), 'down').toFixed()).toBe('9.985');
    expect(roundToStep(cost, decimal('0.001'), 'up').toFixed()).toBe('9.985');
  });

  it('counts for nothing when amounts are subtracted or compared, and a real difference counts', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 10 ** 9 }), fc.integer({ min: 2, max: 997 }), (whole, divisor) => {
        const noisy = decimal(whole).div(divisor).mul(divisor);
        expect(subtracted(noisy, decimal(whole)).isZero()).toBe(true);
        expect(compared(noisy, decimal(whole))).toBe(0);
        const alittle = decimal('1e-15');
        expect(compared(decimal(whole).plus(alittle), noisy)).toBe(1);
        expect(compared(noisy, decimal(whole).plus(alittle))).toBe(-1);
      }),
    );
  });

  it('shares out a credit line with a negative share', () => {
    const shares = apportion(decimal('10'), [5, 3, -1].map(decimal), decimal('0.01'));
    expect(shares.map((share) => share.toFixed(2))).toEqual(['7.14', '4.29', '-1.43']);
  });
});
