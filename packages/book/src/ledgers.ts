import type { StoredRow } from './change/stored-row.js';
import { type Kind, KINDS } from './kinds.js';

/**
 * A kind of row that is a ledger: read by page, and no part of the rows that a page holds or of the book file. What its rows
 * come to is kept by group and day, and can be gone on with from any day that is kept. How rows are gone through is core's.
 */
export interface LedgerKind {
  /** The field by which rows are grouped: each group has a ledger of its own. */
  readonly group: string;
  /** The kind of row that a group is. */
  readonly groupKind: Kind;
  /** The field with the day of a row. */
  readonly day: string;
  /** The kind of the derived rows that say what a group has come to on a day. */
  readonly state: Kind;
  /** Fields of such a row that are read from the row of the group, by their names there. */
  readonly fromGroup: Readonly<Record<string, string>>;
  /** The reference by which a row belongs to an earlier one, with which it is gone through; null where none does. */
  readonly belongsTo: string | null;
  /**
   * The field of a state that is filled in where a month was kept whole: a ledger whose months are valued as one goes on from
   * the end of such a month. Null where it goes on from any day.
   */
  readonly wholeMonths: string | null;
  /** The amount of a state that what is taken back must not bring below zero; null where that may be. */
  readonly staysAboveZero: string | null;
  /** The field that is filled in where a row is one of the book's own all the same; null where none is. */
  readonly ofBookWith: string | null;
}

/** The ledgers of a book. */
export const LEDGERS = {
  stockMovement: {
    group: 'materialId',
    groupKind: 'material',
    day: 'date',
    state: 'stockPosition',
    fromGroup: { unit: 'baseUnit' },
    belongsTo: 'ofMovementId',
    wholeMonths: 'byMonth',
    staysAboveZero: 'quantity',
    ofBookWith: 'lineId',
  },
} as const satisfies Partial<Record<Kind, LedgerKind>>;

export type Ledger = keyof typeof LEDGERS;
/** The kind of the derived rows of a ledger. */
export type StateOf<L extends Ledger> = (typeof LEDGERS)[L]['state'];
/** What ledgers have come to on a day: derived rows, by their kind. */
export type LedgerStates = { readonly [L in Ledger as StateOf<L>]: readonly StoredRow<StateOf<L>>[] };

export const LEDGER_NAMES = Object.keys(LEDGERS) as Ledger[];

export const isLedger = (kind: unknown): kind is Ledger => typeof kind === 'string' && Object.hasOwn(LEDGERS, kind);

export const ledgerKind = (ledger: Ledger): LedgerKind => LEDGERS[ledger];

/** True for a row that is one of the book's own: it goes with the snapshot and the book file, and is no mere ledger row. */
export function isOfBook(kind: Kind, row: object): boolean {
  if (KINDS[kind].isDerived) return false;
  if (!isLedger(kind)) return true;
  const { ofBookWith } = ledgerKind(kind);
  return ofBookWith !== null && (row as Record<string, unknown>)[ofBookWith] !== null;
}
