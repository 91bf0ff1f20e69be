import type { MixMessage, MixReply, MixReplyMessage, MixRequest } from './mix.worker.js';

/** A request under way. */
export interface Asked {
  /** Ends it. Nothing more is heard of it. */
  readonly stop: () => void;
}

let worker: Worker | null = null;
/** Another one that has been loaded: it takes the place of one that is ended, so that nobody waits for it to load again. */
let reserve: Worker | null = null;
let last = 0;
const listeners = new Map<number, (reply: MixReply) => void>();

const DIED = 'It takes more memory than there is.';

const made = (): Worker => new Worker(new URL('./mix.worker.ts', import.meta.url), { type: 'module' });

/** The solver in a worker of its own: loaded when a mix plan is first opened, and kept for the next question. */
function started(): Worker {
  if (worker !== null) return worker;
  const next = reserve ?? made();
  reserve = null;
  next.onmessage = ({ data: { id, reply } }: MessageEvent<MixReplyMessage>) => {
    listeners.get(id)?.(reply);
    if (reply.said === 'done') listeners.delete(id);
  };
  next.onerror = () => end((listener) => listener({ said: 'failed', reason: DIED }));
  worker = next;
  return next;
}

function end(tell: (listener: (reply: MixReply) => void) => void): void {
  worker?.terminate();
  worker = null;
  const waiting = [...listeners.values()];
  listeners.clear();
  waiting.forEach(tell);
}

/** Loads the solver ahead, so that the first question is answered sooner. */
export const warmUp = (): void => void started();

/** Asks the solver. A question that is stopped ends the worker with all that waits in it, and the one in reserve goes on. */
export function ask(request: MixRequest, listener: (reply: MixReply) => void): Asked {
  const id = (last += 1);
  listeners.set(id, listener);
  started().postMessage({ id, request } satisfies MixMessage);
  // A search can be stopped: by then another worker is ready.
  if (request.of === 'best') reserve ??= made();
  return {
    stop: () => {
      if (!listeners.delete(id)) return;
      const others = [...listeners.values()];
      end((other) => other({ said: 'failed', reason: 'It was stopped with another question.' }));
      if (others.length === 0) warmUp();
    },
  };
}
