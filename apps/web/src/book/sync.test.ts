// @vitest-environment jsdom
import { newId, type Change, type Operation } from '@nuvar/book';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { store } from '../state/store.js';
import { named } from '../testing/open-demo.js';
import { refusal, stubServer, type StubServer } from '../testing/stub-server.js';
import { bookActions } from '../state/book-slice.js';
import { edit, editAgain, redo, undo } from './edit.js';
import { model } from './model.js';
import { createOf, updateOf } from './operations.js';
import { sayHowFull } from './opening.js';
import { sync } from './sync.js';

let server: StubServer;
const book = () => store.getState().book;
const notices = () => store.getState().notices.list.map(({ sentence }) => sentence);
const make = (operations: readonly Operation[]) => store.dispatch(edit(operations));
const glaze = () => named('product', 'Moss glaze');
const rename = (name: string) => make(updateOf('product', glaze(), { name }));
const settled = () => vi.waitFor(() => expect([book().link, book().pending]).toEqual(['well', []]));

beforeEach(async () => {
  server = stubServer();
  expect(await sync.open(store, 'book', 'me')).toBe('opened');
});
afterEach(() => {
  sync.close();
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

describe('the traffic with the server', () => {
  it('sends edits one after the other, and takes under them what others have written meanwhile', async () => {
    const { id } = glaze();
    server.changeByOthers({ id: newId(), operations: updateOf('product', glaze(), { note: 'theirs' }) });
    rename('Fern glaze');
    make([createOf('material', newId(), { name: 'Fern ash' })]);
    await settled();
    expect(server.sent).toHaveLength(2);
    expect(model.rows.row('product', id)).toMatchObject({ name: 'Fern glaze', note: 'theirs' });
    expect(book().revision).toBe(server.revision());
  });

  it('pauses where somebody else was faster, and goes on with what was chosen', async () => {
    const { id } = glaze();
    const theirs = { id: newId(), operations: updateOf('product', glaze(), { name: 'Sage glaze' }) };
    // They are first, and the page has not heard of it yet.
    server.refuse = () => {
      server.refuse = () => null;
      server.changeByOthers(theirs);
      return null;
    };
    rename('Fern glaze');
    await vi.waitFor(() => expect(book().conflict?.problems[0]?.values).toMatchObject({ theirs: 'Sage glaze' }));
    make([createOf('material', newId(), { name: 'Waits behind it' })]);
    const change = book().conflict?.change as Change;
    const [operation] = change.operations as [Extract<Operation, { action: 'update' }>];
    await sync.settle(change.id, { ...change, operations: [{ ...operation, before: { name: 'Sage glaze' } }] });
    await settled();
    expect(model.rows.row('product', id)?.name).toBe('Fern glaze');
    expect(model.rows.rowsWith('material', 'name', 'Waits behind it')).toHaveLength(1);
  });

  it('sets aside what a full book cannot take, so that nothing typed is lost, and says so', async () => {
    server.refuse = ({ operations }) =>
      JSON.stringify(operations).includes('Much') ? refusal(422, 'book-full') : null;
    make([createOf('material', newId(), { name: 'Much' })]);
    await settled();
    expect(notices().at(-1)).toContain('Refused: book-full.');
    expect(model.rows.rowsWith('material', 'name', 'Much')).toEqual([]);
    expect(book().aside.map(({ label }) => label)).toEqual([expect.stringContaining('Much')]);
  });

  it('drops what the server will never take, says why, and goes on with the next', async () => {
    server.refuse = ({ operations }) =>
      JSON.stringify(operations).includes('Never') ? refusal(422, 'name-taken') : null;
    make([createOf('material', newId(), { name: 'Never' })]);
    make([createOf('material', newId(), { name: 'Always' })]);
    await settled();
    expect(notices().at(-1)).toContain('An edit could not be kept. Refused: name-taken.');
    expect(model.rows.rowsWith('material', 'name', 'Never')).toEqual([]);
    expect(model.rows.rowsWith('material', 'name', 'Always')).toHaveLength(1);
    expect(book().undo).toHaveLength(1);
  });

  it.each([
    [401, 'not-signed-in', 'signed-out'],
    [404, 'not-found', 'gone'],
    [429, 'too-many-tries', 'away'],
    [503, 'database-away', 'away'],
  ])('keeps an edit while the server answers %d', async (status, code, link) => {
    server.refuse = () => refusal(status, code);
    rename('Fern glaze');
    await vi.waitFor(() => expect(book().link).toBe(link));
    expect(book().pending).toHaveLength(1);
    server.refuse = () => null;
    sync.retry();
    await settled();
  });

  it('waits for a server that is away or busy as long as it takes, and never counts that against an edit', async () => {
    vi.useFakeTimers();
    server.refuse = () => refusal(503, 'book-busy');
    rename('Fern glaze');
    await vi.advanceTimersByTimeAsync(60_000);
    expect(server.sent.length).toBeGreaterThan(20);
    expect(book().link).toBe('away');
    server.refuse = () => null;
    await vi.advanceTimersByTimeAsync(3_000);
    expect([book().link, book().pending]).toEqual(['well', []]);
  });
});

describe('an edit at which the server fails', () => {
  const cursed = newId();
  const fail = () => {
    server.refuse = ({ operations }) =>
      JSON.stringify(operations).includes('Cursed') ? refusal(500, 'server-error') : null;
    make([createOf('material', cursed, { name: 'Cursed' })]);
    make([
      createOf('supplierPrice', newId(), {
        materialId: cursed,
        packUnit: 'kg',
        currency: 'EUR',
        validFrom: '2026-01-01',
      }),
    ]);
    rename('Fern glaze');
  };

  it('is asked for after three times, and not before', async () => {
    vi.useFakeTimers();
    fail();
    await vi.advanceTimersByTimeAsync(3_000);
    expect([book().link, server.sent.length]).toEqual(['away', 2]);
    await vi.advanceTimersByTimeAsync(2_000);
    expect([book().link, server.sent.length]).toEqual(['failing', 3]);
  });

  it('is set aside with what depends on it; the others go on, and it can be made again or forgotten', async () => {
    vi.useFakeTimers();
    fail();
    await vi.advanceTimersByTimeAsync(6_000);
    await sync.setAside();
    await vi.advanceTimersByTimeAsync(100);
    expect([book().link, book().pending]).toEqual(['well', []]);
    expect(glazeNames()).toEqual(['Fern glaze']);
    expect(book().aside.map(({ label }) => label)).toEqual([
      'Cursed (material) added',
      'Cursed (supplier price) added: pack quantity 1, valid from 01/01/2026',
    ]);
    expect(model.rows.row('material', cursed)).toBeUndefined();
    server.refuse = () => null;
    const [material, price] = book().aside;
    // It cannot be made before what it needs.
    expect(store.dispatch(editAgain(price as never))).not.toEqual([]);
    expect(store.dispatch(editAgain(material as never))).toEqual([]);
    expect(store.dispatch(editAgain(price as never))).toEqual([]);
    await vi.advanceTimersByTimeAsync(100);
    expect([book().link, book().aside]).toEqual(['well', []]);
    expect(model.rows.rowsWith('supplierPrice', 'materialId', cursed)).toHaveLength(1);
  });

  const glazeNames = () => model.rows.rowsWith('product', 'name', 'Fern glaze').map(({ name }) => name);
});

describe('a change of many rows from before the page was opened', () => {
  const many = () =>
    Array.from({ length: 4 }, (_none, index) => createOf('material', newId(), { name: `Ash ${index}` }));

  /** The stack as it is after a reload: of the change its first write is there, and two pieces are still at the server. */
  function asAfterReload(isAway: boolean) {
    const [entry] = book().undo;
    const writes = entry?.writes ?? [];
    const rest = { revision: 7, piece: 1 };
    store.dispatch(bookActions.stacked({ undo: [{ ...entry!, writes: writes.slice(0, 1), rest }], redo: [] }));
    const fetched = globalThis.fetch;
    vi.stubGlobal('fetch', (path: string, init?: RequestInit) => {
      const piece = /changes\/7\/writes\?piece=(\d)/.exec(path)?.[1];
      if (piece === undefined) return fetched(path, init);
      if (isAway) return Promise.reject(new TypeError('no network'));
      const isFirst = piece === '1';
      return Promise.resolve(
        Response.json({ writes: isFirst ? writes.slice(1, 3) : writes.slice(3), rest: isFirst ? 2 : null }),
      );
    });
  }

  it('is fetched whole before it is taken back, all of it', async () => {
    make(many());
    await settled();
    asAfterReload(false);
    store.dispatch(undo());
    await vi.waitFor(() => expect(model.rows.all('material').filter(({ name }) => name.startsWith('Ash'))).toEqual([]));
    expect(book().undo).toEqual([]);
    store.dispatch(redo());
    expect(model.rows.all('material').filter(({ name }) => name.startsWith('Ash'))).toHaveLength(4);
  });

  it('stays where it is while the server is away, and says so', async () => {
    make(many());
    await settled();
    asAfterReload(true);
    store.dispatch(undo());
    await vi.waitFor(() => expect(notices().at(-1)).toContain('could not be fetched'));
    expect(model.rows.all('material').filter(({ name }) => name.startsWith('Ash'))).toHaveLength(4);
    expect(book().undo).toHaveLength(1);
  });
});

it.each([
  [89, false],
  [90, true],
  [100, true],
])('of a book that is filled to %i, the page says when it opens it that it is nearly full: %s', (filled, isSaid) => {
  sayHowFull(store, filled);
  expect(notices().at(-1)?.includes(`${filled} % full`) ?? false).toBe(isSaid);
});
