import type { Problem, Write } from '@nuvar/book';

/** What the ledger of a group came to at the end of a day. */
export interface DayState<State> {
  readonly day: string;
  readonly kept: State;
}

/** How a ledger is gone through: by plain loops, since its rows are too many for a figure each. */
export interface LedgerFold<Row, State> {
  /** What a group comes to at the end of each day on which it has rows, going on from what was kept of the days before. */
  fold(before: State | null, rows: readonly Row[]): readonly DayState<State>[];
  /**
   * Why writes may not take back what they do, where the days that they leave fall below zero and did not before. A value of
   * the problem that names the group is its id.
   */
  takenBackTooMuch(writes: readonly Write[], group: string, days: readonly DayState<State>[]): Problem[];
}
