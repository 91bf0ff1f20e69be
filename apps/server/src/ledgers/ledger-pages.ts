// Raw SQL: the latest kept day of each group, and pages of rows between two days.
import {
  type Ledger,
  LEDGER_NAMES,
  ledgerKind,
  type LedgerStates,
  problem,
  ProblemError,
  type StateOf,
  type StoredRow,
} from '@nuvar/book';
import type { EntityManager } from 'typeorm';
import { selection } from '../book/rows.js';
import { columnName, tableName } from '../database/tables.js';
import { whereToBegin } from './begin.js';

interface KeptRow {
  readonly group: string;
  readonly day: string;
  readonly fromGroup: object;
  readonly state: object;
}

const KEPT = `group_id AS "group", ledger_days.day::text AS day, state`;

/** What a state takes from the row of its group, as one JSON value. */
function fromGroup(ledger: Ledger): string {
  const fields = Object.entries(ledgerKind(ledger).fromGroup).map(
    ([field, there]) => `'${field}', of_group.${columnName(there)}`,
  );
  return `json_build_object(${fields.join(', ')}) AS "fromGroup"`;
}

const joinGroup = (ledger: Ledger) =>
  `JOIN ${tableName(ledgerKind(ledger).groupKind)} AS of_group ON of_group.book_id = $1 AND of_group.id = group_id`;

const stateRow = <L extends Ledger>(ledger: L, id: string, { group, day, fromGroup, state }: KeptRow) =>
  ({ id, version: 1, [ledgerKind(ledger).group]: group, day, ...fromGroup, ...state }) as unknown as StoredRow<
    StateOf<L>
  >;

/** What all ledgers of a book have come to on a day: one row for each group of which there is anything until then. */
export async function statesAsOf(manager: EntityManager, bookId: string, day: string): Promise<LedgerStates> {
  const states: Record<string, readonly StoredRow[]> = {};
  for (const ledger of LEDGER_NAMES) {
    const found: KeptRow[] = await manager.query(
      `SELECT DISTINCT ON (group_id) ${KEPT}, ${fromGroup(ledger)} FROM ledger_days ${joinGroup(ledger)}
       WHERE ledger_days.book_id = $1 AND ledger = $2 AND ledger_days.day <= $3 ORDER BY group_id, ledger_days.day DESC`,
      [bookId, ledger, day],
    );
    states[ledgerKind(ledger).state] = found.map((row) => stateRow(ledger, row.group, row));
  }
  return states as LedgerStates;
}

/** The ledger of a group over a period: its rows, and what there was before. */
export interface LedgerOfPeriod<L extends Ledger> {
  /** The day from which on rows are told: earlier than asked for where some belong to an earlier one. */
  readonly begun: string;
  /** Null where there was nothing before. Its id is "group@begun". */
  readonly opening: StoredRow<StateOf<L>> | null;
  readonly rows: readonly StoredRow<L>[];
}

/** So many rows of a group are told at once. */
const MOST_ROWS = 5_000;

/** Throws `too-many-movements` where the period holds more than are told at once. */
export async function ledgerOfPeriod<L extends Ledger>(
  manager: EntityManager,
  bookId: string,
  ledger: L,
  group: string,
  period: { readonly from: string; readonly to: string },
): Promise<LedgerOfPeriod<L>> {
  const [begun = { group, day: period.from }] = await whereToBegin(manager, bookId, ledger, [
    { group, day: period.from },
  ]);
  const { group: grouped, day } = ledgerKind(ledger);
  const dated = columnName(day);
  const rows: StoredRow<L>[] = await manager.query(
    `SELECT ${selection(ledger)} FROM ${tableName(ledger)}
     WHERE book_id = $1 AND ${columnName(grouped)} = $2 AND ${dated} >= $3 AND ${dated} <= $4 ORDER BY ${dated}, id LIMIT ${MOST_ROWS + 1}`,
    [bookId, group, begun.day, period.to],
  );
  if (rows.length > MOST_ROWS)
    throw new ProblemError([problem('too-many-movements', { values: { most: String(MOST_ROWS) } })]);
  const before: KeptRow[] = await manager.query(
    `SELECT ${KEPT}, ${fromGroup(ledger)} FROM ledger_days ${joinGroup(ledger)}
     WHERE ledger_days.book_id = $1 AND ledger = $2 AND group_id = $3 AND ledger_days.day < $4
     ORDER BY ledger_days.day DESC LIMIT 1`,
    [bookId, ledger, group, begun.day],
  );
  const opening = before[0] === undefined ? null : stateRow(ledger, `${group}@${begun.day}`, before[0]);
  return { begun: begun.day, opening, rows };
}
