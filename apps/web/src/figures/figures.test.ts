import type { FigureView, StripView } from '@nuvar/core';
import { describe, expect, it } from 'vitest';
import {
  dayOrder,
  dayText,
  decimalSign,
  digitsOf,
  firstWeekday,
  localeName,
  typedText,
  unitWords,
  written,
  type Style,
} from './format.js';
import { stripGeometry } from './strip-parts.js';

const irish: Style = { locale: 'en-IE', currency: 'EUR', rounding: 'half-away-from-zero' };
const german: Style = { ...irish, locale: 'de-DE' };
const yen: Style = { ...irish, locale: 'ja-JP', currency: 'JPY' };

describe('figures as they are written', () => {
  it('round as the book says, in the signs of its country, with a true minus and no minus zero', () => {
    expect(written('1234.565', 2, irish)).toBe('1,234.57');
    expect(written('1234.565', 2, { ...irish, rounding: 'half-even' })).toBe('1,234.56');
    expect(written('-1234.5', 2, german)).toBe('−1.234,50');
    expect(written('-0.001', 2, irish)).toBe('0.00');
    expect(written('123456789012345678.125', 2, irish)).toBe('123,456,789,012,345,678.13');
  });

  it('have the digits of the currency, two more for unit costs, and enough to see what is small', () => {
    expect(digitsOf('12.3', 'EUR per month', irish)).toBe(2);
    expect(digitsOf('12.3', 'EUR per kg', irish)).toBe(4);
    expect(digitsOf('1234', 'JPY per month', yen)).toBe(0);
    expect(digitsOf('0.0000437', 'EUR per mg', irish)).toBe(7);
    expect(digitsOf('48.64', '%', irish)).toBe(1);
  });

  it('are typed and named as people do', () => {
    expect([decimalSign('de-DE'), decimalSign('en-IE'), decimalSign('fr-FR')]).toEqual([',', '.', ',']);
    expect(typedText('12.50', 'de-DE')).toBe('12,50');
    expect(unitWords('EUR per each')).toBe('EUR per piece');
    expect(localeName('de-AT')).toBe('Austria, German');
  });
});

describe('the geometry of a price strip', () => {
  const figure = (amount: string | null, partial = false): FigureView => ({
    key: '',
    name: '',
    amount,
    unit: 'EUR',
    partial,
    gaps: [],
  });
  const strip = (price: string | null, labour: string | null): StripView => ({
    price: price === null ? null : figure(price),
    parts: [
      { part: 'materials', figure: figure('2') },
      { part: 'labour', figure: figure(labour) },
      { part: 'fees', figure: figure('1') },
    ],
    profit: null,
    contribution: null,
  });

  it('lays the parts end to end, with what is left up to the price', () => {
    const { stretches, price, end } = stripGeometry(strip('10', '4'));
    expect(stretches.map(({ part, from, to }) => [part, from, to])).toEqual([
      ['materials', 0, 2],
      ['labour', 2, 6],
      ['fees', 6, 7],
      ['profit', 7, 10],
    ]);
    expect([price, end]).toEqual([10, 7]);
  });

  it('goes on beyond the price where each sale loses, and says where something is not known', () => {
    const losing = stripGeometry(strip('5', '4'));
    expect(losing.stretches.some(({ part }) => part === 'profit')).toBe(false);
    expect([losing.price, losing.end, losing.partial]).toEqual([5, 7, false]);
    expect(stripGeometry(strip('5', null)).partial).toBe(true);
    expect(stripGeometry(strip(null, '4')).price).toBeNull();
  });
});

describe('days as they are written', () => {
  // The patterns of the Unicode Common Locale Data Repository; that weeks begin on Sunday in the United States and in
  // Portugal, and on Monday in most of Europe, is in its supplemental data.
  it.each([
    ['en-IE', '31/03/2026', 'day first', 1],
    ['en-US', '03/31/2026', 'month first', 0],
    ['de-DE', '31.03.2026', 'day first', 1],
    ['en-CA', '2026-03-31', 'day first', 0],
    ['pt-PT', '31/03/2026', 'day first', 0],
  ])('in %s', (locale, text, order, weekday) => {
    expect(dayText('2026-03-31', locale)).toBe(text);
    expect(dayOrder(locale)).toBe(order);
    expect(firstWeekday(locale)).toBe(weekday);
  });

  it('leave alone what is no day', () => {
    expect(dayText('', 'en-IE')).toBe('');
    expect(dayText('soon', 'en-IE')).toBe('soon');
  });
});
