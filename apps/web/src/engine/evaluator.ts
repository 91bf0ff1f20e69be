import { rowsOfColumns, type RowColumns } from '@nuvar/book';
import {
  effectOf,
  repricedOf,
  evaluate,
  isViewName,
  VIEWS,
  workAhead,
  type BookEvaluation,
  type Evaluation,
  type Fork,
} from '@nuvar/core';
import type { FromWorker, Question, ToWorker } from './messages.js';

/** What an evaluator is given of the place where it runs. */
export interface Surroundings {
  readonly post: (message: FromWorker) => void;
  /** Milliseconds, of any beginning. */
  readonly now: () => number;
  /** Runs an act after so many milliseconds; gives back how to call it off. */
  readonly later: (act: () => void, delay: number) => () => void;
}

/** Views over the whole book take longest and are looked at last: what is on screen for one row comes first. */
const OVER_THE_WHOLE_BOOK = ['overhead/', 'overview/', 'looseEnds/'];
const rank = (key: string) => OVER_THE_WHOLE_BOOK.findIndex((name) => key.startsWith(name));

/** How long it has to have been quiet before views are worked out that nobody types beside. */
const QUIET = 150;
/** How long views are worked out before those that are ready are sent and new messages are taken in. */
const SLICE = 12;

const said = (error: unknown) => (error instanceof Error ? error.message : String(error));

/**
 * Evaluates the open book beside the page. The graph of figures stays here; the page watches views by key ("card/…") and
 * is sent those that have become others. Returns what takes a message in. A view that fails fails alone; a question is
 * always answered; what cannot follow the book says that it is broken.
 */
export function newEvaluator({ post, now, later }: Surroundings): (message: ToWorker) => void {
  let book: BookEvaluation | null = null;
  /** What is tried on top of the book; null while nothing is. */
  let trial: Fork | null = null;
  /** What is left to be worked out while nobody waits; null when all of it is. */
  let ahead: Iterator<void> | null = null;
  let awaited: string[] = [];
  let callOff: () => void = () => undefined;
  let lastEdit = Number.NEGATIVE_INFINITY;
  /** The views that are watched, with what was sent last; empty where nothing was. */
  const watched = new Map<string, string>();

  const shown = (): Evaluation | null => trial ?? book;

  /** What was last written of each view that is watched: a view that is the same object need not be written again. */
  const written = new Map<string, { readonly view: unknown; readonly json: string }>();

  const viewOf = (key: string): string => {
    const slash = key.indexOf('/');
    const name = key.slice(0, slash);
    const evaluation = shown();
    if (evaluation === null || !isViewName(name)) return 'null';
    const view: unknown = VIEWS[name](evaluation, key.slice(slash + 1)) ?? null;
    const known = written.get(key);
    if (known !== undefined && known.view === view) return known.json;
    const json = JSON.stringify(view);
    if (watched.has(key)) written.set(key, { view, json });
    return json;
  };

  /**
   * True for views that nobody types beside: they wait until most of what they need has been worked out ahead, and it has
   * been quiet for a while, so as not to hold up others.
   */
  const canWait = (key: string) =>
    key.startsWith('looseEnds/') || (key.startsWith('overview/') && watched.get(key) !== '');

  const flush = (): void => {
    const views: (readonly [string, string])[] = [];
    const failed: (readonly [string, string])[] = [];
    const begun = now();
    const untilQuiet = Math.max(0, lastEdit + QUIET - begun);
    for (let key = awaited.pop(); key !== undefined; key = awaited.pop()) {
      if (canWait(key) && (ahead !== null || untilQuiet > 0)) {
        awaited.push(key);
        break;
      }
      lookAt(key, views, failed);
      if (now() - begun > SLICE) break;
    }
    if (views.length > 0 || failed.length > 0) post({ type: 'views', views, failed });
    const isLeftForLater = awaited.every(canWait);
    if (isLeftForLater && untilQuiet === 0) workOnAhead(begun + SLICE);
    if (awaited.length > 0 || ahead !== null) callOff = later(flush, isLeftForLater ? untilQuiet : 0);
  };

  const lookAt = (key: string, views: (readonly [string, string])[], failed: (readonly [string, string])[]): void => {
    const known = watched.get(key);
    if (known === undefined) return;
    try {
      const json = viewOf(key);
      if (json === known) return;
      watched.set(key, json);
      views.push([key, json]);
    } catch (error) {
      watched.set(key, '');
      failed.push([key, said(error)]);
    }
  };

  /** Whatever fails ahead fails again where it is asked for, and is said there. */
  const workOnAhead = (until: number): void => {
    try {
      while (ahead !== null && now() < until) if (ahead.next().done) ahead = null;
    } catch {
      ahead = null;
    }
  };

  /**
   * All that is watched has to be looked at again, in the order of its rank and then in which it was asked for; the last
   * of the list comes first. Messages that wait are taken in before.
   */
  const flushSoon = (): void => {
    if (book === null) return;
    awaited = [...watched.keys()].reverse().sort((one, other) => rank(other) - rank(one));
    callOff();
    callOff = later(flush, 0);
  };

  /** What has not been sent yet, because it is new or has failed, has to be looked at too; all else is as it was. */
  const flushUnsent = (): void => {
    if (book === null) return;
    const unsent = [...watched].flatMap(([key, sent]) => (sent === '' ? [key] : []));
    awaited = [...new Set([...awaited, ...unsent.reverse()])].sort((one, other) => rank(other) - rank(one));
    callOff();
    callOff = later(flush, 0);
  };

  const answer = (message: Question): void => {
    const { question } = message;
    try {
      post({ type: 'answer', question, views: answersTo(message) });
    } catch (error) {
      post({ type: 'refusal', question, why: said(error) });
    }
  };
  const answersTo = (message: Question): readonly string[] => {
    if (message.type === 'alive') return [];
    if (message.type === 'ask') return message.keys.map(viewOf);
    const evaluation = shown();
    if (message.type === 'reprice')
      return evaluation === null ? [] : [JSON.stringify(repricedOf(evaluation, message.how, message.pointIds))];
    return [JSON.stringify(evaluation === null ? [] : effectOf(evaluation, message.overrides, message.productIds))];
  };

  const follow = (message: Exclude<ToWorker, Question>): void => {
    switch (message.type) {
      case 'open':
        trial = null;
        book = evaluate(rowsOfColumns((JSON.parse(message.snapshot) as { rows: RowColumns }).rows), message.asOf);
        ahead = workAhead(book);
        for (const key of watched.keys()) watched.set(key, '');
        break;
      case 'apply':
        lastEdit = now();
        book?.apply(message.writes);
        break;
      case 'override':
        lastEdit = now();
        if (message.overrides.length > 0 && trial !== null) trial.lay(message.overrides);
        else {
          trial?.end();
          trial = message.overrides.length > 0 ? (book?.fork(message.overrides) ?? null) : null;
        }
        break;
      case 'watch':
        for (const key of message.keys) if (!watched.has(key)) watched.set(key, '');
        flushUnsent();
        return;
      case 'leave':
        for (const key of message.keys) {
          watched.delete(key);
          written.delete(key);
        }
        return;
    }
    flushSoon();
  };

  return (message) => {
    if ('question' in message) {
      answer(message);
      return;
    }
    try {
      follow(message);
    } catch (error) {
      post({ type: 'broken', why: said(error) });
    }
  };
}
