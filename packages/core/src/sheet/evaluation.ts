import { fieldValue, type Override, type RowsByKind, type Write } from '@nuvar/book';
import { type Figure, isFigure } from '../figure/index.js';
import { bookGround } from './book-ground.js';
import { type Calculation, type Sheet, WHOLE_BOOK } from './calculation.js';
import type { Cell } from './cell.js';
import { forkGround } from './fork-ground.js';
import { type Graph, newGraph } from './graph.js';
import type { Ground } from './ground.js';
import type { RowsBelow } from './layer.js';

/** The figures of a book, or of a fork of it. Nothing is worked out before it is asked for, and nothing twice. */
export interface Evaluation {
  readonly asOf: string;
  /** The result of a calculation for an id, brought up to date. */
  read<Result>(calculation: Calculation<Result>, id?: string): Result;
  /** A published figure by its key; null where there is no such figure (any more). */
  figure(key: string): Figure | null;
  /** What a figure is, in a sentence. */
  meaning(key: string): string;
  /**
   * The figures with overrides laid over the rows. A fork follows its parent, and shares with it all that the overrides
   * do not reach.
   */
  fork(overrides: readonly Override[]): Fork;
  /** The book as it counts here, overrides included: for views that list rows. */
  readonly sheet: Sheet;
  /** Its rows, for whoever looks one up by something else than its id. */
  readonly rows: RowsBelow;
}

/** The figures of the book itself. */
export interface BookEvaluation extends Evaluation {
  /** Lets the evaluation follow a change of the book: what the change can reach is worked out again when asked for. */
  apply(writes: readonly Write[]): void;
}

/** The figures of a fork. */
export interface Fork extends Evaluation {
  /** Lays these overrides in place of those before. */
  lay(overrides: readonly Override[]): void;
  /** Ends the fork: nothing is kept of it. */
  end(): void;
}

/** Begins to evaluate a book as of a day. `calculations` are those whose figures can be asked for by key. */
export function beginEvaluation(
  book: Partial<RowsByKind>,
  asOf: string,
  calculations: readonly Calculation<unknown>[],
): BookEvaluation {
  const graph = newGraph();
  const ground = bookGround(graph, book, asOf);
  const byName = new Map(calculations.map((each) => [each.name, each]));
  return {
    ...evaluationOn(graph, ground, byName, asOf),
    apply: (writes) => ground.apply(writes),
  };
}

function evaluationOn(
  graph: Graph,
  ground: Ground,
  byName: ReadonlyMap<string, Calculation<unknown>>,
  asOf: string,
): Evaluation {
  /** What was asked for by key, with what it was when it was last seen: it is asked for again after every change. */
  const askedFor = new Map<string, Asked>();
  return {
    asOf,
    read<Result>(calculation: Calculation<Result>, id = WHOLE_BOOK) {
      return ground.sheet.read(calculation, id);
    },
    figure(key) {
      const asked = askedFor.get(key) ?? askFor(key, byName, askedFor);
      if (asked === null) return null;
      const cell = ground.cellOf(asked.calculation, asked.id, asked.cell);
      if (asked.cell !== cell || asked.seenAt !== cell.changedAt) {
        const found = fieldValue(cell.value as object, asked.member);
        asked.figure = isFigure(found) ? found : null;
        asked.seenAt = cell.changedAt;
        asked.cell = cell;
      }
      return asked.figure;
    },
    meaning(key) {
      const [name = '', , member = ''] = key.split('/');
      return byName.get(name)?.meanings[member] ?? '';
    },
    fork(overrides) {
      const forked = forkGround(graph, ground, asOf);
      forked.lay(overrides);
      return { ...evaluationOn(graph, forked, byName, asOf), lay: forked.lay, end: forked.end };
    },
    sheet: ground.sheet,
    rows: ground.rows,
  };
}

interface Asked {
  readonly calculation: Calculation<unknown>;
  readonly id: string;
  readonly member: string;
  cell: Cell | null;
  seenAt: number;
  figure: Figure | null;
}

function askFor(
  key: string,
  byName: ReadonlyMap<string, Calculation<unknown>>,
  askedFor: Map<string, Asked>,
): Asked | null {
  const [name = '', id = '', member = ''] = key.split('/');
  const calculation = byName.get(name);
  if (calculation === undefined) return null;
  const asked: Asked = { calculation, id, member, cell: null, seenAt: -1, figure: null };
  askedFor.set(key, asked);
  return asked;
}
