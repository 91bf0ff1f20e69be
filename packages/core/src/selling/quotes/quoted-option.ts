import type { Figure } from '../../figure/index.js';

/** One way to do a job: what it costs, what it is offered at, and what that leaves. */
export interface QuotedOption {
  readonly unitCost: Figure;
  /** Null where nothing is learnt. */
  readonly averageTime: Figure | null;
  readonly labourSaved: Figure | null;
  readonly cost: Figure;
  readonly contingency: Figure;
  readonly total: Figure;
  readonly suggested: Figure;
  readonly price: Figure;
  readonly perUnit: Figure;
  /** The sales tax in percent of the price before tax. */
  readonly tax: Figure;
  readonly paid: Figure;
  readonly profit: Figure;
  readonly margin: Figure;
  readonly contribution: Figure;
  /** What the whole job costs that changes with each unit. */
  readonly variableCost: Figure;
  /** For a quote that was sent: what its cost has become more since; null for a draft, and where nothing has moved. */
  readonly costMoved: Figure | null;
}
