import {
  applyChange,
  bookRows,
  type BookRows,
  type Kind,
  newId,
  type Operation,
  type Override,
  rowsByKind,
  type StoredRow,
  withoutVersion,
} from '@nuvar/book';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { amount, DAY, demoRows, evaluated, workshop } from '../testing/evaluated.js';
import { edit, operationsOf, overridesOf } from '../testing/random-edits.js';
import { evaluate } from '../evaluate/index.js';
import { reportOf } from '../views/index.js';
import {
  addToWhatIf,
  layWhatIf,
  mergeConflicts,
  mergeOperations,
  movedSince,
  takeOver,
  whatIfOperations,
} from './index.js';

const WHAT_IF = '0199f000-0000-7000-a000-000000000001';
const OTHER = '0199f000-0000-7000-a000-000000000002';

/** Makes operations a change of the book; they have to be right. */
function written(rows: BookRows, operations: readonly Operation[]): void {
  const applied = applyChange(rows, { id: newId(), operations });
  if (!applied.ok) throw new RangeError(applied.problems.map(({ sentence }) => sentence).join(' '));
  rows.apply(applied.writes);
}

const begun = (rows: BookRows, id = WHAT_IF) =>
  written(rows, [{ action: 'create', kind: 'whatIf', row: { id, name: `What if ${id.slice(-1)}` } }]);
const put = (rows: BookRows, overrides: readonly Override[], notes = {}, id = WHAT_IF) =>
  written(rows, addToWhatIf(rows, id, overrides, notes, newId));
const changesOf = (rows: BookRows, id = WHAT_IF) =>
  [...rows.rowsWith('whatIfChange', 'whatIfId', id)].sort((one, other) => one.position - other.position);

/** The rows of the book with the what-if written into them. */
function shownIn(rows: BookRows): BookRows {
  const shown = bookRows(rowsByKind(rows));
  shown.apply(layWhatIf(rows, WHAT_IF).writes);
  return shown;
}

/** Rows as they are, whatever their version and the order in which they were found. */
const plain = (rows: BookRows, but: readonly Kind[] = []) =>
  Object.fromEntries(
    Object.entries(rowsByKind(rows))
      .filter(([kind]) => !but.includes(kind as Kind))
      .map(([kind, all]) => [
        kind,
        (all as readonly StoredRow[]).map(withoutVersion).sort((one, other) => (one.id < other.id ? -1 : 1)),
      ]),
  );
const OWN: readonly Kind[] = ['whatIf', 'whatIfChange'];

describe('an edit that is made in a what-if', () => {
  it('shows what the edit would have made of the book, leaves the book as it is, and taken over does the same to it', () => {
    fc.assert(
      fc.property(fc.array(edit, { minLength: 1, maxLength: 12 }), (edits) => {
        const rows = demoRows();
        const before = plain(rows, OWN);
        begun(rows);
        const expected = bookRows(rowsByKind(rows));
        edits.forEach((each, index) => {
          if (OWN.includes(each.kind)) return;
          const id = `0199f000-0000-7000-8000-${String(index).padStart(12, '0')}`;
          const shown = shownIn(rows);
          const applied = applyChange(shown, { id, operations: operationsOf(shown, each, id) });
          if (!applied.ok || applied.writes.some(({ kind }) => kind === 'stockMovement')) return;
          expected.apply(applied.writes);
          written(rows, whatIfOperations(rows, WHAT_IF, applied.writes, newId));
        });
        expect(layWhatIf(rows, WHAT_IF).refusals).toEqual(new Map());
        expect(plain(shownIn(rows), OWN)).toEqual(plain(expected, OWN));
        expect(plain(rows, OWN)).toEqual(before);
        const fork = evaluate(rowsByKind(rows), DAY).fork(layWhatIf(rows, WHAT_IF).overrides);
        const asShown = JSON.stringify(reportOf(fork));
        const { operations, refusals } = takeOver(rows, changesOf(rows));
        expect(refusals.size).toBe(0);
        if (operations.length > 0) written(rows, operations);
        expect(changesOf(rows)).toEqual([]);
        expect(plain(rows, OWN)).toEqual(plain(expected, OWN));
        expect(JSON.stringify(reportOf(evaluate(rowsByKind(rows), DAY)))).toBe(asShown);
      }),
      { numRuns: 40 },
    );
  }, 300_000);

  it('is one change a field, however often it is edited, and none once it is back to what the book says', () => {
    const { rows, price, material } = workshop();
    begun(rows);
    const edited = (kind: Kind, id: string, field: string, value: unknown) => {
      const shown = shownIn(rows);
      const before = { [field]: (shown.row(kind, id) as unknown as Record<string, unknown>)[field] };
      const applied = applyChange(shown, {
        id: newId(),
        operations: [{ action: 'update', kind, id, before, after: { [field]: value } }],
      });
      if (applied.ok) written(rows, whatIfOperations(rows, WHAT_IF, applied.writes, newId));
    };
    const first = rows.row('supplierPrice', price)?.price ?? '';
    edited('supplierPrice', price, 'price', '99');
    edited('material', material, 'name', 'Other stuff');
    edited('supplierPrice', price, 'price', '98.5');
    expect(changesOf(rows).map(({ field, value, was }) => [field, value, was])).toEqual([
      ['price', '"98.5"', JSON.stringify(first)],
      ['name', '"Other stuff"', '"Stuff"'],
    ]);
    edited('supplierPrice', price, 'price', first);
    expect(changesOf(rows).map(({ field }) => field)).toEqual(['name']);
    // What was changed together stands below it: then the value of the book is said over it.
    put(rows, [{ kind: 'supplierPrice', id: price, field: 'price', how: 'scale', by: '2' }], {
      bulk: 'All prices x 2',
    });
    edited('supplierPrice', price, 'price', first);
    expect(shownIn(rows).row('supplierPrice', price)?.price).toBe(first);
    expect(changesOf(rows).map(({ field, how }) => [field, how])).toEqual([
      ['name', 'set'],
      ['price', 'scale'],
      ['price', 'set'],
    ]);
  });
});

describe('what a what-if holds', () => {
  it('counts what was changed together before what was changed by itself, and of two the later', () => {
    const { rows, price } = workshop();
    begun(rows);
    const at = { kind: 'supplierPrice', id: price, field: 'price' } as const;
    written(rows, [
      {
        action: 'update',
        kind: at.kind,
        id: price,
        before: { price: rows.row(at.kind, price)?.price },
        after: { price: '20' },
      },
    ]);
    put(rows, [{ ...at, how: 'set', value: '30' }]);
    put(rows, [{ ...at, how: 'scale', by: '1.1' }], { bulk: 'A' });
    const [single, bulk] = changesOf(rows);
    expect(layWhatIf(rows, WHAT_IF).replacedBy).toEqual(new Map([[bulk?.id, single?.id]]));
    expect(shownIn(rows).row(at.kind, price)?.price).toBe('30');
    written(rows, [{ action: 'remove', kind: 'whatIfChange', id: single?.id ?? '', version: 1 }]);
    expect(shownIn(rows).row(at.kind, price)?.price).toBe('22');
    put(rows, [{ ...at, how: 'add', by: '-0.5' }], { bulk: 'B' });
    expect(shownIn(rows).row(at.kind, price)?.price).toBe('19.5');
  });

  it('multiplies what is stored: 15 % x 1.1 is 16.5 %, and plus 2 is 17 %', () => {
    const { rows, point } = workshop({ pricePoint: { discountPercent: '15' } });
    begun(rows);
    const at = { kind: 'pricePoint', id: point, field: 'discountPercent' } as const;
    const shown = (override: Override) =>
      evaluated(rows).fork([override]).sheet.row('pricePoint', point)?.discountPercent;
    expect(shown({ ...at, how: 'scale', by: '1.1' })).toBe('16.5');
    expect(shown({ ...at, how: 'add', by: '2' })).toBe('17');
  });

  it.each([
    [
      'a row that is gone',
      (at: Ids): Override => ({ kind: 'supplier', id: at.gone, field: 'name', how: 'set', value: 'Marl' }),
      'This supplier is no longer in the book.',
    ],
    [
      'an empty field that is multiplied',
      (at: Ids): Override => ({ kind: 'product', id: at.product, field: 'madePerMonth', how: 'scale', by: '2' }),
      'Made a month is empty, so it cannot be multiplied. Set it to a value.',
    ],
    [
      'an empty field that is added to',
      (at: Ids): Override => ({ kind: 'product', id: at.product, field: 'madePerMonth', how: 'add', by: '2' }),
      'Made a month is empty, so nothing can be added to it. Set it to a value.',
    ],
    [
      'a row that is there already',
      (at: Ids): Override => ({
        kind: 'material',
        id: at.material,
        how: 'create',
        row: { id: at.material, name: 'Stuff' },
      }),
      'This material is in the book already.',
    ],
    [
      'a row that is none',
      (at: Ids): Override => ({ kind: 'supplier', id: at.gone, how: 'create', row: { id: at.gone, name: '' } }),
      'Name cannot be empty.',
    ],
    [
      'a row that is still used',
      (at: Ids): Override => ({ kind: 'material', id: at.material, how: 'remove' }),
      'Stuff cannot be removed: it is still used in this supplier price.',
    ],
    [
      'a name that is taken',
      (at: Ids): Override => ({ kind: 'material', id: at.gone, how: 'create', row: { id: at.gone, name: 'stuff' } }),
      'There is already a material called "stuff".',
    ],
    [
      'a component of itself',
      (at: Ids): Override => ({
        kind: 'billLine',
        id: at.gone,
        how: 'create',
        row: { id: at.gone, productId: at.product, componentId: at.product, unit: 'each' },
      }),
      'A product cannot contain itself: Thing → Thing.',
    ],
  ])('%s does not count, is said, and the rest does', (_what, override, sentence) => {
    const { rows, product, material, price } = workshop();
    begun(rows);
    const good: Override = { kind: 'supplierPrice', id: price, field: 'price', how: 'set', value: '77' };
    put(rows, [override({ product, material, gone: '0199f000-0000-7000-a000-00000000000f' }), good]);
    const { refusals, overrides } = layWhatIf(rows, WHAT_IF);
    expect([...refusals.values()]).toEqual([sentence]);
    expect(overrides).toEqual([good]);
    const chosen = changesOf(rows);
    const over = takeOver(rows, chosen);
    written(rows, over.operations);
    expect([rows.row('supplierPrice', price)?.price, changesOf(rows).length]).toEqual(['77', 1]);
  });

  it('keeps a value that does not fit as a gap at its place: a yield of 0, a rate of 0', () => {
    const { rows, product } = workshop();
    begun(rows);
    put(rows, [{ kind: 'product', id: product, field: 'yieldPercent', how: 'set', value: '0' }]);
    const { overrides, refusals } = layWhatIf(rows, WHAT_IF);
    expect([...refusals.values()]).toEqual(['Yield must be more than 0.']);
    expect(amount(evaluated(rows).fork(overrides), `fullCost/${product}/fullCost`)).toBe('override-does-not-fit');
  });

  it('says what the book has changed since under a change', () => {
    const { rows, price } = workshop();
    begun(rows);
    put(rows, [{ kind: 'supplierPrice', id: price, field: 'price', how: 'set', value: '77' }]);
    const [change] = changesOf(rows);
    const { price: was } = rows.row('supplierPrice', price) as StoredRow<'supplierPrice'>;
    expect(movedSince(rows, change as StoredRow<'whatIfChange'>)).toBeNull();
    written(rows, [
      { action: 'update', kind: 'supplierPrice', id: price, before: { price: was }, after: { price: '12.34' } },
    ]);
    expect(movedSince(rows, change as StoredRow<'whatIfChange'>)).toEqual({ was, now: '12.34' });
    // What a file says there may be anything.
    expect(movedSince(rows, { ...change, was: 'not JSON' } as StoredRow<'whatIfChange'>)).toBeNull();
  });
});

interface Ids {
  readonly product: string;
  readonly material: string;
  readonly gone: string;
}

describe('what is taken over where two changes are of one field', () => {
  /** All prices x 1.1, and one of them set to 30 by itself, over 20 in the book. */
  const both = () => {
    const { rows, price } = workshop({ supplierPrice: { price: '20' } });
    begun(rows);
    const at = { kind: 'supplierPrice', id: price, field: 'price' } as const;
    put(rows, [{ ...at, how: 'scale', by: '1.1' }], { bulk: 'All prices' });
    put(rows, [{ ...at, how: 'set', value: '30' }]);
    const [bulk, single] = changesOf(rows) as [StoredRow<'whatIfChange'>, StoredRow<'whatIfChange'>];
    const take = (...chosen: StoredRow<'whatIfChange'>[]) => {
      const { operations, refusals } = takeOver(rows, chosen);
      if (operations.length > 0) written(rows, operations);
      return [rows.row('supplierPrice', price)?.price, shownIn(rows).row('supplierPrice', price)?.price, refusals.size];
    };
    return { bulk, single, take };
  };

  it('shows the same afterwards: what stood below it does not begin to count over the new value', () => {
    const { single, take } = both();
    expect(take(single)).toEqual(['30', '30', 0]);
  });

  it('does not take over what does not count', () => {
    const { bulk, take } = both();
    expect(take(bulk)).toEqual(['20', '30', 1]);
  });

  it('takes over both as the one that counts', () => {
    const { bulk, single, take } = both();
    expect(take(bulk, single)).toEqual(['30', '30', 0]);
  });
});

describe('two what-ifs that become one', () => {
  it('differ where they say other things of the same field, and the one that is chosen stays', () => {
    const { rows, price, product, material } = workshop();
    begun(rows);
    begun(rows, OTHER);
    const at = { kind: 'supplierPrice', id: price, field: 'price', how: 'set' } as const;
    put(rows, [
      { ...at, value: '30' },
      { kind: 'product', id: product, field: 'batchSize', how: 'set', value: '5' },
    ]);
    put(
      rows,
      [
        { ...at, value: '40' },
        { kind: 'material', id: material, field: 'code', how: 'set', value: 'S1' },
      ],
      {},
      OTHER,
    );
    const conflicts = mergeConflicts(rows, WHAT_IF, OTHER);
    expect(conflicts.map(({ into, from }) => [into.value, from.value])).toEqual([['"30"', '"40"']]);
    const merged = (taken: readonly string[]) => {
      const copy = bookRows(rowsByKind(rows));
      written(copy, mergeOperations(copy, WHAT_IF, OTHER, new Set(taken), newId));
      return changesOf(copy)
        .map(({ field, value }) => `${field} ${value}`)
        .sort();
    };
    expect(merged([])).toEqual(['batchSize "5"', 'code "S1"', 'price "30"']);
    expect(merged([conflicts[0]?.from.id ?? ''])).toEqual(['batchSize "5"', 'code "S1"', 'price "40"']);
  });

  it('differ where one takes away a row of which the other says something', () => {
    const { rows, line } = workshop();
    begun(rows);
    begun(rows, OTHER);
    put(rows, [{ kind: 'billLine', id: line, field: 'quantity', how: 'set', value: '9' }]);
    put(rows, [{ kind: 'billLine', id: line, how: 'remove' }], {}, OTHER);
    const [conflict] = mergeConflicts(rows, WHAT_IF, OTHER);
    written(rows, mergeOperations(rows, WHAT_IF, OTHER, new Set([conflict?.from.id ?? '']), newId));
    expect(changesOf(rows).map(({ how }) => how)).toEqual(['remove']);
    expect(mergeOperations(rows, WHAT_IF, OTHER, new Set(), newId)).toEqual([]);
  });
});

describe('random changes of a what-if, whatever the book has become', () => {
  it('are laid as one book that keeps all rules, and never fail', () => {
    fc.assert(
      fc.property(fc.array(edit, { minLength: 1, maxLength: 10 }), fc.array(edit, { maxLength: 6 }), (made, since) => {
        const rows = demoRows();
        begun(rows);
        const overrides = overridesOf(
          rows,
          made.filter(({ kind }) => !OWN.includes(kind)),
        );
        const fitting = overrides.filter(({ kind }) => kind !== 'stockMovement' && kind !== 'stockPosition');
        if (fitting.length > 0) put(rows, fitting);
        since.forEach((each, index) => {
          const id = `0199f000-0000-7000-8000-${String(index).padStart(12, '0')}`;
          const applied = applyChange(rows, { id, operations: operationsOf(rows, each, id) });
          if (applied.ok) rows.apply(applied.writes);
        });
        const { overrides: laid, writes } = layWhatIf(rows, WHAT_IF);
        const shown = shownIn(rows);
        const again = bookRows(rowsByKind(rows));
        const fork = evaluate(rowsByKind(again), DAY).fork(laid);
        for (const { kind, id, after } of writes) expect(fork.rows.row(kind, id) ?? null).toEqual(after);
        // Every gap of an override that does not fit aside, the fork says what the book would say.
        const asBook = evaluate(rowsByKind(shown), DAY);
        if (!reportOf(fork).looseEnds.some(({ code }) => code === 'override-does-not-fit'))
          expect(reportOf(fork)).toEqual(reportOf(asBook));
      }),
      { numRuns: 30 },
    );
  }, 300_000);
});
