import { newEvaluator } from '../engine/evaluator.js';
import type { FromWorker, ToWorker } from '../engine/messages.js';

/** Stands in the place of the browser's worker: the evaluator itself, in the same thread, with messages that take a turn. */
export class SameThreadWorker {
  onmessage: ((event: { data: FromWorker }) => void) | null = null;
  onerror: unknown = null;
  onmessageerror: unknown = null;
  private isEnded = false;
  private readonly take = newEvaluator({
    post: (message) => setTimeout(() => this.isEnded || this.onmessage?.({ data: message })),
    now: () => performance.now(),
    later: (act, delay) => {
      const timer = setTimeout(act, delay);
      return () => clearTimeout(timer);
    },
  });

  postMessage(message: ToWorker): void {
    setTimeout(() => this.isEnded || this.take(message));
  }

  terminate(): void {
    this.isEnded = true;
  }
}
