import 'reflect-metadata';
import { rowsOfColumns, type RowColumns } from '@nuvar/book';
import { effectOf, evaluate, isViewName, VIEWS, workAhead, type Evaluation } from '@nuvar/core';
import type { FromWorker, ToWorker } from './messages.js';

/**
 * Evaluates the open book beside the page. The graph of figures stays here; the page watches views by key ("card/…") and
 * is sent those that have become others.
 */
let evaluation: Evaluation | null = null;
/** What is left to be worked out while nobody waits; null when all of it is. */
let ahead: Iterator<void> | null = null;
let awaited: string[] = [];
let timer: ReturnType<typeof setTimeout> | undefined;
const watched = new Map<string, string>();

/** Views over the whole book take longest and are looked at last: what is on screen for one row comes first. */
const OVER_THE_WHOLE_BOOK = ['overhead/', 'overview/', 'looseEnds/'];
const rank = (key: string) => OVER_THE_WHOLE_BOOK.findIndex((name) => key.startsWith(name));

/**
 * True for views that nobody types beside: they wait until most of what they need has been worked out ahead, and it has
 * been quiet for a while, so as not to hold up others.
 */
const canWait = (key: string) =>
  key.startsWith('looseEnds/') || (key.startsWith('overview/') && watched.get(key) !== '');
const QUIET = 150;
let lastEdit = 0;

/** How long views are worked out before those that are ready are sent and new messages are taken in. */
const SLICE = 12;

const post = (message: FromWorker) => self.postMessage(message);

function viewOf(key: string): string {
  const slash = key.indexOf('/');
  const name = key.slice(0, slash);
  if (evaluation === null || !isViewName(name)) return 'null';
  return JSON.stringify(VIEWS[name](evaluation, key.slice(slash + 1)) ?? null);
}

function flush(): void {
  const views: (readonly [string, string])[] = [];
  const begun = performance.now();
  const untilQuiet = Math.max(0, lastEdit + QUIET - begun);
  for (let key = awaited.pop(); key !== undefined; key = awaited.pop()) {
    if (canWait(key) && (ahead !== null || untilQuiet > 0)) {
      awaited.push(key);
      break;
    }
    const known = watched.get(key);
    const json = known === undefined ? undefined : viewOf(key);
    if (json !== undefined && json !== known) {
      watched.set(key, json);
      views.push([key, json]);
    }
    if (performance.now() - begun > SLICE) break;
  }
  if (views.length > 0) post({ type: 'views', views });
  const isLeftForLater = awaited.every(canWait);
  if (isLeftForLater && untilQuiet === 0) workOnAhead(begun + SLICE);
  if (awaited.length > 0 || ahead !== null) timer = setTimeout(() => guarded(flush), isLeftForLater ? untilQuiet : 0);
}

function workOnAhead(until: number): void {
  while (ahead !== null && performance.now() < until) if (ahead.next().done) ahead = null;
}

/**
 * All that is watched has to be looked at again, in the order of its rank and then in which it was asked for; the last of
 * the list comes first. Messages that wait are taken in before.
 */
function flushSoon(): void {
  if (evaluation === null) return;
  awaited = [...watched.keys()].reverse().sort((one, other) => rank(other) - rank(one));
  clearTimeout(timer);
  timer = setTimeout(() => guarded(flush));
}

function handle(message: ToWorker): void {
  if (message.type === 'apply' || message.type === 'override') lastEdit = performance.now();
  switch (message.type) {
    case 'open':
      evaluation = evaluate(rowsOfColumns((JSON.parse(message.snapshot) as { rows: RowColumns }).rows), message.asOf);
      ahead = workAhead(evaluation);
      for (const key of watched.keys()) watched.set(key, '');
      break;
    case 'apply':
      evaluation?.apply(message.writes);
      break;
    case 'override':
      evaluation?.override(message.overrides);
      break;
    case 'watch':
      for (const key of message.keys) if (!watched.has(key)) watched.set(key, '');
      break;
    case 'leave':
      for (const key of message.keys) watched.delete(key);
      return;
    case 'effect': {
      const { question, overrides, productIds } = message;
      const effects = evaluation === null ? [] : effectOf(evaluation, overrides, productIds);
      post({ type: 'answer', question, views: [JSON.stringify(effects)] });
      return;
    }
    case 'ask':
      post({ type: 'answer', question: message.question, views: message.keys.map(viewOf) });
      return;
  }
  flushSoon();
}

function guarded(act: () => void): void {
  try {
    act();
  } catch (error) {
    post({ type: 'failed', message: error instanceof Error ? error.message : String(error) });
  }
}

self.onmessage = ({ data }: MessageEvent<ToWorker>) => guarded(() => handle(data));
