// @vitest-environment jsdom
import { newId } from '@nuvar/book';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { leaveBook, openBook } from '../testing/in-book.js';
import { named } from '../testing/open-demo.js';
import { store } from '../state/store.js';
import { edit, redo, undo } from './edit.js';
import { model } from './model.js';
import { openWhatIf } from './open-what-if.js';
import { createOf, updateOf } from './operations.js';

const whatIf = () => model.book.rowsWith('whatIf', 'name', 'A second market day')[0]?.id ?? '';
const changes = () => model.book.rowsWith('whatIfChange', 'whatIfId', whatIf());
const clay = () => named('material', 'White stoneware clay');
const priceOfClay = () => model.rows.rowsWith('supplierPrice', 'materialId', clay().id)[0];
const notices = () => store.getState().notices.list.map(({ sentence }) => sentence);

beforeEach(() => openBook());
afterEach(leaveBook);

describe('while a what-if is open', () => {
  it('an edit is kept in it, shows on all rows, and leaves the book as it is', () => {
    const before = changes().length;
    const [price, stall] = [priceOfClay(), model.book.all('runningCost').length];
    store.dispatch(openWhatIf(whatIf()));
    expect(model.rows.all('runningCost').length).toBe(stall + 1);
    const versionBefore = model.versionOf('supplierPrice');
    if (price === undefined) throw new RangeError('no price');
    expect(store.dispatch(edit(updateOf('supplierPrice', price, { price: '15' })))).toEqual([]);
    expect(model.versionOf('supplierPrice')).toBeGreaterThan(versionBefore);
    expect([
      model.rows.row('supplierPrice', price.id)?.price,
      model.book.row('supplierPrice', price.id)?.price,
    ]).toEqual(['15', price.price]);
    expect(changes().length).toBe(before + 1);
    expect(
      store
        .getState()
        .book.pending.at(-1)
        ?.operations.map(({ kind }) => kind),
    ).toEqual(['whatIfChange']);
    expect(store.getState().book.undo.at(-1)?.label).toMatch(
      /^White stoneware clay \(supplier price\): pack price .* → 15.*, in the what-if$/,
    );
    store.dispatch(undo());
    expect(model.rows.row('supplierPrice', price.id)?.price).toBe(price.price);
    store.dispatch(redo());
    expect(model.rows.row('supplierPrice', price.id)?.price).toBe('15');
    store.dispatch(openWhatIf(null));
    expect(priceOfClay()?.price).toBe(price.price);
    expect(model.rows.all('runningCost').length).toBe(stall);
  });

  it('rows are added and removed in it alone, and the rules hold as they would in the book', () => {
    store.dispatch(openWhatIf(whatIf()));
    const id = newId();
    expect(store.dispatch(edit([createOf('material', id, { name: 'Grog' })]))).toEqual([]);
    expect([model.rows.row('material', id)?.name, model.book.row('material', id)]).toEqual(['Grog', undefined]);
    expect(store.dispatch(edit([createOf('material', newId(), { name: 'GROG' })]))[0]?.code).toBe('name-taken');
    const gone = model.rows.row('material', id);
    store.dispatch(edit([{ action: 'remove', kind: 'material', id, version: gone?.version ?? 0 }]));
    expect(changes().some(({ rowId }) => rowId === id)).toBe(false);
  });

  it('records of what happened are refused, and an edit of the book is not taken back by mistake', () => {
    const [price] = [priceOfClay()];
    if (price === undefined) throw new RangeError('no price');
    store.dispatch(edit(updateOf('supplierPrice', price, { price: '14' })));
    store.dispatch(openWhatIf(whatIf()));
    const movement = { materialId: clay().id, date: '2026-11-20', type: 'use', quantity: '1', unit: 'kg' };
    const [problem] = store.dispatch(edit([createOf('stockMovement', newId(), movement)]));
    expect(problem?.code).toBe('not-in-a-what-if');
    store.dispatch(undo());
    expect(model.book.row('supplierPrice', price.id)?.price).toBe('14');
    expect(notices().at(-1)).toMatch(/^The latest edit was made in the book/);
    store.dispatch(openWhatIf(null));
    store.dispatch(undo());
    expect(model.book.row('supplierPrice', price.id)?.price).toBe(price.price);
  });
});
