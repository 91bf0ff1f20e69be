import {
  type Kind,
  KINDS,
  type LedgerStates,
  type Override,
  rowsByKind,
  rowsOfColumns,
  type RowColumns,
  type RowsByKind,
  type Write,
} from '@nuvar/book';
import { type BookEvaluation, evaluate, type Evaluation, type Fork, layWhatIf } from '@nuvar/core';
import { BASELINE } from './view-key.js';

/** A what-if that is laid over the book, and the rows that it changes. */
interface LaidFork {
  readonly fork: Fork;
  touched: ReadonlySet<string>;
}

/** So many what-ifs stay laid; the one that was asked for longest ago goes first. */
const MOST_LAID = 8;

/**
 * The evaluations of an open book by name: "baseline" is the book; "whatIf/…" a what-if over it, laid when it is first asked
 * for; "day/…" the book as of another day; "frozen/…" a baseline that was kept. What is shown is one of them, with what is
 * tried on top.
 */
export class Evaluations {
  private book: BookEvaluation | null = null;
  private trial: Fork | null = null;
  private overrides: readonly Override[] = [];
  private shownName = BASELINE;
  private readonly whatIfs = new Map<string, LaidFork>();
  private readonly days = new Map<string, BookEvaluation>();
  private readonly frozen = new Map<string, Evaluation>();
  private readonly states = new Map<string, LedgerStates>();

  get baseline(): BookEvaluation | null {
    return this.book;
  }

  /** True while something else than the book itself is shown. */
  get isWhatIf(): boolean {
    return this.shownName !== BASELINE;
  }

  open(snapshot: string, asOf: string): BookEvaluation {
    this.book = evaluate(rowsOf(snapshot), asOf);
    this.trial = null;
    this.overrides = [];
    this.whatIfs.clear();
    this.days.clear();
    return this.book;
  }

  /** Keeps a baseline that was frozen under its name. */
  keep(name: string, snapshot: string, asOf: string): void {
    this.frozen.set(name, evaluate(rowsOf(snapshot), asOf));
  }

  /** What ledgers had come to on another day, which the server knows: the book itself holds that of the day it is shown for. */
  keepStates(day: string, states: LedgerStates): void {
    this.states.set(day, states);
    this.days.delete(`day/${day}`);
  }

  apply(writes: readonly Write[]): void {
    this.book?.apply(writes);
    const inputs = writes.filter(({ kind }) => !KINDS[kind].isDerived);
    this.days.forEach((day) => day.apply(inputs));
    for (const [name, laid] of this.whatIfs) if (isReached(laid, name, writes)) this.lay(name, laid);
  }

  /** Shows one of the evaluations in place of the book. */
  show(name: string): void {
    this.shownName = name;
    this.trial?.end();
    this.trial = null;
    this.try(this.overrides);
  }

  /** Tries overrides on top of what is shown. */
  try(overrides: readonly Override[]): void {
    this.overrides = overrides;
    if (overrides.length > 0 && this.trial !== null) this.trial.lay(overrides);
    else {
      this.trial?.end();
      this.trial = overrides.length > 0 ? (this.named(this.shownName)?.fork(overrides) ?? null) : null;
    }
  }

  /** What is shown; null before a book is open. */
  shown(): Evaluation | null {
    return this.trial ?? this.named(this.shownName);
  }

  /** The evaluation of that name; null where there is none. */
  named(name: string): Evaluation | null {
    if (name === BASELINE || this.book === null) return this.book;
    if (name.startsWith('whatIf/')) return this.whatIf(name, this.book);
    return name.startsWith('day/') ? this.ofDay(name, this.book) : (this.frozen.get(name) ?? null);
  }

  private whatIf(name: string, book: BookEvaluation): Evaluation {
    const known = this.whatIfs.get(name);
    // The latest asked for stands last.
    this.whatIfs.delete(name);
    const laid = known ?? { fork: book.fork([]), touched: new Set<string>() };
    this.whatIfs.set(name, laid);
    if (known === undefined) this.lay(name, laid);
    for (const [other, { fork }] of this.whatIfs) {
      if (this.whatIfs.size <= MOST_LAID) break;
      if (other === this.shownName) continue;
      fork.end();
      this.whatIfs.delete(other);
    }
    return laid.fork;
  }

  private lay(name: string, laid: LaidFork): void {
    if (this.book === null) return;
    const { overrides } = layWhatIf(this.book.rows, name.slice('whatIf/'.length));
    laid.fork.lay(overrides);
    laid.touched = new Set(overrides.map(({ id }) => id));
  }

  private ofDay(name: string, book: BookEvaluation): Evaluation {
    const known = this.days.get(name);
    if (known !== undefined) return known;
    const day = name.slice('day/'.length);
    // What the ledgers come to today is not what they had come to then.
    const inputs = Object.entries(rowsByKind(book.rows)).filter(([kind]) => !KINDS[kind as Kind].isDerived);
    const made = evaluate({ ...Object.fromEntries(inputs), ...this.states.get(day) }, day);
    this.days.set(name, made);
    return made;
  }
}

const rowsOf = (snapshot: string): Partial<RowsByKind> =>
  rowsOfColumns((JSON.parse(snapshot) as { rows: RowColumns }).rows);

/**
 * What-ifs are laid anew where their changes have become others, a row that they change has, or the rules may say otherwise of
 * them: rows have come or gone that they point to or bear the name of, or a loop of components may have.
 */
function isReached({ touched }: LaidFork, name: string, writes: readonly Write[]): boolean {
  return writes.some(
    ({ kind, id, before, after }) =>
      touched.has(id) ||
      before === null ||
      after === null ||
      kind === 'billLine' ||
      (kind === 'whatIfChange' && [before, after].some((row) => row !== null && name === `whatIf/${whatIfOf(row)}`)),
  );
}

const whatIfOf = (row: object) => ('whatIfId' in row ? String(row.whatIfId) : '');
