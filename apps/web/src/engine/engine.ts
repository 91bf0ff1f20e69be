import { copyWithStructuralSharing as withSameParts } from '@reduxjs/toolkit/query';
import type { LedgerStates, Override, Write } from '@nuvar/book';
import type {
  EffectView,
  GoalAsked,
  GoalView,
  RepricedBoard,
  Repricing,
  TwoInputsAsked,
  TwoInputsView,
  ViewName,
  ViewOf,
} from '@nuvar/core';
import type { FromWorker, Question, ToWorker } from './messages.js';

type Listener = () => void;

/** How it stands with the worker: which views could not be worked out and why, and whether it had to be started again. */
export interface EngineState {
  readonly failures: ReadonlyMap<string, string>;
  /** How often it was started again for the open book. */
  readonly restarts: number;
  /** True once it has failed so often that it is left alone. */
  readonly hasGivenUp: boolean;
}

const WELL: EngineState = { failures: new Map(), restarts: 0, hasGivenUp: false };

/** A view stays watched for a while after its screen is left, so that coming back finds it there. */
const LINGER = 15_000;
/** A worker that has said nothing for so long since it was told something is asked whether it is alive. */
const PATIENCE = 5_000;
/** A worker that does not answer that for so long has died. */
const SILENCE = 30_000;
/** How often a worker is started again for one book. */
const MOST_RESTARTS = 3;

const views = new Map<string, unknown>();
const listeners = new Map<string, Set<Listener>>();
const leaving = new Map<string, ReturnType<typeof setTimeout>>();
const questions = new Map<number, { answer: (views: readonly string[]) => void; refuse: (error: Error) => void }>();
const stateListeners = new Set<Listener>();
let state = WELL;
let worker: Worker | null = null;
let hasBook = false;
let nextQuestion = 1;
let fresh: string[] = [];
let watch: ReturnType<typeof setTimeout> | undefined;
/** Opens the book anew, as it is now with all that is tried on it. */
let openAgain: () => void = () => undefined;

function tell(message: ToWorker): void {
  worker?.postMessage(message);
  watchOver();
}

function become(next: Partial<EngineState>): void {
  state = { ...state, ...next };
  stateListeners.forEach((listener) => listener());
}

/** The page's side of the worker in which the open book is evaluated. */
export const engine = {
  /** Starts a worker, where none waits for a book, so that its script is there when the book comes. */
  prepare(): void {
    if (worker !== null && !hasBook) return;
    engine.close();
    start();
  },

  /** Evaluates a book as of a day, from the text of its snapshot. */
  open(snapshot: string, asOf: string): void {
    if (worker === null) engine.prepare();
    hasBook = true;
    views.clear();
    become({ failures: new Map() });
    tell({ type: 'open', snapshot, asOf });
    if (listeners.size > 0) tell({ type: 'watch', keys: [...listeners.keys()] });
  },

  /** Says how the book is opened again should the worker die. */
  reopenBy(open: () => void): void {
    openAgain = open;
  },

  close(): void {
    stop();
    hasBook = false;
    become(WELL);
    for (const [key, timer] of leaving) {
      clearTimeout(timer);
      listeners.delete(key);
    }
    leaving.clear();
  },

  /** Shows a what-if, or the book again. */
  show: (name: string) => tell({ type: 'show', name }),
  /** Gives a baseline that was frozen to whoever compares with it. */
  keep: (name: string, snapshot: string, asOf: string) => tell({ type: 'frozen', name, snapshot, asOf }),

  /** Says what ledgers had come to on a day that is compared with. */
  keepStates: (day: string, states: LedgerStates) => tell({ type: 'states', day, states }),

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
  /** A view of an evaluation of its own, or over several. */
  viewOver: (key: string): unknown => views.get(key),

  state: (): EngineState => state,
  watchState(listener: Listener): () => void {
    stateListeners.add(listener);
    return () => stateListeners.delete(listener);
  },

  /** Works out views once, for an export. Rejected where one of them cannot be worked out. */
  async ask<Name extends ViewName>(name: Name, ids: readonly string[]): Promise<ViewOf<Name>[]> {
    const answers = await ask((question) => ({ type: 'ask', question, keys: ids.map((id) => `${name}/${id}`) }));
    return answers.map((json) => JSON.parse(json) as ViewOf<Name>);
  },

  /** What overrides would do to the full cost of products; the book and what is tried on it stay as they are. */
  async effectOf(overrides: readonly Override[], productIds: readonly string[]): Promise<EffectView[]> {
    const [json = '[]'] = await ask((question) => ({ type: 'effect', question, overrides, productIds }));
    return JSON.parse(json) as EffectView[];
  },

  /** The values of an input at which a figure reaches a goal; null where one of the two is not there. */
  async goal(asked: GoalAsked): Promise<GoalView | null> {
    const [json] = await ask((question) => ({ type: 'goal', question, asked }));
    return json === undefined ? null : (JSON.parse(json) as GoalView | null);
  },

  /** One figure over two of its inputs; null where one of them is not there. */
  async twoInputs(asked: TwoInputsAsked): Promise<TwoInputsView | null> {
    const [json] = await ask((question) => ({ type: 'two inputs', question, asked }));
    return json === undefined ? null : (JSON.parse(json) as TwoInputsView | null);
  },

  /** What a change of many prices would do to each and to the month; the book stays as it is. Null where no book is open. */
  async repriced(how: Repricing, pointIds: readonly string[]): Promise<RepricedBoard | null> {
    const [json] = await ask((question) => ({ type: 'reprice', question, how, pointIds }));
    return json === undefined ? null : (JSON.parse(json) as RepricedBoard);
  },
};

function start(): void {
  worker = new Worker(new URL('./engine.worker.ts', import.meta.url), { type: 'module' });
  worker.onmessage = ({ data }: MessageEvent<FromWorker>) => receive(data);
  worker.onerror = (event) => died(event.message);
  worker.onmessageerror = () => died('a message could not be read');
}

/** Ends the worker. Whoever still waits for an answer is told that none will come. */
function stop(): void {
  worker?.terminate();
  worker = null;
  views.clear();
  clearTimeout(watch);
  watch = undefined;
  for (const { refuse } of questions.values()) refuse(new Error('The figures were being worked out anew. Try again.'));
  questions.clear();
}

/** Starts the worker again with the book as it is now, and says so; after some times it is left alone. */
function died(why: string): void {
  console.error(`The book could not be evaluated: ${why}`);
  stop();
  if (!hasBook) return;
  if (state.restarts >= MOST_RESTARTS) {
    become({ hasGivenUp: true });
    listeners.forEach((each) => each.forEach((listener) => listener()));
    return;
  }
  become({ restarts: state.restarts + 1 });
  start();
  openAgain();
}

/** Asks the worker something once. */
function ask(message: (question: number) => Question): Promise<readonly string[]> {
  return new Promise((answer, refuse) => {
    if (worker === null) {
      refuse(new Error('The figures of this book cannot be worked out at the moment.'));
      return;
    }
    const question = nextQuestion++;
    questions.set(question, { answer, refuse });
    tell(message(question));
  });
}

/** Looks whether a worker that was told something still says anything. */
function watchOver(): void {
  if (watch !== undefined || worker === null) return;
  watch = setTimeout(() => {
    const asked = worker;
    asked?.postMessage({ type: 'alive', question: 0 } satisfies ToWorker);
    watch = setTimeout(() => worker === asked && died('it no longer answers'), SILENCE);
  }, PATIENCE);
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
  clearTimeout(watch);
  watch = undefined;
  switch (message.type) {
    case 'broken':
      died(message.why);
      return;
    case 'answer':
      questions.get(message.question)?.answer(message.views);
      questions.delete(message.question);
      break;
    case 'refusal':
      questions.get(message.question)?.refuse(new Error(`It could not be worked out: ${message.why}`));
      questions.delete(message.question);
      break;
    case 'views':
      take(message.views, message.failed);
      break;
  }
  if (questions.size > 0) watchOver();
}

/** Takes in views that have become others; parts that are as they were stay the same objects, so that nothing draws them again. What could not be worked out is shown no longer, and is said. */
function take(others: readonly (readonly [string, string])[], failed: readonly (readonly [string, string])[]): void {
  for (const [key, json] of others) views.set(key, withSameParts(views.get(key), JSON.parse(json)));
  for (const [key] of failed) views.delete(key);
  const mended = others.some(([key]) => state.failures.has(key));
  if (failed.length > 0 || mended) {
    const failures = new Map(state.failures);
    for (const [key] of others) failures.delete(key);
    for (const [key, why] of failed) failures.set(key, why);
    become({ failures });
  }
  for (const [key] of [...others, ...failed]) listeners.get(key)?.forEach((listener) => listener());
}
