import type { Write } from '@nuvar/book';
import type { Override } from '@nuvar/core';

/** What the page tells the worker. */
export type ToWorker =
  | { readonly type: 'open'; readonly snapshot: string; readonly asOf: string }
  | { readonly type: 'apply'; readonly writes: readonly Write[] }
  | { readonly type: 'override'; readonly overrides: readonly Override[] }
  | { readonly type: 'watch'; readonly keys: readonly string[] }
  | { readonly type: 'leave'; readonly keys: readonly string[] }
  | {
      readonly type: 'effect';
      readonly question: number;
      readonly overrides: readonly Override[];
      readonly productIds: readonly string[];
    }
  | { readonly type: 'ask'; readonly question: number; readonly keys: readonly string[] };

/** What the worker tells the page. A view travels as JSON text: it is compared and parsed once. */
export type FromWorker =
  | { readonly type: 'views'; readonly views: readonly (readonly [key: string, json: string])[] }
  | { readonly type: 'answer'; readonly question: number; readonly views: readonly string[] }
  | { readonly type: 'failed'; readonly message: string };
