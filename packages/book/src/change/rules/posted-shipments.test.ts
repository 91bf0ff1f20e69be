import { describe, expect, it } from 'vitest';
import { bookBuilder, rowsOfFile } from '../../demo/index.js';
import type { Kind } from '../../kinds.js';
import { newId } from '../../new-id.js';
import { applyChange, copyOf, type Operation, removalOf, type StoredRow } from '../index.js';

/** A shipment that was posted, of one line with a charge. */
function importer(state: string) {
  const book = bookBuilder();
  book.add('settings', { name: 'Importer' });
  const materialId = book.add('material', { name: 'Handle', baseUnit: 'each' });
  const shipmentId = book.add('shipment', {
    name: 'Goods',
    state,
    currency: 'USD',
    date: '2026-05-01',
    rate: '0.9',
    postedOn: '2026-05-09',
    postedTaxPercent: '0',
  });
  const line = book.add('shipmentLine', {
    shipmentId,
    materialId,
    unit: 'each',
    quantity: '10',
    price: '2',
    postedDuty: '1',
  });
  const charge = book.add('shipmentCharge', { shipmentId, currency: 'EUR', type: 'freight', amount: '5' });
  return { rows: rowsOfFile(book.file()), shipmentId, line, charge };
}

const { rows, shipmentId, line, charge } = importer('received');
const codes = (...operations: Operation[]): string[] => {
  const applied = applyChange(rows, { id: newId(), operations });
  return applied.ok ? [] : applied.problems.map(({ code }) => code);
};
const update = (kind: Kind, id: string, before: object, after: object): Operation => ({
  action: 'update',
  kind,
  id,
  before: { ...before },
  after: { ...after },
});
const create = (kind: Kind, row: object): Operation => ({ action: 'create', kind, row: { id: newId(), ...row } });
const reopened = update('shipment', shipmentId, { postedOn: '2026-05-09' }, { postedOn: null });

describe('a posted shipment', () => {
  it.each<[string, Operation]>([
    ['its rate', update('shipment', shipmentId, { rate: '0.9' }, { rate: '0.8' })],
    ['the price of a line', update('shipmentLine', line, { price: '2' }, { price: '3' })],
    ['the duty that was posted', update('shipmentLine', line, { postedDuty: '1' }, { postedDuty: '2' })],
    ['what a charge was estimated at', update('shipmentCharge', charge, { amount: '5' }, { amount: '6' })],
    ['who bears a charge', create('chargedLine', { chargeId: charge, lineId: line })],
  ])('keeps %s, until it is opened again, in the same change too', (_what, operation) => {
    expect(codes(operation)).toContain('shipment-posted');
    // Opening it is an update of the shipment itself, which its rate joins.
    if (operation.kind !== 'shipment') expect(codes(reopened, operation)).toEqual([]);
  });

  it('keeps its lines from being removed', () => {
    expect(codes(...removalOf(rows, 'shipmentLine', line))).toContain('shipment-posted');
  });

  it('takes bills, payments, charges that nobody had thought of, its state and a note', () => {
    expect(codes(update('shipmentCharge', charge, { billed: null }, { billed: '7' }))).toEqual([]);
    expect(codes(create('shipmentPayment', { shipmentId, date: '2026-06-01', amount: '5' }))).toEqual([]);
    expect(codes(create('shipmentCharge', { shipmentId, currency: 'EUR', type: 'port', amount: '3' }))).toEqual([]);
    expect(codes(update('shipment', shipmentId, { state: 'received' }, { state: 'settled' }))).toEqual([]);
    expect(codes(update('shipment', shipmentId, { note: '' }, { note: 'late' }))).toEqual([]);
  });

  it('is copied as one that is open', () => {
    const row = rows.row('shipment', shipmentId) as StoredRow;
    const [shipment, ...parts] = copyOf(rows, 'shipment', row, newId(), { name: 'Next' }, newId);
    expect(shipment?.row).toMatchObject({ state: 'estimate', postedOn: null, postedTaxPercent: null });
    const copied = parts.find(({ kind }) => kind === 'shipmentLine');
    expect(copied?.row).toMatchObject({ quantity: '10', postedDuty: null });
  });

  it('can be opened again while it is settled', () => {
    const settled = importer('settled');
    const applied = applyChange(settled.rows, {
      id: newId(),
      operations: [update('shipment', settled.shipmentId, { postedOn: '2026-05-09' }, { postedOn: null })],
    });
    expect(applied.ok).toBe(true);
  });
});
