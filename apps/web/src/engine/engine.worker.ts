import 'reflect-metadata';
import { evaluate, isViewName, VIEWS, type Evaluation } from '@nuvar/core';
import type { FromWorker, ToWorker } from './messages.js';

/**
 * Evaluates the open book beside the page. The graph of figures stays here; the page watches views by key ("card/…") and
 * is sent those that have become others.
 */
let evaluation: Evaluation | null = null;
let flushing = false;
const watched = new Map<string, string>();

const post = (message: FromWorker) => self.postMessage(message);

function viewOf(key: string): string {
  const slash = key.indexOf('/');
  const name = key.slice(0, slash);
  if (evaluation === null || !isViewName(name)) return 'null';
  return JSON.stringify(VIEWS[name](evaluation, key.slice(slash + 1)) ?? null);
}

function flush(): void {
  flushing = false;
  const views: (readonly [string, string])[] = [];
  for (const [key, known] of watched) {
    const json = viewOf(key);
    if (json === known) continue;
    watched.set(key, json);
    views.push([key, json]);
  }
  if (views.length > 0) post({ type: 'views', views });
}

function handle(message: ToWorker): void {
  switch (message.type) {
    case 'open':
      evaluation = evaluate(message.rows, message.asOf);
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
    case 'ask':
      post({ type: 'answer', question: message.question, views: message.keys.map(viewOf) });
      return;
  }
  if (flushing) return;
  flushing = true;
  // Messages that have arrived together are taken in before anything is worked out.
  setTimeout(() => guarded(flush));
}

function guarded(act: () => void): void {
  try {
    act();
  } catch (error) {
    post({ type: 'failed', message: error instanceof Error ? error.message : String(error) });
  }
}

self.onmessage = ({ data }: MessageEvent<ToWorker>) => guarded(() => handle(data));
