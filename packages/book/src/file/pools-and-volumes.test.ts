import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { StoredRow } from '../change/index.js';
import { newId } from '../new-id.js';
import { readBookFile } from './book-file.js';

const file = (rows: Record<string, unknown>) => ({
  format: 'nuvar-book',
  version: 6,
  rows: { settings: [{ id: newId(), name: 'Workshop' }], ...rows },
});

const products = fc.array(
  fc.record({ planned: fc.option(fc.integer({ min: 0, max: 5000 }).map(String)), archived: fc.boolean() }),
  { maxLength: 6 },
);
const costs = fc.array(fc.constantFrom('production', 'non-production'), { maxLength: 6 });

describe('a book file of format 6', () => {
  it('keeps every planned unit and the use of every running cost, and says them as format 7 does', () => {
    fc.assert(
      fc.property(products, costs, (planned, uses) => {
        const read = readBookFile(
          file({
            product: planned.map((each, index) => ({
              id: newId(),
              name: `Product ${index}`,
              archived: each.archived,
              plannedUnitsPerMonth: each.planned,
            })),
            runningCost: uses.map((pool, position) => ({
              id: newId(),
              name: `Cost ${position}`,
              position,
              amount: '10',
              pool,
            })),
          }),
        );
        if (!read.ok) throw new Error(read.problems.map(({ sentence }) => sentence).join(' '));
        const rows = read.rows;
        const all = <K extends 'product' | 'plannedVolume' | 'runningCost' | 'costPool'>(kind: K) =>
          rows.all(kind) as readonly StoredRow<K>[];
        const unitsOf = (name: string) => {
          const product = all('product').find((each) => each.name === name);
          return all('plannedVolume')
            .filter(({ productId }) => productId === product?.id)
            .map(({ unitsPerMonth, channelId }) => [unitsPerMonth, channelId]);
        };
        planned.forEach((each, index) =>
          expect(unitsOf(`Product ${index}`)).toEqual(each.planned === null ? [] : [[each.planned, null]]),
        );
        const useOf = (name: string) => {
          const cost = all('runningCost').find((each) => each.name === name);
          return all('costPool').find(({ id }) => id === cost?.poolId)?.use;
        };
        expect(uses.map((_use, index) => useOf(`Cost ${index}`))).toEqual(uses);
        // A pool for each use that there is, and none for one that there is not.
        expect(
          all('costPool')
            .map(({ use }) => use)
            .sort(),
        ).toEqual([...new Set(uses)].sort());
      }),
    );
  });

  it('with a use that it does not know is refused by name', () => {
    const read = readBookFile(file({ runningCost: [{ id: newId(), name: 'Rent', position: 0, pool: 'shared' }] }));
    expect(read.ok).toBe(false);
    expect(read.ok ? '' : read.problems.map(({ sentence }) => sentence).join(' ')).toMatch(/pool/);
  });
});
