import { compareDecimalText, sumOfDecimalTexts } from '../../fields/index.js';
import type { RowOf } from '../../kinds.js';
import { problem, type Problem } from '../../problem/index.js';
import type { MovementType } from '../../purchasing/index.js';
import { type BookReader, fieldValue, type StoredRow } from '../stored-row.js';
import { rowLabel, type RowRule } from './rule.js';

type Movement = StoredRow<'stockMovement'>;

/** What a movement of each type has to say, beside its date. */
const NEEDS: Readonly<Record<MovementType, { quantity: boolean; cost: boolean; of: readonly MovementType[] | null }>> =
  {
    opening: { quantity: true, cost: true, of: null },
    receipt: { quantity: true, cost: true, of: null },
    'return from customer': { quantity: true, cost: false, of: null },
    'late charge': { quantity: false, cost: true, of: ['receipt', 'opening'] },
    issue: { quantity: true, cost: false, of: null },
    'return to supplier': { quantity: true, cost: false, of: ['receipt', 'opening'] },
    'write-off': { quantity: true, cost: false, of: null },
    count: { quantity: true, cost: false, of: null },
  };

/** The types to which a movement may belong where it need not. */
const MAY_BELONG_TO: Partial<Readonly<Record<MovementType, readonly MovementType[]>>> = {
  'return from customer': ['issue'],
  'write-off': ['receipt', 'opening'],
};

/** A movement is in the base unit of its material, says what its type needs, and belongs to an earlier one of that material. */
export const movementsFit: RowRule<'stockMovement'> = {
  kinds: ['stockMovement'],
  reads: ['materialId', 'type', 'date', 'quantity', 'unit', 'cost', 'ofMovementId'],
  since: 6,
  problems(book, { after }) {
    const refuse = (field: string, problems: Problem[]) =>
      problems.map((each) => ({ ...each, kind: 'stockMovement' as const, rowId: after.id, field }));
    const { quantity, cost, of } = NEEDS[after.type];
    const material = book.row('material', after.materialId) as StoredRow<'material'> | undefined;
    const lacks = (what: string) => [problem('movement-lacks', { values: { what } })];
    if (material !== undefined && material.baseUnit !== after.unit) {
      const values = { material: material.name, unit: material.baseUnit };
      return refuse('unit', [problem('movement-not-in-base-unit', { values })]);
    }
    const isNone = after.quantity === null || (after.type !== 'count' && isZero(after.quantity));
    if (quantity && isNone) return refuse('quantity', lacks('a quantity'));
    if (!quantity && after.quantity !== null) return refuse('quantity', lacks('no quantity, only a cost'));
    if (cost && after.cost === null) return refuse('cost', lacks('what it cost'));
    if (after.type !== 'late charge' && after.cost?.startsWith('-'))
      return refuse('cost', lacks('a cost of 0 or more'));
    if (of !== null && after.ofMovementId === null)
      return refuse('ofMovementId', lacks('the receipt that it belongs to'));
    return refuse('ofMovementId', belongingProblems(book, after, of ?? MAY_BELONG_TO[after.type] ?? []));
  },
};

const isZero = (text: string) => compareDecimalText(text, '0') === 0;

function belongingProblems(book: BookReader, movement: Movement, types: readonly MovementType[]): Problem[] {
  if (movement.ofMovementId === null) return [];
  const other = book.row('stockMovement', movement.ofMovementId) as Movement | undefined;
  // What is not there is told by the rule about references.
  if (other === undefined) return [];
  const fits = types.includes(other.type) && other.materialId === movement.materialId && other.date <= movement.date;
  const what = types.includes('issue') ? 'an issue' : 'a receipt';
  return fits ? [] : [problem('movement-of-another', { values: { what } })];
}

/** Which movements bring back what another one took, by the type of that one. */
const BROUGHT_BACK: Partial<Readonly<Record<MovementType, readonly MovementType[]>>> = {
  issue: ['return from customer'],
  receipt: ['return to supplier', 'write-off'],
  opening: ['return to supplier', 'write-off'],
};

/** No more comes back of an issue or a receipt than there was, and credits on a receipt are no more than it cost. */
export const returnsAreBound: RowRule<'stockMovement'> = {
  kinds: ['stockMovement'],
  reads: ['quantity', 'cost', 'type', 'ofMovementId'],
  since: 10,
  problems(book, { after }) {
    const root = (after.ofMovementId === null ? after : book.row('stockMovement', after.ofMovementId)) as
      Movement | undefined;
    const types = root && BROUGHT_BACK[root.type];
    if (root === undefined || types === undefined || root.quantity === null) return [];
    const belonging = book.rowsWith('stockMovement', 'ofMovementId', root.id) as readonly Movement[];
    const back = sumOfDecimalTexts(
      belonging.flatMap(({ type, quantity }) => (types.includes(type) ? (quantity ?? []) : [])),
    );
    const at = { kind: 'stockMovement' as const, rowId: after.id };
    if (compareDecimalText(back, root.quantity) > 0) {
      const values = { back, quantity: root.quantity, what: root.type === 'issue' ? 'issued' : 'received' };
      return [problem('more-back-than-there-was', { ...at, field: 'quantity', values })];
    }
    const charges = belonging.flatMap(({ type, cost }) => (type === 'late charge' ? (cost ?? []) : []));
    const cost = sumOfDecimalTexts([root.cost ?? '0', ...charges]);
    return charges.length > 0 && cost.startsWith('-')
      ? [problem('credit-above-receipt', { ...at, field: 'cost', values: { cost: root.cost ?? '0' } })]
      : [];
  },
};

/** Goods are received of a line of their own material, once the shipment is ordered, and not more than the line says. */
export const receiptsFit: RowRule<'stockMovement' | 'shipmentLine'> = {
  kinds: ['stockMovement', 'shipmentLine'],
  reads: ['lineId', 'ofLine', 'date', 'materialId', 'quantity'],
  since: 6,
  problems(book, { kind, after }) {
    const isMovement = kind === 'stockMovement';
    const lineId = isMovement ? (after as Movement).lineId : after.id;
    const line =
      lineId === null ? undefined : (book.row('shipmentLine', lineId) as StoredRow<'shipmentLine'> | undefined);
    const shipment = line && (book.row('shipment', line.shipmentId) as StoredRow<'shipment'> | undefined);
    if (line === undefined || shipment === undefined) return [];
    const at = { kind, rowId: after.id, field: isMovement ? 'ofLine' : 'quantity' };
    if (isMovement) {
      const problems = receiptProblems(after as Movement, line, shipment);
      if (problems.length > 0) return problems;
    }
    const received = (book.rowsWith('stockMovement', 'lineId', line.id) as readonly Movement[]).flatMap(
      ({ ofLine }) => ofLine ?? [],
    );
    if (received.length === 0 || compareDecimalText(sumOfDecimalTexts(received), line.quantity ?? '0') <= 0) return [];
    const material = book.row('material', line.materialId);
    const values = {
      material: rowLabel('material', material ?? line),
      quantity: line.quantity ?? '0',
      unit: line.unit,
    };
    return [problem('received-more-than-ordered', { ...at, values })];
  },
};

function receiptProblems(movement: Movement, line: RowOf<'shipmentLine'>, shipment: RowOf<'shipment'>): Problem[] {
  const at = (field: string) => ({ kind: 'stockMovement' as const, rowId: movement.id, field });
  if (line.materialId !== movement.materialId) return [problem('received-of-another-line', at('lineId'))];
  const values = { shipment: shipment.name };
  if (shipment.state === 'estimate') return [problem('received-before-ordered', { ...at('date'), values })];
  return movement.date < shipment.date ? [problem('received-before-its-date', { ...at('date'), values })] : [];
}

/** The base unit of a material stays while there are movements in it. */
export const baseUnitStays: RowRule<'material'> = {
  kinds: ['material'],
  reads: ['baseUnit'],
  since: 6,
  problems(book, { before, after }) {
    if (before === null || before.baseUnit === after.baseUnit) return [];
    const kept = book.rowsWith('stockMovement', 'materialId', after.id)[0];
    if (kept === undefined || fieldValue(kept, 'unit') === after.baseUnit) return [];
    const values = { material: after.name, unit: before.baseUnit };
    return [problem('base-unit-in-use', { kind: 'material', rowId: after.id, field: 'baseUnit', values })];
  },
};
