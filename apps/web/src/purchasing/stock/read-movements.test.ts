import type { CreateOperation, StoredRow } from '@nuvar/book';
import { describe, expect, it } from 'vitest';
import { readMovements } from './read-movements.js';

const materials = [
  { id: 'clay', name: 'White clay', code: 'W-1', baseUnit: 'kg' },
  { id: 'tape', name: 'Paper tape', code: '', baseUnit: 'm' },
] as StoredRow<'material'>[];

const HEADINGS = [
  'date',
  'material',
  'code',
  'movement',
  'quantity',
  'unit',
  'cost',
  'belongs to',
  'shipment',
  'remark',
  'id',
];
const read = (...rows: readonly (readonly string[])[]) => readMovements([HEADINGS, ...rows], materials, 'de-DE');

describe('a ledger file', () => {
  it('is read by its headings, with ids of its own for what belongs together', () => {
    const { operations, problems } = read(
      ['2026-01-05', 'white CLAY', '', 'receipt', '10', 'kg', '40.50', '', '', 'first', 'a'],
      ['06.01.2026', 'other name', 'W-1', 'Late charge', '', '', '4,25', 'a', '', '', 'b'],
      ['', '', '', '', '', '', '', '', '', '', ''],
    );
    expect(problems).toEqual([]);
    const [receipt, charge] = (operations as CreateOperation[]).map(({ row }) => row as Record<string, unknown>);
    expect(receipt).toMatchObject({
      materialId: 'clay',
      type: 'receipt',
      quantity: '10',
      cost: '40.50',
      ofMovementId: null,
    });
    expect(charge).toMatchObject({ date: '2026-01-06', type: 'late charge', quantity: null, cost: '4.25' });
    expect(charge?.ofMovementId).toBe(receipt?.id);
    expect(receipt?.id).not.toBe('a');
  });

  it('is refused whole, with the first things that stand against it and their rows', () => {
    const { operations, problems } = read(
      ['2026-01-05', 'White clay', '', 'receipt', '10', 'kg', '40', '', '', '', 'a'],
      ['soon', 'White clay', '', 'issue', '1', '', '', '', '', '', 'b'],
      ['2026-01-05', 'Black clay', '', 'issue', '1', '', '', '', '', '', 'c'],
      ['2026-01-05', 'White clay', '', 'gift', '1', '', '', '', '', '', 'd'],
      ['2026-01-05', 'Paper tape', '', 'issue', '1', 'kg', '', '', '', '', 'e'],
      ['2026-01-05', 'White clay', '', 'late charge', '', '', '5', 'z', '', '', 'f'],
    );
    expect(operations).toEqual([]);
    expect(problems.map((each) => each.slice(0, 6))).toEqual(['Row 3:', 'Row 4:', 'Row 5:', 'Row 6:', 'Row 7:']);
    expect(problems.join(' ')).toMatch(
      /not a day.*no material "Black clay".*"gift" is no movement.*kept in m, not in kg.*not in the file/,
    );
    expect(readMovements([['day', 'thing']], materials, 'de-DE').problems[0]).toContain('"date"');
  });
});
