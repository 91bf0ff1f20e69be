import { rowsByKind, type Operation, type StoredRow } from '@nuvar/book';
import fc from 'fast-check';
import { beforeEach, describe, expect, it } from 'vitest';
import { store } from '../state/store.js';
import { named, openDemo } from '../testing/open-demo.js';
import { bookActions } from '../state/book-slice.js';
import { edit, redo, takeBackAllTheSame, undo } from './edit.js';
import { model } from './model.js';
import { createOf, updateOf } from './operations.js';
import { stacksFrom } from './undo-stacks.js';

const opened = { id: 'demo', role: 'owner', revision: 1, pending: [], aside: [], undo: [], redo: [] } as const;
const bookNow = () => store.getState().book;
/** All rows without their versions, which rise also when a change is taken back. */
const contents = () =>
  Object.fromEntries(
    Object.entries(rowsByKind(model.rows)).map(([kind, rows]) => [
      kind,
      [...rows].map((row: StoredRow) => ({ ...row, version: 0 })).sort((one, other) => (one.id < other.id ? -1 : 1)),
    ]),
  );
const make = (operations: readonly Operation[]) => store.dispatch(edit(operations));
const glaze = () => named('product', 'Moss glaze');
/** What the journal of the book would say of the changes that were made; what they wrote is not asked for here. */
const journal = () =>
  bookNow()
    .pending.map(({ id, undoes }, index) => ({
      revision: index + 2,
      changeId: id,
      userId: 'me',
      userName: 'Me',
      at: '',
      undoes: undoes ?? null,
      writes: [],
      writeCount: 0,
    }))
    .reverse();

beforeEach(() => {
  openDemo();
  store.dispatch(bookActions.opened(opened));
});

describe('taking back', () => {
  const act = fc.oneof(
    fc.record({ what: fc.constant('rename' as const), text: fc.string({ minLength: 1, maxLength: 8 }) }),
    fc.record({ what: fc.constant('add' as const), text: fc.string({ minLength: 1, maxLength: 8 }) }),
    fc.record({ what: fc.constant('undo' as const), text: fc.constant('') }),
    fc.record({ what: fc.constant('redo' as const), text: fc.constant('') }),
  );

  it('leads from any edits back to where they began, and again forward to where they ended', () => {
    fc.assert(
      fc.property(fc.array(act, { maxLength: 14 }), (acts) => {
        openDemo();
        store.dispatch(bookActions.opened(opened));
        const before = contents();
        for (const { what, text } of acts) {
          if (what === 'undo') store.dispatch(undo());
          else if (what === 'redo') store.dispatch(redo());
          else if (what === 'rename') make(updateOf('product', glaze(), { tags: text }));
          else make([createOf('supplier', crypto.randomUUID(), { name: text.trim() })]);
        }
        const after = contents();
        const steps = bookNow().undo.length;
        for (let step = 0; step < steps; step += 1) store.dispatch(undo());
        expect(contents()).toEqual(before);
        for (let step = 0; step < steps; step += 1) store.dispatch(redo());
        expect(contents()).toEqual(after);
        expect(bookNow().undo).toHaveLength(steps);
      }),
      { numRuns: 40 },
    );
  });

  it('asks where the field has moved since, and gives way when told to', () => {
    make(updateOf('product', glaze(), { tags: 'first' }));
    const theirs = { ...glaze(), tags: 'theirs', version: glaze().version + 1 };
    model.confirm([{ kind: 'product', id: theirs.id, before: glaze(), after: theirs }], bookNow().pending, []);
    store.dispatch(undo());
    expect(glaze().tags).toBe('theirs');
    expect(store.getState().notices.list.at(-1)).toMatchObject({ question: { action: 'force', stack: 'undo' } });
    store.dispatch(takeBackAllTheSame('undo'));
    expect(glaze().tags).toBe('');
  });

  it('is refused to a reader, who changes nothing', () => {
    store.dispatch(bookActions.opened({ ...opened, role: 'reader' }));
    const before = contents();
    expect(make(updateOf('product', glaze(), { tags: 'mine' }))[0]?.code).toBe('not-allowed');
    expect(contents()).toEqual(before);
  });

  it('says that there is nothing where there is nothing', () => {
    store.dispatch(undo());
    expect(store.getState().notices.list.at(-1)).toMatchObject({ sentence: 'Nothing to undo.' });
  });
});

describe('the stacks after a reload', () => {
  it('are those that were left: edits, what was taken back, and what was done again', () => {
    for (const tags of ['one', 'two', 'three']) make(updateOf('product', glaze(), { tags }));
    store.dispatch(undo());
    store.dispatch(undo());
    store.dispatch(redo());
    const { undo: back, redo: again } = stacksFrom(journal(), 'me', model.rows);
    expect(back.map(({ changeId }) => changeId)).toEqual(bookNow().undo.map(({ changeId }) => changeId));
    expect(again.map(({ changeId }) => changeId)).toEqual(bookNow().redo.map(({ changeId }) => changeId));
    expect(stacksFrom(journal(), 'somebody else', model.rows)).toEqual({ undo: [], redo: [] });
  });
});
