import {
  applyChange,
  type BookRows,
  type Change,
  fieldsOf,
  fieldValue,
  type Kind,
  type Operation,
  removalOf,
  rowsByKind,
  type StoredRow,
} from '@nuvar/book';
import { describe, expect, it } from 'vitest';
import { DAY, demoRows } from '../testing/evaluated.js';
import { reportOf, VIEWS } from '../views/index.js';
import { evaluate } from './evaluate.js';
import fc from 'fast-check';

const KINDS_TOUCHED: readonly Kind[] = [
  'supplierPrice',
  'billLine',
  'labourStep',
  'labourGrade',
  'product',
  'runningCost',
  'pricePoint',
  'settings',
  'material',
  'channel',
  'candidatePrice',
  'otherCost',
];

/** What a random edit does: to which kind, to which of its rows and fields, with which number. */
const edit = fc.record({
  kind: fc.constantFrom(...KINDS_TOUCHED),
  row: fc.nat(),
  field: fc.nat(),
  amount: fc.integer({ min: 1, max: 90 }),
  action: fc.constantFrom('update', 'update', 'update', 'remove', 'copy', 'empty'),
});
type Edit = typeof edit extends fc.Arbitrary<infer Value> ? Value : never;

function operationsOf(rows: BookRows, { kind, row, field, amount, action }: Edit, id: string): Operation[] {
  const all = rows.all(kind);
  const chosen = all[row % Math.max(1, all.length)] as StoredRow | undefined;
  if (chosen === undefined) return [];
  if (action === 'remove') return removalOf(rows, kind, chosen.id);
  if (action === 'copy') {
    const { version: _version, ...fields } = chosen;
    return [{ action: 'create', kind, row: { ...fields, id, ...('name' in fields ? { name: `copy ${id}` } : {}) } }];
  }
  const numeric = fieldsOf(kind).filter((spec) =>
    action === 'empty' ? spec.nullable && spec.type === 'decimal' : spec.type === 'decimal' || spec.type === 'integer',
  );
  const spec = numeric[field % Math.max(1, numeric.length)];
  if (spec === undefined) return [];
  const value = action === 'empty' ? null : spec.type === 'integer' ? amount % 7 : String(amount);
  return [
    {
      action: 'update',
      kind,
      id: chosen.id,
      before: { [spec.name]: fieldValue(chosen, spec.name) },
      after: { [spec.name]: value },
    },
  ];
}

describe('an evaluation that follows changes', () => {
  it('says after any of them what a full evaluation of the changed book says', () => {
    fc.assert(
      fc.property(fc.array(edit, { minLength: 1, maxLength: 14 }), (edits) => {
        const rows = demoRows();
        const following = evaluate(rowsByKind(rows), DAY);
        reportOf(following);
        edits.forEach((each, index) => {
          const id = `0199f000-0000-7000-8000-${String(index).padStart(12, '0')}`;
          const change: Change = { id, operations: operationsOf(rows, each, id) };
          const applied = applyChange(rows, change);
          if (!applied.ok) return;
          rows.apply(applied.writes);
          following.apply(applied.writes);
          if (index % 3 === 0) reportOf(following);
        });
        const fresh = evaluate(rowsByKind(rows), DAY);
        expect(reportOf(following)).toEqual(reportOf(fresh));
        // The quantity of a line is worked out again when it is opened: from the rows of now, and from no others.
        for (const { id } of rows.all('billLine'))
          for (const path of ['', '#0', '#0.0', '#0.0.0'])
            expect(VIEWS.working(following, `billLine/${id}/total${path}`)).toEqual(
              VIEWS.working(fresh, `billLine/${id}/total${path}`),
            );
      }),
      { numRuns: 40 },
    );
  }, 60_000);

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

  it('lays a trial over the book and takes it off again, the baseline kept in its working', () => {
    const rows = demoRows();
    const evaluation = evaluate(rowsByKind(rows), DAY);
    const before = JSON.stringify(reportOf(evaluation));
    const point = rows.all('pricePoint')[0] as StoredRow<'pricePoint'>;
    evaluation.override([{ kind: 'pricePoint', id: point.id, field: 'price', value: '25' }]);
    const tried = evaluation.figure(`setPrice/${point.id}/price`);
    expect([tried?.amount?.toFixed(), tried?.note]).toEqual(['25', 'tried instead of 19.50']);
    evaluation.override([]);
    expect(JSON.stringify(reportOf(evaluation))).toBe(before);
  });
});

it('the day of an evaluation is one of the calendar', () => {
  for (const day of ['31.03.2026', '2026-02-30', 'soon', ''])
    expect(() => evaluate({}, day)).toThrow(expect.objectContaining({ code: 'not-a-day' }));
});
