import type { Write } from '@nuvar/book';
import type { EffectView, Override, ViewName, ViewOf } from '@nuvar/core';
import type { FromWorker, ToWorker } from './messages.js';

type Listener = () => void;

/** A view stays watched for a while after its screen is left, so that coming back finds it there. */
const LINGER = 15_000;

const views = new Map<string, unknown>();
const listeners = new Map<string, Set<Listener>>();
const leaving = new Map<string, ReturnType<typeof setTimeout>>();
const questions = new Map<number, (views: readonly string[]) => void>();
let worker: Worker | null = null;
let hasBook = false;
let nextQuestion = 1;
let fresh: string[] = [];

const tell = (message: ToWorker) => worker?.postMessage(message);

/** The page's side of the worker in which the open book is evaluated. */
export const engine = {
  /** Starts a worker, where none waits for a book, so that its script is there when the book comes. */
  prepare(): void {
    if (worker !== null && !hasBook) return;
    engine.close();
    worker = new Worker(new URL('./engine.worker.ts', import.meta.url), { type: 'module' });
    worker.onmessage = ({ data }: MessageEvent<FromWorker>) => receive(data);
  },

  /** Evaluates a book as of a day, from the text of its snapshot. */
  open(snapshot: string, asOf: string): void {
    if (worker === null) engine.prepare();
    hasBook = true;
    views.clear();
    tell({ type: 'open', snapshot, asOf });
    if (listeners.size > 0) tell({ type: 'watch', keys: [...listeners.keys()] });
  },

  close(): void {
    worker?.terminate();
    worker = null;
    hasBook = false;
    views.clear();
    for (const [key, timer] of leaving) {
      clearTimeout(timer);
      listeners.delete(key);
    }
    leaving.clear();
  },

  apply: (writes: readonly Write[]) => tell({ type: 'apply', writes }),
  override: (overrides: readonly Override[]) => tell({ type: 'override', overrides }),

  /** Watches a view; the listener is called whenever it has become another. */
  watch(key: string, listener: Listener): () => void {
    clearTimeout(leaving.get(key));
    leaving.delete(key);
    const known = listeners.get(key);
    if (known === undefined) {
      listeners.set(key, new Set([listener]));
      announce(key);
    } else {
      known.add(listener);
    }
    return () => leave(key, listener);
  },

  view: <Name extends ViewName>(key: `${Name}/${string}`) => views.get(key) as ViewOf<Name> | undefined,

  /** Works out views once, for an export. */
  ask<Name extends ViewName>(name: Name, ids: readonly string[]): Promise<ViewOf<Name>[]> {
    return question((number) => ({ type: 'ask', question: number, keys: ids.map((id) => `${name}/${id}`) })).then(
      (answers) => answers.map((json) => JSON.parse(json) as ViewOf<Name>),
    );
  },

  /** What overrides would do to the full cost of products; the book and what is tried on it stay as they are. */
  effectOf(overrides: readonly Override[], productIds: readonly string[]): Promise<EffectView[]> {
    return question((number) => ({ type: 'effect', question: number, overrides, productIds })).then(
      ([json = '[]']) => JSON.parse(json) as EffectView[],
    );
  },
};

/** Asks the worker something once. */
function question(message: (number: number) => ToWorker): Promise<readonly string[]> {
  return new Promise((done) => {
    const number = nextQuestion++;
    questions.set(number, done);
    tell(message(number));
  });
}

/** Views that are asked for in one go are asked for in one message. */
function announce(key: string): void {
  fresh.push(key);
  if (fresh.length > 1) return;
  queueMicrotask(() => {
    tell({ type: 'watch', keys: fresh });
    fresh = [];
  });
}

function leave(key: string, listener: Listener): void {
  const known = listeners.get(key);
  known?.delete(listener);
  if (known === undefined || known.size > 0) return;
  leaving.set(
    key,
    setTimeout(() => {
      leaving.delete(key);
      listeners.delete(key);
      views.delete(key);
      tell({ type: 'leave', keys: [key] });
    }, LINGER),
  );
}

function receive(message: FromWorker): void {
  if (message.type === 'failed') {
    console.error(`The book could not be evaluated: ${message.message}`);
  } else if (message.type === 'answer') {
    questions.get(message.question)?.(message.views);
    questions.delete(message.question);
  } else {
    for (const [key, json] of message.views) views.set(key, JSON.parse(json));
    for (const [key] of message.views) listeners.get(key)?.forEach((listener) => listener());
  }
}
