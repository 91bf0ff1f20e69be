import { validateSync } from 'class-validator';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { quillfernPottery } from './demo/index.js';
import { fieldsOf, KIND_NAMES, KINDS, type Kind } from './kinds.js';
import { newId } from './new-id.js';
import { isRightRow } from './row-check.js';
import { completeRow, validateRow } from './validate-row.js';

const value = fc.oneof(
  fc.constantFrom<unknown>(null, undefined, '', ' a', 'a', 'kg', 'EUR', '0', '-1', '12.50', '101', '2026-03-31', true),
  fc.string(),
  fc.integer({ min: -5, max: 200 }),
  fc.constant({}),
);

const rowOf = (kind: Kind) =>
  fc.record(
    { ...Object.fromEntries(fieldsOf(kind).map(({ name }) => [name, value])), id: fc.constantFrom(newId(), 'no id') },
    { requiredKeys: [] },
  );

describe('the quick look at a row', () => {
  it.each(KIND_NAMES)('says what class-validator says, of rows of the demo book changed at random: %s', (kind) => {
    const rows = quillfernPottery().rows[kind] ?? [];
    const verdicts = new Set<boolean>();
    fc.assert(
      fc.property(fc.nat(), rowOf(kind), (at, changed) => {
        const row = { ...completeRow(kind, rows[at % Math.max(1, rows.length)] ?? { id: newId() }), ...changed };
        const errors = validateSync(Object.assign(new KINDS[kind].rowClass(), row));
        expect(isRightRow(kind, row)).toBe(errors.length === 0);
        expect(validateRow(kind, row).map(({ field }) => field)).toEqual(errors.map(({ property }) => property));
        verdicts.add(errors.length === 0);
      }),
      { numRuns: 300 },
    );
    expect(verdicts).toContain(false);
  });

  it('finds every row of the demo book right', () => {
    for (const kind of KIND_NAMES)
      for (const row of quillfernPottery().rows[kind] ?? [])
        expect(isRightRow(kind, completeRow(kind, row)), kind).toBe(true);
  });
});
