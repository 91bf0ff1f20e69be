import {
  compareDecimalText,
  problem,
  ProblemError,
  type Problem,
  type RowOf,
  type StoredRow,
  type Write,
} from '@nuvar/book';
import { firstBelowZero, movementsOf, positionsByDay, type KeptPosition, type PositionOfDay } from '@nuvar/core';
import type { EntityManager } from 'typeorm';

type Movement = StoredRow<'stockMovement'>;

/** The first day of a material's ledger that a change may have moved. */
interface From {
  readonly material: string;
  readonly day: string;
}

const GIVEN = 'json_to_recordset($2::json) AS given (material uuid, day date)';

/**
 * Keeps what the stock ledger comes to, by material and day, after writes to it: for the materials that they touch, from
 * the first day that they touch. The next movement costs the same however long the ledger is. Refused where a receipt is
 * taken back of which so much was used that the ledger falls below zero, and did not before.
 */
export async function keepStock(manager: EntityManager, bookId: string, writes: readonly Write[]): Promise<void> {
  const moved = writes.filter((write) => write.kind === 'stockMovement');
  if (moved.length === 0) return;
  const from = await withWhatTheyBelongTo(manager, bookId, firstDays(moved));
  const given = JSON.stringify(from);
  const kept = await keptBefore(manager, bookId, given);
  const movements = await movementsFrom(manager, bookId, given);
  const belowBefore = await belowZero(manager, bookId, given);
  await manager.query(
    `DELETE FROM stock_days USING ${GIVEN} WHERE book_id = $1 AND material_id = given.material AND stock_days.day >= given.day`,
    [bookId, given],
  );
  const days: { material: string; day: string; kept: KeptPosition }[] = [];
  const problems: Problem[] = [];
  for (const { material } of from) {
    const ofMaterial = positionsByDay(kept.get(material) ?? null, movementsOf(movements.get(material) ?? []));
    if (!belowBefore.has(material)) problems.push(...receiptUsed(moved, material, ofMaterial));
    for (const each of ofMaterial) days.push({ material, ...each });
  }
  if (problems.length > 0) throw new ProblemError(await named(manager, bookId, problems));
  await manager.query(
    `INSERT INTO stock_days (book_id, material_id, day, kept)
     SELECT $1::uuid, material, day, kept FROM json_to_recordset($2::json) AS given (material uuid, day date, kept jsonb)`,
    [bookId, JSON.stringify(days)],
  );
}

function firstDays(writes: readonly Write[]): From[] {
  const first = new Map<string, string>();
  for (const { before, after } of writes)
    for (const row of [before, after] as (Movement | null)[]) {
      if (row === null) continue;
      const known = first.get(row.materialId);
      if (known === undefined || row.date < known) first.set(row.materialId, row.date);
    }
  return [...first].map(([material, day]) => ({ material, day }));
}

/**
 * The days from which on the ledgers have to be gone through: a movement that belongs to an earlier one needs the ledger
 * from that one on, which may belong to an earlier one again; and a month is valued as one, so each begins where whole
 * months were kept last.
 */
async function withWhatTheyBelongTo(manager: EntityManager, bookId: string, from: readonly From[]): Promise<From[]> {
  let days = await fromKeptMonths(manager, bookId, from);
  for (;;) {
    const given = JSON.stringify(days);
    const earlier: From[] = await manager.query(
      `SELECT each.material_id AS material, min(other.date)::text AS day
       FROM ${GIVEN} JOIN row_stock_movement AS each ON each.book_id = $1 AND each.material_id = given.material AND each.date >= given.day
       JOIN row_stock_movement AS other ON other.book_id = $1 AND other.id = each.of_movement_id AND other.date < given.day
       GROUP BY each.material_id`,
      [bookId, given],
    );
    if (earlier.length === 0) return days;
    const moved = new Map(
      (await fromKeptMonths(manager, bookId, earlier)).map(({ material, day }) => [material, day] as const),
    );
    days = days.map(({ material, day }) => ({ material, day: moved.get(material) ?? day }));
  }
}

/** The first of the month after the last one that was kept whole before each day; before the whole ledger where none was. */
async function fromKeptMonths(manager: EntityManager, bookId: string, from: readonly From[]): Promise<From[]> {
  return manager.query(
    `SELECT given.material, COALESCE(
       (SELECT (date_trunc('month', day) + interval '1 month')::date FROM stock_days
        WHERE book_id = $1 AND material_id = given.material AND day < date_trunc('month', given.day)
          AND COALESCE(kept->>'byMonth', '') <> '' ORDER BY day DESC LIMIT 1),
       '0001-01-01'::date)::text AS day FROM ${GIVEN}`,
    [bookId, JSON.stringify(from)],
  );
}

async function keptBefore(manager: EntityManager, bookId: string, given: string): Promise<Map<string, KeptPosition>> {
  const found: { material: string; kept: KeptPosition }[] = await manager.query(
    `SELECT DISTINCT ON (material_id) material_id AS material, kept FROM ${GIVEN}
     JOIN stock_days ON book_id = $1 AND material_id = given.material AND stock_days.day < given.day
     ORDER BY material_id, stock_days.day DESC`,
    [bookId, given],
  );
  return new Map(found.map(({ material, kept }) => [material, kept]));
}

const COLUMNS = `id, version, material_id AS "materialId", date::text AS date, type, quantity::text AS quantity, row_stock_movement.unit AS unit,
  cost::text AS cost, of_movement_id AS "ofMovementId", line_id AS "lineId", of_line::text AS "ofLine", remark`;

async function movementsFrom(manager: EntityManager, bookId: string, given: string): Promise<Map<string, Movement[]>> {
  const found: Movement[] = await manager.query(
    `SELECT ${COLUMNS} FROM ${GIVEN} JOIN row_stock_movement ON book_id = $1 AND material_id = given.material AND date >= given.day`,
    [bookId, given],
  );
  const byMaterial = new Map<string, Movement[]>();
  for (const row of found) {
    const known = byMaterial.get(row.materialId);
    if (known === undefined) byMaterial.set(row.materialId, [row]);
    else known.push(row);
  }
  return byMaterial;
}

/** The materials whose ledger was below zero on some day that is worked out again. */
async function belowZero(manager: EntityManager, bookId: string, given: string): Promise<Set<string>> {
  const found: { material: string }[] = await manager.query(
    `SELECT DISTINCT material_id AS material FROM ${GIVEN}
     JOIN stock_days ON book_id = $1 AND material_id = given.material AND stock_days.day >= given.day
     WHERE kept->>'quantity' LIKE '-%'`,
    [bookId, given],
  );
  return new Set(found.map(({ material }) => material));
}

/** A receipt that goes, or becomes less or later, while what it brought has been used. */
function receiptUsed(writes: readonly Write[], material: string, days: readonly PositionOfDay[]): Problem[] {
  const taken = writes.find(({ before, after }) => {
    const [was, is] = [before as Movement | null, after as Movement | null];
    if (was?.materialId !== material || !['receipt', 'opening'].includes(was.type)) return false;
    const isLess = is !== null && compareDecimalText(is.quantity ?? '0', was.quantity ?? '0') < 0;
    return is === null || isLess || is.date > was.date;
  });
  const below = firstBelowZero(days);
  if (taken === undefined || below === null) return [];
  const { unit } = taken.before as Movement;
  const values = { material, quantity: below.quantity, unit, day: below.day };
  return [problem('receipt-used', { kind: 'stockMovement', rowId: taken.id, values })];
}

/** Problems that name a material by its id, by its name instead. */
async function named(manager: EntityManager, bookId: string, problems: readonly Problem[]): Promise<Problem[]> {
  const found: { id: string; name: string }[] = await manager.query(
    'SELECT id, name FROM row_material WHERE book_id = $1 AND id = ANY($2::uuid[])',
    [bookId, problems.map(({ values }) => values?.material)],
  );
  const names = new Map(found.map(({ id, name }) => [id, name]));
  return problems.map(({ code, kind, rowId, values }) =>
    problem(code, {
      ...(kind === undefined ? {} : { kind }),
      ...(rowId === undefined ? {} : { rowId }),
      values: { ...values, material: names.get(values?.material ?? '') ?? 'this material' },
    }),
  );
}

type Position = StoredRow<'stockPosition'>;

interface KeptRow {
  readonly materialId: string;
  readonly day: string;
  readonly unit: string;
  readonly kept: KeptPosition;
}

const positionOf = (id: string, { materialId, day, unit, kept }: KeptRow): Position => ({
  id,
  version: 1,
  materialId,
  day,
  unit,
  ...kept,
});

/** The stock positions of a book as of a day, one for each material of which something was moved until then. */
export async function positionsAsOf(manager: EntityManager, bookId: string, day: string): Promise<Position[]> {
  const found: KeptRow[] = await manager.query(
    `SELECT DISTINCT ON (material_id) material_id AS "materialId", day::text AS day, base_unit AS unit, kept
     FROM stock_days JOIN row_material ON row_material.book_id = stock_days.book_id AND row_material.id = material_id
     WHERE stock_days.book_id = $1 AND day <= $2 ORDER BY material_id, day DESC`,
    [bookId, day],
  );
  return found.map((row) => positionOf(row.materialId, row));
}

/** The ledger of a material over a period: its movements, and what there was before. */
export interface LedgerOfPeriod {
  /** The day from which on movements are told: earlier than asked for where some belong to an earlier one. */
  readonly begun: string;
  /** Null where nothing was moved before. Its id is "material@begun". */
  readonly opening: RowOf<'stockPosition'> | null;
  readonly movements: readonly Movement[];
}

/** So many movements of a material are told at once. */
const MOST_MOVEMENTS = 5_000;

/** Throws `too-many-movements` where the period holds more than are told at once. */
export async function ledgerOfPeriod(
  manager: EntityManager,
  bookId: string,
  materialId: string,
  from: string,
  to: string,
): Promise<LedgerOfPeriod> {
  const [begun = { material: materialId, day: from }] = await withWhatTheyBelongTo(manager, bookId, [
    { material: materialId, day: from },
  ]);
  const movements: Movement[] = await manager.query(
    `SELECT ${COLUMNS} FROM row_stock_movement
     WHERE book_id = $1 AND material_id = $2 AND date >= $3 AND date <= $4 ORDER BY date, id LIMIT ${MOST_MOVEMENTS + 1}`,
    [bookId, materialId, begun.day, to],
  );
  if (movements.length > MOST_MOVEMENTS)
    throw new ProblemError([problem('too-many-movements', { values: { most: String(MOST_MOVEMENTS) } })]);
  const before: KeptRow[] = await manager.query(
    `SELECT material_id AS "materialId", day::text AS day, base_unit AS unit, kept
     FROM stock_days JOIN row_material ON row_material.book_id = stock_days.book_id AND row_material.id = material_id
     WHERE stock_days.book_id = $1 AND material_id = $2 AND day < $3 ORDER BY day DESC LIMIT 1`,
    [bookId, materialId, begun.day],
  );
  const opening = before[0] === undefined ? null : positionOf(`${materialId}@${begun.day}`, before[0]);
  return { begun: begun.day, opening, movements };
}
