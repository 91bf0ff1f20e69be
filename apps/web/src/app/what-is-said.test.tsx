// @vitest-environment jsdom
import { newId, type Operation } from '@nuvar/book';
import { screen, within } from '@testing-library/react';
import userEvent, { type UserEvent } from '@testing-library/user-event';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { edit } from '../book/edit.js';
import { model } from '../book/model.js';
import { createOf, updateOf } from '../book/operations.js';
import { sync } from '../book/sync.js';
import { engine } from '../engine/engine.js';
import { store } from '../state/store.js';
import { draw, leaveBook, openBook } from '../testing/in-book.js';
import { named } from '../testing/open-demo.js';
import { refusal, stubServer, type StubServer } from '../testing/stub-server.js';
import { EngineBar, LinkBar } from './bars.js';
import { ConflictDialog } from './conflict-dialog.js';
import { Notices } from './notices.js';

let server: StubServer;
let user: UserEvent;
const make = (operations: readonly Operation[]) => store.dispatch(edit(operations));
const glaze = () => named('product', 'Moss glaze');

beforeEach(async () => {
  user = userEvent.setup();
  openBook();
  server = stubServer();
  expect(await sync.open(store, 'book', 'me')).toBe('opened');
  draw(
    <>
      <LinkBar />
      <EngineBar />
      <ConflictDialog />
      <Notices />
    </>,
  );
});
afterEach(() => {
  sync.close();
  leaveBook();
});

describe('what the page says of the server', () => {
  it('is both values where somebody else was faster, and the person chooses', async () => {
    const { id } = glaze();
    const theirs = {
      id: newId(),
      operations: updateOf('product', glaze(), { name: 'Sage glaze', note: 'theirs' }),
    };
    server.refuse = () => {
      server.refuse = () => null;
      server.changeByOthers(theirs);
      return null;
    };
    make(updateOf('product', glaze(), { name: 'Fern glaze', note: 'mine' }));
    const dialog = within(await screen.findByRole('dialog', { name: 'Changed by somebody else' }));
    const choices = () => dialog.getAllByRole<HTMLInputElement>('radio');
    expect(choices().map(({ checked }) => checked)).toEqual([true, false, true, false]);
    await user.click(dialog.getByRole('radio', { name: 'Yours: Fern glaze' }));
    await user.click(dialog.getByRole('button', { name: 'Save my choice' }));
    await vi.waitFor(() => expect(store.getState().book.pending).toEqual([]));
    expect(screen.queryByRole('dialog')).toBeNull();
    expect(model.rows.row('product', id)).toMatchObject({ name: 'Fern glaze', note: 'theirs' });
  });

  it('is why an edit could not be kept, until it was read', async () => {
    server.refuse = () => refusal(422, 'name-taken');
    make([createOf('material', newId(), { name: 'Never' })]);
    const notice = await screen.findByText('An edit could not be kept. Refused: name-taken.');
    expect(model.rows.rowsWith('material', 'name', 'Never')).toEqual([]);
    await user.click(within(notice.parentElement as HTMLElement).getByRole('button', { name: 'Close' }));
    expect(screen.queryByText(/could not be kept/)).toBeNull();
  });

  it('is that it does not answer, how much waits, and that all is sent when it is back', async () => {
    server.refuse = () => refusal(503, 'busy');
    make([createOf('material', newId(), { name: 'Waits' })]);
    expect(await screen.findByText(/The server does not answer\. .* One edit is kept on this machine/)).toBeDefined();
    server.refuse = () => null;
    await user.click(screen.getByRole('button', { name: 'Try now' }));
    await vi.waitFor(() => expect(screen.queryByText(/does not answer/)).toBeNull());
    expect(store.getState().book.pending).toEqual([]);
  });
});

/** A worker that cannot so much as be loaded. */
class NoWorker {
  onerror: ((event: { message: string }) => void) | null = null;
  postMessage = () => setTimeout(() => this.onerror?.({ message: 'the script is not there' }));
  terminate = () => undefined;
}

describe('what the page says where figures cannot be worked out', () => {
  it('is that they cannot, and that edits are stored all the same', async () => {
    vi.spyOn(console, 'error').mockImplementation(() => undefined);
    vi.stubGlobal('Worker', NoWorker);
    engine.close();
    engine.open(JSON.stringify({ revision: 1, rows: {} }), '2026-11-26');
    expect(
      await screen.findByText(/The figures of this book cannot be worked out at the moment/, {}, { timeout: 5000 }),
    ).toBeDefined();
    make(updateOf('product', glaze(), { name: 'Fern glaze' }));
    await vi.waitFor(() => expect(server.sent).toHaveLength(1));
    expect(store.getState().book.pending).toEqual([]);
  });
});
