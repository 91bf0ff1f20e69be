import { describe, expect, it } from 'vitest';
import { guessColumns, listNoteSentence, readPriceList } from '../purchasing/index.js';
import { LONG_TEXTS } from '../testing/long-texts.js';
import { rowsOf } from '../testing/evaluated.js';
import { readAdjustment, readNumber } from './index.js';
import { readDay } from '../calendar/read-day.js';

const shop = rowsOf((book) => void book.add('settings', { name: 'Shop' }));

// A pattern that takes more than linear time over a million letters does not come back: then these run into the time limit.
describe.each(Object.entries(LONG_TEXTS))('a million letters: %s', (_kind, text) => {
  it('are no number, no day and no change of values, and are told so at once', () => {
    for (const sign of ['.', ','] as const) {
      expect(readNumber(text, sign)).toBeNull();
      expect(readAdjustment(text, sign)).toBeNull();
      expect(readAdjustment(`x${text}`, sign)).toBeNull();
    }
    for (const order of ['day first', 'month first'] as const) expect(readDay(text, order)).toBeNull();
  });

  it('in every cell of a price list are not understood, and the list is read all the same', () => {
    const table = [['Name', 'Pack', 'Price', 'Currency', 'Valid from', 'Supplier'], Array<string>(6).fill(text)];
    const reading = {
      ...guessColumns(table, '.'),
      supplier: '',
      currency: 'EUR',
      validFrom: '2026-01-01',
      unitWords: {},
      linked: {},
    };
    guessColumns([[text, text]], '.');
    const rows = readPriceList(table, reading, shop, () => undefined);
    for (const { outcome } of rows) expect(outcome).toBe('not understood');
    for (const note of rows.flatMap(({ notes }) => notes)) expect(listNoteSentence(note).length).toBeLessThan(200);
  });
});
