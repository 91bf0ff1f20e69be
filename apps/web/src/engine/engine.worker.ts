import 'reflect-metadata';
import { newEvaluator } from './evaluator.js';
import type { ToWorker } from './messages.js';

const take = newEvaluator({
  post: (message) => self.postMessage(message),
  now: () => performance.now(),
  later: (act, delay) => {
    const timer = setTimeout(act, delay);
    return () => clearTimeout(timer);
  },
});

self.onmessage = ({ data }: MessageEvent<ToWorker>) => take(data);
