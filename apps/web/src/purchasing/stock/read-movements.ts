import { MOVEMENT_TYPES, nameKey, newId, type MovementType, type Operation, type StoredRow } from '@nuvar/book';
import { readNumber } from '@nuvar/core';
import { createOf } from '../../book/operations.js';
import { isRefusal } from '../../controls/fields/read-field.js';
import { readDayText } from '../../controls/fields/read-day-text.js';
import { decimalSign, regionOf } from '../../figures/format.js';
import { MOVEMENT_WORDS } from './movement-words.js';

/** The movements of a ledger file as operations, or the first things that stand against it, each with its row. */
export interface ReadMovements {
  readonly operations: readonly Operation[];
  readonly problems: readonly string[];
}

type Column = 'id' | 'date' | 'material' | 'code' | 'movement' | 'quantity' | 'unit' | 'cost' | 'belongs to' | 'remark';

const MOST_PROBLEMS = 5;

/**
 * Reads a ledger file: a row of headings (date, material, movement, quantity, unit, cost, belongs to, remark, id), then a
 * row for each movement. Materials are found by name, else by code. Every movement gets an id of its own; "belongs to" names
 * the id of another row of the file.
 */
export function readMovements(
  table: readonly (readonly string[])[],
  materials: readonly StoredRow<'material'>[],
  locale: string,
): ReadMovements {
  const headings = (table[0] ?? []).map((cell) => cell.trim().toLowerCase());
  const problems: string[] = [];
  for (const needed of ['date', 'material', 'movement'] as const)
    if (!headings.includes(needed)) problems.push(`There is no column "${needed}".`);
  if (problems.length > 0) return { operations: [], problems };
  const rows = table.slice(1).filter((cells) => cells.some((cell) => cell.trim() !== ''));
  const cellOf = (cells: readonly string[], column: Column) => (cells[headings.indexOf(column)] ?? '').trim();
  const ids = new Map(rows.map((cells, index) => [cellOf(cells, 'id') || `row ${index}`, newId()]));
  const byName = new Map(materials.flatMap((material) => [[nameKey(material.name), material] as const]));
  const byCode = new Map(materials.filter(({ code }) => code !== '').map((material) => [material.code, material]));
  const operations = rows.flatMap((cells, index): Operation[] => {
    const read = movementOf((column) => cellOf(cells, column), { byName, byCode, ids, locale });
    if (typeof read === 'string') {
      problems.push(`Row ${index + 2}: ${read}`);
      return [];
    }
    return [createOf('stockMovement', ids.get(cellOf(cells, 'id') || `row ${index}`) as string, read)];
  });
  return problems.length > 0
    ? { operations: [], problems: problems.slice(0, MOST_PROBLEMS) }
    : { operations, problems };
}

interface Known {
  readonly byName: ReadonlyMap<string, StoredRow<'material'>>;
  readonly byCode: ReadonlyMap<string, StoredRow<'material'>>;
  readonly ids: ReadonlyMap<string, string>;
  readonly locale: string;
}

/** The fields of a movement, or what stands against it. */
function movementOf(cell: (column: Column) => string, known: Known): Record<string, unknown> | string {
  const { byName, byCode, ids, locale } = known;
  const day = readDayText(cell('date'), locale);
  if (isRefusal(day)) return day.refusal;
  const material = byName.get(nameKey(cell('material'))) ?? byCode.get(cell('code'));
  if (material === undefined) return `the book has no material "${cell('material').slice(0, 60)}".`;
  const type = typeNamed(cell('movement'));
  if (type === undefined) return `"${cell('movement').slice(0, 40)}" is no movement.`;
  if (cell('unit') !== '' && cell('unit') !== material.baseUnit)
    return `the stock of ${material.name} is kept in ${material.baseUnit}, not in ${cell('unit').slice(0, 20)}.`;
  const [quantity, cost] = [amountOf(cell('quantity'), locale), amountOf(cell('cost'), locale)];
  if (quantity === undefined) return `"${cell('quantity').slice(0, 40)}" is no quantity.`;
  if (cost === undefined) return `"${cell('cost').slice(0, 40)}" is no cost.`;
  const of = cell('belongs to') === '' ? null : ids.get(cell('belongs to'));
  if (of === undefined) return `what it belongs to, "${cell('belongs to').slice(0, 40)}", is not in the file.`;
  return {
    materialId: material.id,
    unit: material.baseUnit,
    date: day.value,
    type,
    quantity,
    cost,
    ofMovementId: of,
    remark: cell('remark'),
  };
}

/** Null where nothing stands there; undefined where it is no number. A file of this program has points, others what the country has. */
function amountOf(text: string, locale: string): string | null | undefined {
  if (text === '') return null;
  if (/^-?\d+(\.\d+)?$/.test(text)) return text;
  return readNumber(text, decimalSign(locale), regionOf(locale))?.value;
}

const typeNamed = (text: string): MovementType | undefined =>
  MOVEMENT_TYPES.find((type) => [type, MOVEMENT_WORDS[type]].some((word) => nameKey(word) === nameKey(text)));
