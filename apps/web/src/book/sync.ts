import type { Change, Write } from '@nuvar/book';
import { noticed } from '../state/notices-slice.js';
import type { store } from '../state/store.js';
import { bookActions, type Link, type SetAside, type UndoEntry } from '../state/book-slice.js';
import { model } from './model.js';
import { followNews, type Revisions } from './news.js';
import type { KeptOnMachine } from './kept-on-machine.js';
import { outboxOf } from './outbox.js';
import { refusedTexts } from './refused-texts.js';
import { asideOf } from './set-aside.js';
import { transport, type Answer } from './transport.js';
import { learnLedgers, type Opening, openingOf, sayHowFull } from './opening.js';
import { labelOf, stacksFrom } from './undo-stacks.js';

type Handle = Pick<typeof store, 'dispatch' | 'getState'>;

interface Connection {
  readonly handle: Handle;
  readonly bookId: string;
  readonly outbox: KeptOnMachine<Change>;
  readonly aside: KeptOnMachine<SetAside>;
  /** The change at which the server has failed, and how often in a row. */
  failed: { readonly id: string; readonly times: number } | null;
  stopNews: () => void;
  busy: boolean;
  /** Something came up while a round was under way: another follows it. */
  again: boolean;
  timer: ReturnType<typeof setTimeout> | undefined;
  closed: boolean;
}

const RETRY_AFTER = 2000;

/** So often the server may fail at a change before its maker is asked what is to become of it. */
const FAILURES = 3;
let current: Connection | null = null;

/**
 * The traffic between the open book and the server: sends what waits, in order; follows what others write; says how it
 * stands. A change that is sent twice is applied once, so sending again is always safe.
 */
export const sync = {
  /** Opens a book: its snapshot, what still waited to be sent, and what could be taken back. */
  async open(handle: Handle, bookId: string, personId: string): Promise<Opening> {
    sync.close();
    model.expect();
    const outbox = outboxOf(personId, bookId);
    const aside = asideOf(personId, bookId);
    const [[snapshot, history], pending, edits] = await Promise.all([
      transport.opening(bookId),
      outbox.all(),
      aside.all(),
    ]);
    if (!snapshot.ok) return openingOf(snapshot.status);
    const { text, role, filled } = snapshot.value;
    const { revision } = model.open(text, pending);
    if (history.ok) learnLedgers(history.value, pending);
    const stacks = history.ok ? stacksFrom(history.value, personId, model.rows) : { undo: [], redo: [] };
    handle.dispatch(bookActions.opened({ id: bookId, role, revision, pending, aside: edits, ...stacks }));
    sayHowFull(handle, filled);
    void refusedTexts.open(handle, personId, bookId);
    const connection: Connection = {
      handle,
      bookId,
      outbox,
      aside,
      failed: null,
      stopNews: () => undefined,
      busy: false,
      again: false,
      timer: undefined,
      closed: false,
    };
    current = connection;
    connection.stopNews = followNews(personId, (revisions) => heard(connection, revisions));
    void work(connection);
    return 'opened';
  },

  close(): void {
    if (current === null) return;
    current.closed = true;
    refusedTexts.close();
    current.stopNews();
    clearTimeout(current.timer);
    current.handle.dispatch(bookActions.closed());
    current = null;
  },

  /** A change was made: it is kept on this machine and sent as soon as those before it are through. */
  queued(change: Change): void {
    if (current === null) return;
    const connection = current;
    void connection.outbox.put(change).then(() => {
      // While the server is given a pause, an edit more is no reason to ask it again.
      if (!isPausing(connection)) void work(connection);
    });
  },

  /** The change at which the server fails is set aside with those that depend on it, and the others go on. */
  async setAside(): Promise<void> {
    if (current === null) return;
    const connection = current;
    const { pending } = connection.handle.getState().book;
    const id = connection.failed?.id;
    const failing = pending.find((change) => change.id === id);
    if (failing === undefined) return;
    const gone = model.dependingOn(failing, pending);
    const at = new Date().toISOString();
    const { undo } = connection.handle.getState().book;
    const labelled = (change: Change) =>
      undo.find(({ changeId }) => changeId === change.id)?.label ?? labelOfChange(change);
    const edits = gone.map((change): SetAside => ({ change, label: labelled(change), at }));
    await connection.aside.put(...edits);
    await drop(connection, gone);
    connection.failed = null;
    const { aside } = connection.handle.getState().book;
    connection.handle.dispatch(bookActions.asideBecame([...aside, ...edits]));
    void work(connection);
  },

  /** Forgets edits that were set aside: they were made again, or are not wanted any more. */
  async forget(changeIds: readonly string[]): Promise<void> {
    if (current === null) return;
    await current.aside.remove(...changeIds);
    const { aside } = current.handle.getState().book;
    current.handle.dispatch(bookActions.asideBecame(aside.filter(({ change }) => !changeIds.includes(change.id))));
  },

  /** A conflict was settled: the change goes on in another form, or not at all. */
  async settle(id: string, change: Change | null): Promise<void> {
    if (current === null) return;
    await (change === null ? current.outbox.remove(id) : current.outbox.put(change));
    rewrite(current.handle, id, change);
    void work(current);
  },

  /** A change of many rows with all that it wrote, as it has to be there to be taken back; null where the server is away. */
  async whole(entry: UndoEntry): Promise<UndoEntry | null> {
    const { rest, ...known } = entry;
    if (rest === undefined) return entry;
    if (current === null) return null;
    const { bookId, handle } = current;
    const answer = await transport.restOf(bookId, rest.revision, rest.piece);
    if (!answer.ok) return null;
    const { pending, undo, redo } = handle.getState().book;
    learnLedgers([{ writes: answer.value }], pending);
    const whole = { ...known, writes: [...entry.writes, ...answer.value] };
    const withWhole = (stack: readonly UndoEntry[]) => stack.map((each) => (each === entry ? whole : each));
    handle.dispatch(bookActions.stacked({ undo: withWhole(undo), redo: withWhole(redo) }));
    return whole;
  },

  /** Tries again at once: after signing in again, or when the person asks for it. */
  retry(): void {
    if (current !== null) void work(current);
  },
};

/** The server has something new, or is there again: in either case there is something to do. */
function heard(connection: Connection, revisions: Revisions): void {
  const { revision, link } = connection.handle.getState().book;
  if ((revisions[connection.bookId] ?? 0) > revision || link === 'away') void work(connection);
}

/** Sends what waits and fetches what is new, until both are done. One round at a time. */
async function work(connection: Connection): Promise<void> {
  connection.again = connection.busy;
  if (connection.busy || connection.closed) return;
  connection.busy = true;
  clearTimeout(connection.timer);
  try {
    do {
      connection.again = false;
      while (!connection.closed && (await step(connection)));
    } while (connection.again && !connection.closed);
  } finally {
    connection.busy = false;
  }
}

async function step(connection: Connection): Promise<boolean> {
  const { handle } = connection;
  const { pending, conflict, link } = handle.getState().book;
  const next = pending[0];
  if (next === undefined || conflict !== null) return catchUp(connection);
  if (link === 'well') say(connection, 'sending');
  const answer = await transport.send(connection.bookId, next);
  if (connection.closed) return false;
  if (answer.ok) return accepted(connection, next, answer.value.revision);
  if (answer.status === 409 && answer.rows.length > 0) {
    await catchUp(connection);
    handle.dispatch(bookActions.conflicted({ change: next, problems: answer.problems, rows: answer.rows }));
    return false;
  }
  if (answer.status >= 400 && answer.status < 500 && ![401, 404, 429].includes(answer.status))
    return refused(connection, next, answer);
  if (answer.status === 500 && failedOften(connection, next)) return wait(connection, 'failing');
  return wait(connection, answer.status === 401 ? 'signed-out' : answer.status === 404 ? 'gone' : 'away');
}

/** Counts how often the server has failed at a change itself; that it was away or busy does not count. */
function failedOften(connection: Connection, { id }: Change): boolean {
  const times = connection.failed?.id === id ? connection.failed.times + 1 : 1;
  connection.failed = { id, times };
  return times >= FAILURES;
}

/**
 * The server has the change. Where it is the next revision, its rows follow from it; where the server had it already
 * (it was sent before a reload), they are there; else what lies between is fetched.
 */
async function accepted(connection: Connection, change: Change, revision: number): Promise<boolean> {
  const { handle } = connection;
  await connection.outbox.remove(change.id);
  const { book } = handle.getState();
  // It was set aside while it was on its way, and has got through after all.
  if (book.aside.some((edit) => edit.change.id === change.id)) void sync.forget([change.id]);
  if (revision <= book.revision) return confirm(connection, book.revision, [], [change.id]);
  const foreseen = revision === book.revision + 1 ? model.foresee(change) : null;
  if (foreseen?.ok) return confirm(connection, revision, foreseen.writes, [change.id]);
  const caughtUp = await catchUp(connection, [change.id]);
  return caughtUp || handle.getState().book.pending.length > 0;
}

/** Fetches what others wrote. Returns true where there may be more to do. */
async function catchUp(connection: Connection, settled: readonly string[] = []): Promise<boolean> {
  const { handle } = connection;
  const answer = await transport.since(connection.bookId, handle.getState().book.revision);
  if (connection.closed) return false;
  if (!answer.ok)
    return wait(connection, answer.status === 401 ? 'signed-out' : answer.status === 404 ? 'gone' : 'away');
  const last = answer.value.at(-1);
  if (last === undefined && settled.length === 0) {
    if (handle.getState().book.pending.length === 0) say(connection, 'well');
    return false;
  }
  const ids = [...settled, ...answer.value.map((entry) => entry.changeId)];
  const writes = answer.value.flatMap((entry) => entry.writes);
  confirm(connection, last?.revision ?? handle.getState().book.revision, writes, ids);
  await connection.outbox.remove(...ids);
  return handle.getState().book.conflict === null;
}

/** Takes what the server has written under the changes that still wait. */
function confirm(connection: Connection, revision: number, writes: readonly Write[], settled: readonly string[]): true {
  const { handle } = connection;
  const before = handle.getState().book.pending;
  const pending = before.filter((change) => !settled.includes(change.id));
  model.confirm(writes, before, pending);
  handle.dispatch(bookActions.confirmed({ revision, pending }));
  if (pending.length === 0) say(connection, 'well');
  return true;
}

/** A waiting change goes in another form, or not at all. */
function rewrite(handle: Handle, id: string, change: Change | null): void {
  const before = handle.getState().book.pending;
  const pending = before.flatMap((each) => (each.id !== id ? [each] : (change ?? [])));
  model.rewrite(before, pending);
  handle.dispatch(bookActions.rewritten(pending));
}

/** The server will never take this change: it is dropped, and the person is told why. */
async function refused(
  connection: Connection,
  change: Change,
  answer: Extract<Answer<unknown>, { ok: false }>,
): Promise<boolean> {
  const { handle } = connection;
  if (answer.problems.some(({ code }) => code === 'book-full')) {
    connection.failed = { id: change.id, times: 1 };
    await sync.setAside();
  } else await drop(connection, [change]);
  const sentence = answer.problems.map((each) => each.sentence).join(' ');
  handle.dispatch(noticed({ sentence: `An edit could not be kept. ${sentence}`, tone: 'problem' }));
  return true;
}

/** Waiting changes are given up: they leave the screen, what waits to be sent, and what can be taken back. */
async function drop(connection: Connection, changes: readonly Change[]): Promise<void> {
  const { handle } = connection;
  const ids = changes.map(({ id }) => id);
  await connection.outbox.remove(...ids);
  const { pending, undo, redo } = handle.getState().book;
  const after = pending.filter(({ id }) => !ids.includes(id));
  model.rewrite(pending, after);
  handle.dispatch(bookActions.rewritten(after));
  // What was never done cannot be taken back.
  const others = ({ changeId }: UndoEntry) => !ids.includes(changeId);
  handle.dispatch(bookActions.stacked({ undo: undo.filter(others), redo: redo.filter(others) }));
}

/** What a waiting change does, in one line. */
function labelOfChange(change: Change): string {
  const applied = model.foresee(change);
  return applied.ok ? labelOf(model.rows, applied.writes) : 'An edit that belongs to another one';
}

/** The server is away or fails, and is asked again by itself in a moment. */
const isPausing = ({ handle }: Connection) => ['away', 'failing'].includes(handle.getState().book.link);

function wait(connection: Connection, link: Link): false {
  say(connection, link);
  connection.again = false;
  if (link === 'away' || link === 'failing') connection.timer = setTimeout(() => void work(connection), RETRY_AFTER);
  return false;
}

function say({ handle }: Connection, link: Link): void {
  if (handle.getState().book.link !== link) handle.dispatch(bookActions.linked(link));
}
