import {
  bookRows,
  columnsOfRows,
  completeRow,
  newId,
  rowsByKind,
  type Change,
  type Operation,
  type StoredRow,
  type Write,
} from '@nuvar/book';
import { beforeEach, describe, expect, it } from 'vitest';
import { model } from './model.js';
import { updateOf } from './operations.js';

const salt = {
  ...completeRow('material', { id: newId(), name: 'Salt', baseUnit: 'kg' }),
  version: 1,
} as StoredRow<'material'>;
const SNAPSHOT = JSON.stringify({
  revision: 1,
  rows: columnsOfRows(rowsByKind(bookRows({ material: [salt] }))),
});
const shown = () => model.rows.row('material', salt.id);
let written: Write[] = [];

const change = (...operations: Operation[]): Change => ({ id: newId(), operations });
const setting = (after: Partial<StoredRow<'material'>>) => change(...updateOf('material', shown() as StoredRow, after));

beforeEach(() => {
  model.follow({ expected: () => undefined, opened: () => undefined, written: (writes) => written.push(...writes) });
  model.open(SNAPSHOT, []);
  written = [];
});

describe('the rows of the open book', () => {
  it('show an edit at once, and tell nobody again when the server confirms it', () => {
    const edit = setting({ note: 'coarse' });
    expect(model.edit(edit).ok).toBe(true);
    expect(shown()).toMatchObject({ note: 'coarse', version: 2 });
    const before = shown();
    const foreseen = model.foresee(edit);
    model.confirm(foreseen.ok ? foreseen.writes : [], [edit], []);
    expect(shown()).toBe(before);
    expect(written).toHaveLength(1);
  });

  it('keep a waiting edit on top of what somebody else has written to another field', () => {
    const waiting = setting({ note: 'coarse' });
    model.edit(waiting);
    const theirs: Write = {
      kind: 'material',
      id: salt.id,
      before: salt,
      after: { ...salt, name: 'Sea salt', version: 2 },
    };
    model.confirm([theirs], [waiting], [waiting]);
    expect(shown()).toMatchObject({ name: 'Sea salt', note: 'coarse' });
    expect(written.at(-1)?.after).toMatchObject({ name: 'Sea salt', note: 'coarse' });
  });

  it('show what the server has where a waiting edit no longer fits or is dropped', () => {
    const waiting = setting({ name: 'Rock salt' });
    model.edit(waiting);
    const theirs: Write = {
      kind: 'material',
      id: salt.id,
      before: salt,
      after: { ...salt, name: 'Sea salt', version: 2 },
    };
    model.confirm([theirs], [waiting], [waiting]);
    expect(shown()?.name).toBe('Sea salt');
    const rewritten = change(
      ...updateOf('material', { ...salt, name: 'Sea salt' } as StoredRow, { name: 'Rock salt' }),
    );
    model.rewrite([waiting], [rewritten]);
    expect(shown()?.name).toBe('Rock salt');
    model.rewrite([rewritten], []);
    expect(shown()?.name).toBe('Sea salt');
  });

  it('refuse what breaks a rule, and change nothing', () => {
    const twice = change({ action: 'create', kind: 'material', row: { id: newId(), name: 'SALT' } });
    expect(model.edit(twice)).toMatchObject({ ok: false, problems: [{ code: 'name-taken' }] });
    expect(written).toEqual([]);
  });

  it('say which waiting edits cannot be done without another', () => {
    const jam = newId();
    const make = change({ action: 'create', kind: 'material', row: { id: jam, name: 'Jam' } });
    const salted = setting({ note: 'coarse' });
    const price = change({
      action: 'create',
      kind: 'supplierPrice',
      row: { id: newId(), materialId: jam, packUnit: 'kg', currency: 'EUR', validFrom: '2026-01-01' },
    });
    const rename = change({
      action: 'update',
      kind: 'material',
      id: jam,
      before: { name: 'Jam' },
      after: { name: 'Plum jam' },
    });
    // It takes the name that the renaming has freed: no edit without the other.
    const second = change({ action: 'create', kind: 'material', row: { id: newId(), name: 'Jam' } });
    const finer = change({
      action: 'update',
      kind: 'material',
      id: salt.id,
      before: { note: 'coarse' },
      after: { note: 'fine' },
    });
    const waiting = [make, salted, price, rename, second, finer];
    expect(model.dependingOn(make, waiting)).toEqual([make, price, rename]);
    expect(model.dependingOn(salted, waiting)).toEqual([salted, finer]);
    expect(model.dependingOn(rename, waiting)).toEqual([rename, second]);
    expect(model.dependingOn(second, waiting)).toEqual([second]);
  });

  it('are found again after a reload with what still waited', () => {
    model.open(SNAPSHOT, [setting({ note: 'fine' })]);
    expect(shown()?.note).toBe('fine');
  });
});
