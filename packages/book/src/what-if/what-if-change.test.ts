import { describe, expect, it } from 'vitest';
import { applyChange, bookRows, newId, type Override, type Problem, type RowOf } from '../index.js';
import { inOrderOfWhatIf, isOpenToWhatIfs, readOverride, writtenOverride } from './index.js';

const ROW = '0199f000-0000-7000-8000-000000000001';
type Fields = Parameters<typeof readOverride>[0];
const at: Fields = { rowKind: 'material', rowId: ROW, field: 'name', how: 'set', value: '"Grog"' };

describe('a change of a what-if', () => {
  it.each<Override>([
    { kind: 'material', id: ROW, field: 'name', how: 'set', value: 'Grog' },
    { kind: 'product', id: ROW, field: 'archived', how: 'set', value: true },
    { kind: 'product', id: ROW, field: 'madePerMonth', how: 'set', value: null },
    { kind: 'supplierPrice', id: ROW, field: 'price', how: 'scale', by: '1.08' },
    { kind: 'mixProduct', id: ROW, field: 'position', how: 'add', by: '-2' },
    { kind: 'material', id: ROW, how: 'create', row: { id: ROW, name: 'Grog' } },
    { kind: 'material', id: ROW, how: 'remove' },
  ])('is read as it was written: %j', (override) => {
    expect(readOverride(writtenOverride(override))).toEqual({ override });
  });

  it.each<readonly [Partial<Fields>, string]>([
    [{ rowKind: 'pebble' }, 'there is no kind of row called "pebble"'],
    [{ rowKind: 'whatIf' }, 'a what-if is not changed in a what-if'],
    [{ rowKind: 'whatIfChange' }, 'a change of a what-if is not changed in a what-if'],
    [{ rowKind: 'stockMovement' }, 'a stock movement is not changed in a what-if'],
    [{ rowKind: 'stockPosition' }, 'a stock position is not changed in a what-if'],
    [{ rowId: 'x' }, 'it names no row'],
    [{ field: 'colour' }, 'a material has no field called "colour"'],
    [{ value: '{"a":1}' }, '"{"a":1}" is no value'],
    [{ value: '[1]' }, '"[1]" is no value'],
    [{ value: 'Grog' }, '"Grog" is no value'],
    [{ how: 'add', value: '1' }, 'Name is not a number'],
    [{ how: 'scale', rowKind: 'supplierPrice', field: 'price', value: '1e3' }, '"1e3" is not a number'],
    [{ how: 'create' }, 'a whole row has no field'],
    [{ how: 'remove' }, 'a whole row has no field'],
    [{ how: 'create', field: '', value: '7' }, 'it holds no row'],
    [{ how: 'create', field: '', value: `{"id":"${newId()}"}` }, 'it holds no row'],
    [
      { how: 'remove', field: '', rowKind: 'settings' },
      'the settings of a book can be changed, but neither added nor removed',
    ],
  ])('%j is refused with the reason', (fields, detail) => {
    const change: Fields = { ...at, ...fields };
    expect(readOverride(change)).toEqual({ detail });
    const rows = bookRows();
    const whatIfId = newId();
    const applied = applyChange(rows, {
      id: newId(),
      operations: [
        { action: 'create', kind: 'whatIf', row: { id: whatIfId, name: 'Dearer' } },
        { action: 'create', kind: 'whatIfChange', row: { id: newId(), whatIfId, ...change } },
      ],
    });
    const problems: readonly Problem[] = applied.ok ? [] : applied.problems;
    expect(problems.map(({ code, sentence }) => [code, sentence])).toEqual([
      ['unreadable-what-if', `This change of a what-if cannot be read: ${detail}.`],
    ]);
  });

  it('may be of every kind of row but records of what happened and what-ifs themselves', () => {
    expect(isOpenToWhatIfs('settings')).toBe(true);
    expect(isOpenToWhatIfs('frozenCard')).toBe(true);
    expect((['stockMovement', 'stockPosition', 'whatIf', 'whatIfChange'] as const).filter(isOpenToWhatIfs)).toEqual([]);
  });

  it('counts after what was changed together, then by its place, then by when it was made', () => {
    const change = (id: string, position: number, bulk = '') =>
      ({ id, position, bulk }) as Pick<RowOf<'whatIfChange'>, 'id' | 'position' | 'bulk'>;
    const changes = [change('d', 0), change('a', 7, 'all'), change('c', 0), change('b', 3, 'all')];
    expect(inOrderOfWhatIf(changes).map(({ id }) => id)).toEqual(['b', 'a', 'c', 'd']);
  });
});
