import { describe, expect, it } from 'vitest';
import type { StoredRow } from '../change/index.js';
import { newId } from '../new-id.js';
import { readBookFile } from './book-file.js';

const ofFormat7 = (channel: Record<string, unknown>) => {
  const read = readBookFile({
    format: 'nuvar-book',
    version: 7,
    rows: { settings: [{ id: newId(), name: 'Workshop' }], channel: [{ id: newId(), name: 'Web shop', ...channel }] },
  });
  if (!read.ok) throw new Error(read.problems.map(({ sentence }) => sentence).join(' '));
  const fees = read.rows.all('feeRule') as readonly StoredRow<'feeRule'>[];
  return fees.map(({ takenOf, percent, amount }) => ({ takenOf, percent, amount }));
};

describe('a book file of format 7', () => {
  it.each<[channel: Record<string, string>, fees: Record<string, string | null>[]]>([
    [
      { feePercent: '12', feePerOrder: '0.30' },
      [
        { takenOf: 'price paid', percent: '12', amount: null },
        { takenOf: 'order', percent: null, amount: '0.30' },
      ],
    ],
    [
      { feePercent: '12', feeBasis: 'price before tax' },
      [{ takenOf: 'price before tax', percent: '12', amount: null }],
    ],
    [{ feePercent: '0', feePerOrder: '0.00' }, []],
    [{}, []],
  ])('says the fees %o of a channel as rules of their own', (channel, fees) => {
    expect(ofFormat7(channel)).toEqual(fees);
  });
});
