import {
  applyChange,
  fieldsOf,
  fieldValue,
  isRowId,
  KIND_NAMES,
  newId,
  removalOf,
  withoutVersion,
  type BookReader,
  type Kind,
  type Operation,
  type StoredRow,
} from '@nuvar/book';
import { quillfernPottery, rowsOfFile } from '@nuvar/book/demo';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { judgedOnDemand, readerOnDemand, type Load } from './reader-on-demand.js';

const whole = rowsOfFile(quillfernPottery());

/** True where a column holds ids: the database takes nothing else to look for in it. */
const holdsIds = (kind: Kind, field: string) =>
  field === 'id' || fieldsOf(kind).some(({ name, type }) => name === field && type === 'reference');

/** Loads as the database does: all rows that have any of the values. */
const load: Load = (kind, asked) =>
  Promise.resolve(
    [...asked].flatMap(([field, values]) =>
      [...values].flatMap((value) => {
        if (holdsIds(kind, field) && !isRowId(value)) throw new RangeError(`"${value}" is no ${field} of ${kind}.`);
        return whole.rowsWith(kind, field, value);
      }),
    ),
  );

const every: readonly { kind: Kind; row: StoredRow }[] = KIND_NAMES.flatMap((kind) =>
  whole.all(kind).map((row) => ({ kind, row: row as StoredRow })),
);

const products = whole.all('product');
/** A line by which one product goes into another: sometimes one that it contains already. */
const linkOf = (of: number, other: number): Operation => ({
  action: 'create',
  kind: 'billLine',
  row: {
    id: newId(),
    productId: products[of % products.length]?.id,
    componentId: products[other % products.length]?.id,
    quantity: '1',
    unit: 'each',
  },
});

/** One operation on some row: taken away with or without what belongs to it, copied, or one of its fields set to that of another row. */
const operation = fc
  .record({
    row: fc.nat({ max: every.length - 1 }),
    other: fc.nat({ max: every.length - 1 }),
    field: fc.nat(),
    action: fc.constantFrom('remove', 'remove alone', 'copy', 'link', 'link', 'update', 'update', 'update'),
  })
  .map(({ row: index, other, field, action }): Operation[] => {
    const { kind, row } = every[index] as (typeof every)[number];
    if (action === 'link') return [linkOf(index, other)];
    if (action === 'remove') return removalOf(whole, kind, row.id);
    if (action === 'remove alone')
      return [{ action, kind, id: row.id, version: row.version } as unknown as Operation].map(
        (each) => ({ ...each, action: 'remove' }) as Operation,
      );
    if (action === 'copy') return [{ action: 'create', kind, row: { ...withoutVersion(row), id: newId() } }];
    const fields = fieldsOf(kind);
    const { name, target } = fields[field % fields.length] as (typeof fields)[number];
    const rowsOfTarget = target === undefined ? whole.all(kind) : whole.all(target as Kind);
    const from = rowsOfTarget[other % Math.max(1, rowsOfTarget.length)] as StoredRow | undefined;
    const value = target === undefined ? from && fieldValue(from, name) : from?.id;
    return [
      {
        action: 'update',
        kind,
        id: row.id,
        before: { [name]: fieldValue(row, name) },
        after: { [name]: value ?? null },
      },
    ];
  });

describe('rules judged on the rows that they ask for', () => {
  it('say what they say over the whole book', async () => {
    const refused = new Set<string>();
    await fc.assert(
      fc.asyncProperty(fc.array(operation, { minLength: 1, maxLength: 3 }), async (operations) => {
        const change = { id: newId(), operations: operations.flat() };
        const expected = applyChange(whole, change);
        const judge = (reader: BookReader) => applyChange(reader, change);
        expect(await judgedOnDemand(readerOnDemand(), load, judge)).toEqual(expected);
        if (!expected.ok) expected.problems.forEach(({ code }) => refused.add(code));
      }),
      { numRuns: 400 },
    );
    // Otherwise the property would say nothing of the rules.
    expect([...refused]).toEqual(expect.arrayContaining(['still-used', 'name-taken', 'component-loop']));
  });

  it('ask for the rows around a change, and not for the book', async () => {
    const mug = whole.rowsWith('product', 'name', 'Everyday mug')[0] as StoredRow<'product'>;
    const loaded = new Set<string>();
    const counting: Load = async (kind, asked) => {
      const rows = await load(kind, asked);
      rows.forEach(({ id }) => loaded.add(id));
      return rows;
    };
    const operations: Operation[] = [
      {
        action: 'update',
        kind: 'product',
        id: mug.id,
        before: { batchSize: mug.batchSize },
        after: { batchSize: '7' },
      },
    ];
    const applied = await judgedOnDemand(readerOnDemand(), counting, (reader) =>
      applyChange(reader, { id: newId(), operations }),
    );
    expect([applied.ok, loaded.size]).toEqual([true, 1]);
  });
});
