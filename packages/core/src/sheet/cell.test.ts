import fc from 'fast-check';
import { expect, it } from 'vitest';
import type { Sheet } from './calculation.js';
import { addDependent, type Cell, hasDependent, markDependentsStale, newCell, removeDependent } from './cell.js';

/** No cell is worked out here. */
const NO_SHEET = {} as Sheet;

/** More readers than are kept in a list, so that all ways of keeping them are met. */
const READERS = 100;

it('a cell knows its dependents however many come and go, and marks those and no others as stale', () => {
  const steps = fc.array(
    fc.record({ reader: fc.nat(READERS - 1), act: fc.constantFrom('add', 'add', 'add', 'remove') }),
    { maxLength: 400, size: 'max' },
  );
  fc.assert(
    fc.property(steps, (acts) => {
      const cell = newCell({ kind: 'material', field: 'id' }, 'read by all', NO_SHEET);
      const readers: Cell[] = Array.from({ length: READERS }, (_none, index) =>
        newCell({ kind: 'product', field: 'id' }, `reader ${index}`, NO_SHEET),
      );
      const expected = new Set<Cell>();
      for (const { reader, act } of acts) {
        const each = readers[reader] as Cell;
        if (act === 'add') {
          expect(addDependent(cell, each)).toBe(!expected.has(each));
          expected.add(each);
        } else {
          removeDependent(cell, each);
          expected.delete(each);
        }
      }
      expect(readers.filter((each) => hasDependent(cell, each))).toEqual(readers.filter((each) => expected.has(each)));
      markDependentsStale(cell);
      expect(readers.filter(({ stale }) => stale)).toEqual(readers.filter((each) => expected.has(each)));
    }),
  );
});
