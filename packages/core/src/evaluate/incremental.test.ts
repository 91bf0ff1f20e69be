import {
  applyChange,
  bookRows,
  type BookRows,
  type Change,
  isOfField,
  type Kind,
  KIND_NAMES,
  type Override,
  rowsByKind,
  type StoredRow,
  validateRow,
  withoutVersion,
} from '@nuvar/book';
import { describe, expect, it } from 'vitest';
import { DAY, demoRows } from '../testing/evaluated.js';
import { edit, type Edit, operationsOf, overridesOf } from '../testing/random-edits.js';
import { reportOf, VIEWS } from '../views/index.js';
import { evaluate } from './index.js';
import fc from 'fast-check';

/** Makes edits one after the other, as far as the book takes them; `after` is called with what each has written. */
function edited(
  rows: BookRows,
  edits: readonly Edit[],
  after: (writes: Parameters<BookRows['apply']>[0]) => void,
): number {
  let made = 0;
  edits.forEach((each, index) => {
    const id = `0199f000-0000-7000-8000-${String(index).padStart(12, '0')}`;
    const change: Change = { id, operations: operationsOf(rows, each, id) };
    const applied = applyChange(rows, change);
    if (!applied.ok || applied.writes.length === 0) return;
    rows.apply(applied.writes);
    after(applied.writes);
    made += 1;
  });
  return made;
}

describe('an evaluation that follows changes', () => {
  it('says after any of them what a full evaluation of the changed book says, and so does a fork of it', () => {
    const kinds = new Set<Kind>();
    fc.assert(
      fc.property(
        fc.array(edit, { minLength: 1, maxLength: 14 }),
        fc.array(edit, { maxLength: 6 }),
        (edits, overridden) => {
          const rows = demoRows();
          // Whole rows are left to what-ifs, which lay them anew where the book has lost what they stand on.
          const overrides = overridesOf(rows, overridden).filter(isOfField);
          const following = evaluate(rowsByKind(rows), DAY);
          const fork = following.fork(overrides.slice(0, 2));
          const forkOfFork = fork.fork(overrides.slice(2));
          reportOf(following);
          let count = 0;
          edited(rows, edits, (writes) => {
            writes.forEach(({ kind }) => kinds.add(kind));
            following.apply(writes);
            count += 1;
            if (count % 3 === 0) [following, fork, forkOfFork].forEach(reportOf);
          });
          const fresh = evaluate(rowsByKind(rows), DAY);
          expect(reportOf(following)).toEqual(reportOf(fresh));
          const freshFork = fresh.fork(overrides.slice(0, 2));
          expect(reportOf(fork)).toEqual(reportOf(freshFork));
          expect(reportOf(forkOfFork)).toEqual(reportOf(freshFork.fork(overrides.slice(2))));
          // The quantity of a line is worked out again when it is opened: from the rows of now, and from no others.
          for (const { id } of rows.all('billLine'))
            for (const path of ['', '#0', '#0.0', '#0.0.0'])
              expect(VIEWS.working(following, `billLine/${id}/total${path}`)).toEqual(
                VIEWS.working(fresh, `billLine/${id}/total${path}`),
              );
        },
      ),
      { numRuns: 40 },
    );
    // Otherwise the property would say little: most kinds have to have been written to.
    expect(kinds.size).toBeGreaterThan(KIND_NAMES.length / 2);
  }, 300_000);

  it('works out again only what a change can reach', () => {
    const rows = demoRows();
    const evaluation = evaluate(rowsByKind(rows), DAY);
    const costs = new Map(
      rows.all('product').map(({ id, name }) => [name, () => evaluation.figure(`product/${id}/primeCost`)] as const),
    );
    const before = new Map([...costs].map(([name, read]) => [name, read()]));
    const ribbon = rows.all('material').find(({ name }) => name === 'Ribbon');
    const price = rows.rowsWith('supplierPrice', 'materialId', ribbon?.id ?? '')[0] as StoredRow<'supplierPrice'>;
    evaluation.apply([
      { kind: 'supplierPrice', id: price.id, before: price, after: { ...price, price: '20', version: 2 } },
    ]);
    const moved = [...costs].filter(([name, read]) => read() !== before.get(name)).map(([name]) => name);
    expect(moved).toEqual(['Gift set, two mugs']);
  });
});

describe('a fork', () => {
  it('lays a trial over the book in a fork, the baseline kept in its working', () => {
    const rows = demoRows();
    const evaluation = evaluate(rowsByKind(rows), DAY);
    const before = JSON.stringify(reportOf(evaluation));
    const point = rows.all('pricePoint')[0] as StoredRow<'pricePoint'>;
    const fork = evaluation.fork([{ kind: 'pricePoint', id: point.id, field: 'price', how: 'set', value: '25' }]);
    const tried = fork.figure(`setPrice/${point.id}/price`);
    expect([tried?.operation, tried?.amount?.toFixed(), tried?.parts.map(({ amount }) => amount?.toFixed())]).toEqual([
      'overridden',
      '25',
      ['19.5', '25'],
    ]);
    expect(JSON.stringify(reportOf(evaluation))).toBe(before);
    fork.lay([]);
    expect(JSON.stringify(reportOf(fork))).toBe(before);
  });

  it('says what an evaluation says of the book with the overrides written into it', () => {
    fc.assert(
      fc.property(fc.array(edit, { minLength: 1, maxLength: 8 }), (overridden) => {
        const rows = demoRows();
        const evaluation = evaluate(rowsByKind(rows), DAY);
        const written = bookRows(rowsByKind(rows));
        const placeOf = (each: Override) => `${each.id}.${isOfField(each) ? each.field : ''}`;
        const overrides = overridesOf(rows, overridden).filter(
          (each, index, all) => all.findIndex((one) => placeOf(one) === placeOf(each)) === index,
        );
        const fork = evaluation.fork(overrides);
        const laid = overrides.filter(({ kind, id }) => {
          const next = (fork.rows.row(kind, id) as StoredRow | undefined) ?? null;
          written.put(kind, id, next);
          return next === null || validateRow(kind, withoutVersion(next)).length === 0;
        });
        // What does not fit its class is not laid, and is a gap: there is no such book to compare with.
        fc.pre(
          laid.length === overrides.length &&
            !reportOf(fork).looseEnds.some(({ code }) => code === 'override-does-not-fit'),
        );
        expect(reportOf(fork)).toEqual(reportOf(evaluate(rowsByKind(written), DAY)));
      }),
      { numRuns: 40 },
    );
  }, 300_000);

  it('can be laid anew, and then says what a new one says; ended, nothing is left of it', () => {
    fc.assert(
      fc.property(fc.array(fc.array(edit, { maxLength: 4 }), { minLength: 1, maxLength: 5 }), (layers) => {
        const rows = demoRows();
        const evaluation = evaluate(rowsByKind(rows), DAY);
        const before = reportOf(evaluation);
        const fork = evaluation.fork([]);
        for (const each of layers) {
          const overrides = overridesOf(rows, each);
          fork.lay(overrides);
          expect(reportOf(fork)).toEqual(reportOf(evaluate(rowsByKind(rows), DAY).fork(overrides)));
        }
        fork.end();
        expect(reportOf(evaluation)).toEqual(before);
      }),
      { numRuns: 12 },
    );
  }, 300_000);

  it('shares what the overrides do not reach: the very results of its parent', () => {
    const rows = demoRows();
    const evaluation = evaluate(rowsByKind(rows), DAY);
    const ribbon = rows.all('material').find(({ name }) => name === 'Ribbon');
    const price = rows.rowsWith('supplierPrice', 'materialId', ribbon?.id ?? '')[0] as StoredRow<'supplierPrice'>;
    const costs = rows.all('product').map(({ id, name }) => [name, `product/${id}/primeCost`] as const);
    const fork = evaluation.fork([{ kind: 'supplierPrice', id: price.id, field: 'price', how: 'scale', by: '3' }]);
    const moved = costs.filter(([, key]) => fork.figure(key) !== evaluation.figure(key)).map(([name]) => name);
    expect(moved).toEqual(['Gift set, two mugs']);
    const nothing = evaluation.fork([{ kind: 'supplierPrice', id: price.id, field: 'price', how: 'add', by: '0' }]);
    expect(costs.every(([, key]) => nothing.figure(key) === evaluation.figure(key))).toBe(true);
  });

  it('does not lay what the class of the row refuses, and says so', () => {
    const rows = demoRows();
    const evaluation = evaluate(rowsByKind(rows), DAY);
    const mug = rows.all('product').find(({ name }) => name === 'Everyday mug');
    const id = mug?.id ?? '';
    const fork = evaluation.fork([{ kind: 'product', id, field: 'batchSize', how: 'set', value: '-3' }]);
    const started = fork.figure(`batch/${id}/started`);
    expect([started?.amount, started?.gaps[0]?.code]).toEqual([null, 'override-does-not-fit']);
    expect(fork.sheet.row('product', id)?.batchSize).toBe(mug?.batchSize);
  });
});

it('the day of an evaluation is one of the calendar', () => {
  for (const day of ['31.03.2026', '2026-02-30', 'soon', ''])
    expect(() => evaluate({}, day)).toThrow(expect.objectContaining({ code: 'not-a-day' }));
});
