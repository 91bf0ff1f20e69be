// Raw SQL: days are kept in bulk, each change in a handful of statements however many rows it writes.
import {
  labelOfKind,
  type Ledger,
  LEDGER_NAMES,
  ledgerKind,
  problem,
  ProblemError,
  type Problem,
  type StoredRow,
  type Write,
} from '@nuvar/book';
import { LEDGER_FOLDS } from '@nuvar/core';
import type { EntityManager } from 'typeorm';
import { selection } from '../book/rows.js';
import { columnName, tableName } from '../database/tables.js';
import { type From, given, whereToBegin } from './begin.js';

type Row = StoredRow & Record<string, unknown>;

/**
 * Keeps what ledgers come to, by group and day, after writes to them: for the groups that they touch, from the first day
 * that they touch. The next row costs the same however long the ledger is. Refused where so much is taken back that a ledger
 * falls below zero, and did not before.
 */
export async function keepLedgers(manager: EntityManager, bookId: string, writes: readonly Write[]): Promise<void> {
  for (const ledger of LEDGER_NAMES) {
    const moved = writes.filter((write) => write.kind === ledger);
    if (moved.length > 0) await keepDays(manager, bookId, ledger, moved);
  }
}

async function keepDays(
  manager: EntityManager,
  bookId: string,
  ledger: Ledger,
  writes: readonly Write[],
): Promise<void> {
  const from = await whereToBegin(manager, bookId, ledger, firstDays(ledger, writes));
  const begun = JSON.stringify(from);
  const kept = await keptBefore(manager, bookId, ledger, begun);
  const rows = await rowsFrom(manager, bookId, ledger, begun);
  const belowBefore = await belowZero(manager, bookId, ledger, begun);
  await manager.query(
    `DELETE FROM ledger_days USING ${given(3)}
     WHERE book_id = $1 AND ledger = $2 AND group_id = given."group" AND ledger_days.day >= given.day`,
    [bookId, ledger, begun],
  );
  const { fold, takenBackTooMuch } = LEDGER_FOLDS[ledger];
  const days: { group: string; day: string; kept: object }[] = [];
  const problems: Problem[] = [];
  for (const { group } of from) {
    const ofGroup = fold(kept.get(group) ?? null, (rows.get(group) ?? []) as never);
    if (!belowBefore.has(group)) problems.push(...takenBackTooMuch(writes, group, ofGroup));
    for (const each of ofGroup) days.push({ group, ...each });
  }
  if (problems.length > 0) {
    const names = await namesOf(manager, bookId, ledger, from);
    throw new ProblemError(problems.map((each) => withNames(each, names)));
  }
  await manager.query(
    `INSERT INTO ledger_days (book_id, ledger, group_id, day, state)
     SELECT $1::uuid, $2, "group", day, kept FROM json_to_recordset($3::json) AS given ("group" uuid, day date, kept jsonb)`,
    [bookId, ledger, JSON.stringify(days)],
  );
}

function firstDays(ledger: Ledger, writes: readonly Write[]): From[] {
  const { group, day } = ledgerKind(ledger);
  const first = new Map<string, string>();
  for (const { before, after } of writes)
    for (const row of [before, after] as (Row | null)[]) {
      if (row === null) continue;
      const [ofGroup, ofDay] = [row[group] as string, row[day] as string];
      const known = first.get(ofGroup);
      if (known === undefined || ofDay < known) first.set(ofGroup, ofDay);
    }
  return [...first].map(([ofGroup, ofDay]) => ({ group: ofGroup, day: ofDay }));
}

async function keptBefore(
  manager: EntityManager,
  bookId: string,
  ledger: Ledger,
  begun: string,
): Promise<Map<string, object>> {
  const found: { group: string; state: object }[] = await manager.query(
    `SELECT DISTINCT ON (group_id) group_id AS "group", state FROM ${given(3)}
     JOIN ledger_days ON book_id = $1 AND ledger = $2 AND group_id = given."group" AND ledger_days.day < given.day
     ORDER BY group_id, ledger_days.day DESC`,
    [bookId, ledger, begun],
  );
  return new Map(found.map(({ group, state }) => [group, state]));
}

async function rowsFrom(
  manager: EntityManager,
  bookId: string,
  ledger: Ledger,
  begun: string,
): Promise<Map<string, Row[]>> {
  const { group, day } = ledgerKind(ledger);
  const found: Row[] = await manager.query(
    `SELECT ${selection(ledger)} FROM ${tableName(ledger)} JOIN (SELECT "group", day AS begun FROM ${given(2)}) AS asked
       ON ${columnName(group)} = "group" AND ${columnName(day)} >= begun
     WHERE book_id = $1`,
    [bookId, begun],
  );
  const byGroup = new Map<string, Row[]>();
  for (const row of found) {
    const known = byGroup.get(row[group] as string);
    if (known === undefined) byGroup.set(row[group] as string, [row]);
    else known.push(row);
  }
  return byGroup;
}

/** The groups whose ledger was below zero on some day that is worked out again. */
async function belowZero(manager: EntityManager, bookId: string, ledger: Ledger, begun: string): Promise<Set<string>> {
  const { staysAboveZero } = ledgerKind(ledger);
  if (staysAboveZero === null) return new Set();
  const found: { group: string }[] = await manager.query(
    `SELECT DISTINCT group_id AS "group" FROM ${given(3)}
     JOIN ledger_days ON book_id = $1 AND ledger = $2 AND group_id = given."group" AND ledger_days.day >= given.day
     WHERE state->>$4 LIKE '-%'`,
    [bookId, ledger, begun, staysAboveZero],
  );
  return new Set(found.map(({ group }) => group));
}

/** What groups are called, by their id. */
async function namesOf(
  manager: EntityManager,
  bookId: string,
  ledger: Ledger,
  groups: readonly From[],
): Promise<Map<string, string>> {
  const { groupKind } = ledgerKind(ledger);
  const ids = groups.map(({ group }) => group);
  const found: { id: string; name: string }[] = await manager.query(
    `SELECT id, name FROM ${tableName(groupKind)} WHERE book_id = $1 AND id = ANY($2::uuid[])`,
    [bookId, ids],
  );
  const there = new Map(found.map(({ id, name }) => [id, name]));
  return new Map(ids.map((id) => [id, there.get(id) ?? `this ${labelOfKind(groupKind)}`]));
}

/** A problem that names groups by their ids, by their names instead. */
function withNames({ code, kind, rowId, values = {} }: Problem, names: ReadonlyMap<string, string>): Problem {
  return problem(code, {
    ...(kind === undefined ? {} : { kind }),
    ...(rowId === undefined ? {} : { rowId }),
    values: Object.fromEntries(Object.entries(values).map(([name, value]) => [name, names.get(value) ?? value])),
  });
}
