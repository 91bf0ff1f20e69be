// Raw SQL: where ledgers begin is found over windows of their rows and kept days, which no repository speaks of.
import { type Ledger, ledgerKind } from '@nuvar/book';
import type { EntityManager } from 'typeorm';
import { columnName, tableName } from '../database/tables.js';

/** From which day on the ledger of a group is gone through. */
export interface From {
  readonly group: string;
  readonly day: string;
}

/** Days that are given by group in a parameter of a statement. */
export const given = (parameter: number) => `json_to_recordset($${parameter}::json) AS given ("group" uuid, day date)`;

/**
 * The days from which on ledgers have to be gone through: a row that belongs to an earlier one needs the ledger from that
 * one on, which may belong to an earlier one again; and where months are valued as one, each begins where whole months were
 * kept last.
 */
export async function whereToBegin(
  manager: EntityManager,
  bookId: string,
  ledger: Ledger,
  from: readonly From[],
): Promise<From[]> {
  const { belongsTo, group, day } = ledgerKind(ledger);
  let days = await fromKeptMonths(manager, bookId, ledger, from);
  if (belongsTo === null) return days;
  const [table, grouped, dated] = [tableName(ledger), columnName(group), columnName(day)];
  for (;;) {
    const earlier: From[] = await manager.query(
      `SELECT each.${grouped} AS "group", min(other.${dated})::text AS day
       FROM ${given(2)} JOIN ${table} AS each ON each.book_id = $1 AND each.${grouped} = given."group" AND each.${dated} >= given.day
       JOIN ${table} AS other ON other.book_id = $1 AND other.id = each.${columnName(belongsTo)} AND other.${dated} < given.day
       GROUP BY each.${grouped}`,
      [bookId, JSON.stringify(days)],
    );
    if (earlier.length === 0) return days;
    const moved = new Map(
      (await fromKeptMonths(manager, bookId, ledger, earlier)).map((each) => [each.group, each.day] as const),
    );
    days = days.map((each) => ({ group: each.group, day: moved.get(each.group) ?? each.day }));
  }
}

/** The first of the month after the last one that was kept whole before each day; before the whole ledger where none was. */
async function fromKeptMonths(
  manager: EntityManager,
  bookId: string,
  ledger: Ledger,
  from: readonly From[],
): Promise<From[]> {
  const { wholeMonths } = ledgerKind(ledger);
  if (wholeMonths === null) return [...from];
  return manager.query(
    `SELECT given."group", COALESCE(
       (SELECT (date_trunc('month', day) + interval '1 month')::date FROM ledger_days
        WHERE book_id = $1 AND ledger = $2 AND group_id = given."group" AND day < date_trunc('month', given.day)
          AND COALESCE(state->>$4, '') <> '' ORDER BY day DESC LIMIT 1),
       '0001-01-01'::date)::text AS day FROM ${given(3)}`,
    [bookId, ledger, JSON.stringify(from), wholeMonths],
  );
}
