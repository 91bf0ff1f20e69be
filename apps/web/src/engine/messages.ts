import type { LedgerStates, Override, Write } from '@nuvar/book';
import type { GoalAsked, Repricing, TwoInputsAsked } from '@nuvar/core';

/** What the page tells the worker. */
export type ToWorker =
  | { readonly type: 'open'; readonly snapshot: string; readonly asOf: string }
  | { readonly type: 'apply'; readonly writes: readonly Write[] }
  /** A baseline that was frozen, to be kept under its name. */
  | { readonly type: 'frozen'; readonly name: string; readonly snapshot: string; readonly asOf: string }
  /** What ledgers had come to on another day. */
  | { readonly type: 'states'; readonly day: string; readonly states: LedgerStates }
  /** Shows another evaluation: the book, or a what-if over it. */
  | { readonly type: 'show'; readonly name: string }
  | { readonly type: 'override'; readonly overrides: readonly Override[] }
  | { readonly type: 'watch'; readonly keys: readonly string[] }
  | { readonly type: 'leave'; readonly keys: readonly string[] }
  | Question;

/** What is asked once; it is answered with a result or with an error, and always answered. */
export type Question = { readonly question: number } & (
  | { readonly type: 'effect'; readonly overrides: readonly Override[]; readonly productIds: readonly string[] }
  | { readonly type: 'reprice'; readonly how: Repricing; readonly pointIds: readonly string[] }
  | { readonly type: 'goal'; readonly asked: GoalAsked }
  | { readonly type: 'two inputs'; readonly asked: TwoInputsAsked }
  | { readonly type: 'ask'; readonly keys: readonly string[] }
  /** Asks for nothing but an answer. */
  | { readonly type: 'alive' }
);

/** What the worker tells the page. A view travels as JSON text: it is compared and parsed once. */
export type FromWorker =
  /** Views that have become others; those that could not be worked out come with why. */
  | {
      readonly type: 'views';
      readonly views: readonly (readonly [key: string, json: string])[];
      readonly failed: readonly (readonly [key: string, why: string])[];
    }
  | { readonly type: 'answer'; readonly question: number; readonly views: readonly string[] }
  | { readonly type: 'refusal'; readonly question: number; readonly why: string }
  /** It can no longer follow the book, and has to be started again. */
  | { readonly type: 'broken'; readonly why: string };
