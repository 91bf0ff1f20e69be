import {
  applyChange,
  columnsOfRows,
  newId,
  type Operation,
  rowsByKind,
  type StoredRow,
  writtenOverride,
} from '@nuvar/book';
import { quillfernPottery, rowsOfFile } from '@nuvar/book/demo';
import { evaluate, type Evaluation, layWhatIf } from '@nuvar/core';
import { beforeEach, describe, expect, it } from 'vitest';
import { Evaluations } from './evaluations.js';
import { BASELINE, dayNamed, frozenNamed, keyOver, readViewKey, whatIfNamed } from './view-key.js';

const DAY = '2026-11-25';
const RESULT = 'coverage/book/resultPerMonth';
const amount = (evaluation: Evaluation | null) => evaluation?.figure(RESULT)?.amount?.toFixed();

let rows = rowsOfFile(quillfernPottery());
let evaluations = new Evaluations();
const snapshot = () => JSON.stringify({ rows: columnsOfRows(rowsByKind(rows)) });
const dearer = () => rows.rowsWith('whatIf', 'name', 'Clay costs 8 % more')[0]?.id ?? '';
const other = () => rows.rowsWith('whatIf', 'name', 'A second market day')[0]?.id ?? '';

/** Makes a change of the book, which the evaluations follow. */
function change(...operations: Operation[]): void {
  const applied = applyChange(rows, { id: newId(), operations });
  if (!applied.ok) throw new RangeError(applied.problems[0]?.sentence);
  rows.apply(applied.writes);
  evaluations.apply(applied.writes);
}
const afresh = (id: string) => amount(evaluate(rowsByKind(rows), DAY).fork(layWhatIf(rows, id).overrides));

beforeEach(() => {
  rows = rowsOfFile(quillfernPottery());
  evaluations = new Evaluations();
  evaluations.open(snapshot(), DAY);
});

describe('the evaluations of a book', () => {
  it('are laid when they are asked for, and follow the book and their own changes', () => {
    expect(amount(evaluations.named(whatIfNamed(dearer())))).toBe(afresh(dearer()));
    const [mug] = rows.rowsWith('product', 'name', 'Everyday mug');
    const [point] = rows.rowsWith('pricePoint', 'productId', mug?.id ?? '');
    change({
      action: 'update',
      kind: 'pricePoint',
      id: point?.id ?? '',
      before: { price: point?.price },
      after: { price: '24' },
    });
    expect(amount(evaluations.named(whatIfNamed(dearer())))).toBe(afresh(dearer()));
    const [first] = rows.rowsWith('whatIfChange', 'whatIfId', dearer()) as StoredRow<'whatIfChange'>[];
    change({
      action: 'update',
      kind: 'whatIfChange',
      id: first?.id ?? '',
      before: { value: first?.value },
      after: { value: '3' },
    });
    expect(amount(evaluations.named(whatIfNamed(dearer())))).toBe(afresh(dearer()));
    change({ action: 'remove', kind: 'whatIfChange', id: first?.id ?? '', version: 2 });
    expect(amount(evaluations.named(whatIfNamed(dearer())))).toBe(afresh(dearer()));
    expect(amount(evaluations.named(BASELINE))).toBe(amount(evaluate(rowsByKind(rows), DAY)));
  });

  it('are laid anew where the book loses what a row that a what-if adds stands on, and where it comes back', () => {
    const [productId, whatIfId] = [newId(), newId()];
    const product = { id: productId, name: 'Egg cup' };
    change({ action: 'create', kind: 'product', row: product });
    const [channel] = rows.all('channel');
    const cup = { productId, channelId: channel?.id };
    const added = [
      ['pricePoint', { id: newId(), ...cup, price: '9', taxInside: false }],
      ['plannedVolume', { id: newId(), ...cup, unitsPerMonth: '50' }],
      ['otherCost', { id: newId(), productId, name: 'Bought', amount: '4', basis: 'unit' }],
    ] as const;
    const changes = added.map(([kind, row], position): Operation => {
      const kept = writtenOverride({ kind, id: row.id, how: 'create', row });
      return { action: 'create', kind: 'whatIfChange', row: { id: newId(), whatIfId, position, ...kept } };
    });
    change({ action: 'create', kind: 'whatIf', row: { id: whatIfId, name: 'Egg cups too' } }, ...changes);
    const name = whatIfNamed(whatIfId);
    const withCups = amount(evaluations.named(name));
    expect(withCups).toBe(afresh(whatIfId));
    expect(withCups).not.toBe(amount(evaluations.named(BASELINE)));
    change({ action: 'remove', kind: 'product', id: productId, version: 1 });
    expect(amount(evaluations.named(name))).toBe(amount(evaluations.named(BASELINE)));
    change({ action: 'create', kind: 'product', row: product });
    expect(amount(evaluations.named(name))).toBe(withCups);
  });

  it('show one of them, with what is tried on top of whichever is shown', () => {
    const [point] = rows.all('pricePoint');
    const trial = { kind: 'pricePoint', id: point?.id ?? '', field: 'price', how: 'set', value: '99' } as const;
    evaluations.try([trial]);
    const tried = amount(evaluations.shown());
    evaluations.show(whatIfNamed(dearer()));
    expect(evaluations.isWhatIf).toBe(true);
    expect(amount(evaluations.shown())).not.toBe(tried);
    evaluations.try([]);
    expect(amount(evaluations.shown())).toBe(afresh(dearer()));
    evaluations.show(BASELINE);
    evaluations.try([trial]);
    expect(amount(evaluations.shown())).toBe(tried);
  });

  it('keep baselines and other days apart, and let go of what-ifs that nobody asks for', () => {
    const budget = snapshot();
    const name = frozenNamed(newId());
    expect(evaluations.named(name)).toBeNull();
    evaluations.keep(name, budget, '2026-06-30');
    const before = amount(evaluations.named(name));
    const [rent] = rows.rowsWith('runningCost', 'name', 'Studio rent');
    change({
      action: 'update',
      kind: 'runningCost',
      id: rent?.id ?? '',
      before: { amount: rent?.amount },
      after: { amount: '2000' },
    });
    expect(amount(evaluations.named(name))).toBe(before);
    const later = evaluations.named(dayNamed('2027-08-01'));
    expect([later?.asOf, amount(later)]).toEqual([
      '2027-08-01',
      amount(evaluate({ ...rowsByKind(rows), stockPosition: [] }, '2027-08-01')),
    ]);
    const ids = Array.from({ length: 12 }, () => newId());
    change(
      ...ids.map((id, index): Operation => ({
        action: 'create',
        kind: 'whatIf',
        row: { id, name: `Number ${index}` },
      })),
    );
    evaluations.show(whatIfNamed(other()));
    for (const id of ids) evaluations.named(whatIfNamed(id));
    expect(amount(evaluations.shown())).toBe(afresh(other()));
    expect(amount(evaluations.named(whatIfNamed(dearer())))).toBe(afresh(dearer()));
  });
});

describe('the key of a view', () => {
  it('names the evaluations, the view and what it is asked with, whatever signs are in that', () => {
    expect(readViewKey('card/a:b/c')).toEqual({ evaluations: [], name: 'card', id: 'a:b/c' });
    const sides = [BASELINE, whatIfNamed('7'), dayNamed(DAY)];
    expect(readViewKey(keyOver(sides, 'bridge', 'month@a,b'))).toEqual({
      evaluations: sides,
      name: 'bridge',
      id: 'month@a,b',
    });
  });
});
