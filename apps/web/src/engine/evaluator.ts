import {
  besideBaseline,
  effectOf,
  goalView,
  repricedOf,
  isSideViewName,
  isViewName,
  sideView,
  twoInputsView,
  VIEWS,
  workAhead,
  type Evaluation,
} from '@nuvar/core';
import { Evaluations } from './evaluations.js';
import type { FromWorker, Question, ToWorker } from './messages.js';
import { readViewKey } from './view-key.js';

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
  const evaluations = new Evaluations();
  /** What is left to be worked out while nobody waits; null when all of it is. */
  let ahead: Iterator<void> | null = null;
  let awaited: string[] = [];
  let callOff: () => void = () => undefined;
  let lastEdit = Number.NEGATIVE_INFINITY;
  /** The views that are watched, with what was sent last; empty where nothing was. */
  const watched = new Map<string, string>();

  /** What was last written of each view that is watched: a view that is the same object need not be written again. */
  const written = new Map<string, { readonly view: unknown; readonly json: string }>();

  const viewOf = (key: string): string => {
    const { evaluations: names, name, id } = readViewKey(key);
    if (isSideViewName(name)) {
      const sides = names.flatMap((each) => evaluations.named(each) ?? []);
      return sides.length < names.length ? 'null' : JSON.stringify(sideView(name, sides, id));
    }
    const evaluation = names[0] === undefined ? evaluations.shown() : evaluations.named(names[0]);
    if (evaluation === null || !isViewName(name)) return 'null';
    const view: unknown = VIEWS[name](evaluation, id) ?? null;
    if (names.length === 0 && evaluations.isWhatIf) return JSON.stringify(beside(view));
    const known = written.get(key);
    if (known !== undefined && known.view === view) return known.json;
    const json = JSON.stringify(view);
    if (watched.has(key)) written.set(key, { view, json });
    return json;
  };
  const beside = (view: unknown) => (evaluations.baseline === null ? view : besideBaseline(view, evaluations.baseline));

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
    if (evaluations.baseline === null) return;
    awaited = [...watched.keys()].reverse().sort((one, other) => rank(other) - rank(one));
    callOff();
    callOff = later(flush, 0);
  };

  /** What has not been sent yet, because it is new or has failed, has to be looked at too; all else is as it was. */
  const flushUnsent = (): void => {
    if (evaluations.baseline === null) return;
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
    const evaluation = evaluations.shown();
    return evaluation === null ? [] : [JSON.stringify(workedOut(evaluation, message))];
  };

  const follow = (message: Exclude<ToWorker, Question>): void => {
    switch (message.type) {
      case 'open':
        ahead = workAhead(evaluations.open(message.snapshot, message.asOf));
        for (const key of watched.keys()) watched.set(key, '');
        break;
      case 'frozen':
        evaluations.keep(message.name, message.snapshot, message.asOf);
        break;
      case 'states':
        evaluations.keepStates(message.day, message.states);
        break;
      case 'show':
        evaluations.show(message.name);
        written.clear();
        break;
      case 'apply':
        lastEdit = now();
        evaluations.apply(message.writes);
        break;
      case 'override':
        lastEdit = now();
        evaluations.try(message.overrides);
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

/** What is asked once of what is shown. */
function workedOut(evaluation: Evaluation, message: Exclude<Question, { type: 'alive' | 'ask' }>): unknown {
  switch (message.type) {
    case 'reprice':
      return repricedOf(evaluation, message.how, message.pointIds);
    case 'effect':
      return effectOf(evaluation, message.overrides, message.productIds);
    case 'goal':
      return goalView(evaluation, message.asked);
    case 'two inputs':
      return twoInputsView(evaluation, message.asked);
  }
}
