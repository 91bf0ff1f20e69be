import { describe, expect, it } from 'vitest';
import { bookBuilder, rowsOfFile } from '../../demo/index.js';
import { readBookFile, writeBookFile } from '../../file/index.js';
import type { Kind } from '../../kinds.js';
import { newId } from '../../new-id.js';
import { applyChange, copyOf, type Operation, removalOf, type StoredRow } from '../index.js';

/** A settled shipment and an estimate, each of two lines with a charge that one line alone bears. */
function importer() {
  const book = bookBuilder();
  book.add('settings', { name: 'Importer' });
  const materialId = book.add('material', { name: 'Handle', baseUnit: 'each' });
  const shipment = (name: string, state: string) => {
    const shipmentId = book.add('shipment', { name, state, currency: 'USD', date: '2026-05-01' });
    const [line = ''] = [0, 1].map((position) =>
      book.add('shipmentLine', { shipmentId, position, materialId, unit: 'each', quantity: '10', price: '2' }),
    );
    const chargeId = book.add('shipmentCharge', {
      shipmentId,
      currency: 'EUR',
      type: 'freight',
      amount: '5',
      billed: '6',
      billedRate: '0.9',
    });
    const charged = book.add('chargedLine', { chargeId, lineId: line });
    const payment = book.add('shipmentPayment', { shipmentId, chargeId, date: '2026-05-02', amount: '6' });
    return { id: shipmentId, line, charge: chargeId, charged, payment };
  };
  const [settled, estimate] = [shipment('Spring', 'settled'), shipment('Autumn', 'estimate')];
  return { rows: rowsOfFile(book.file()), settled, estimate };
}

const { rows, settled, estimate } = importer();
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
const reopened = update('shipment', settled.id, { state: 'settled' }, { state: 'received' });
const dearer = (line: string) => update('shipmentLine', line, { price: '2' }, { price: '3' });

describe('a settled shipment', () => {
  it.each<[string, Operation[]]>([
    ['its own fields', [update('shipment', settled.id, { note: '' }, { note: 'late' })]],
    ['its lines', [dearer(settled.line)]],
    ['its charges', [update('shipmentCharge', settled.charge, { billed: '6' }, { billed: '7' })]],
    ['who bears them', removalOf(rows, 'chargedLine', settled.charged)],
    ['its payments', [update('shipmentPayment', settled.payment, { amount: '6' }, { amount: '7' })]],
    ['its being there', removalOf(rows, 'shipment', settled.id)],
    [
      'what belongs to it',
      [
        {
          action: 'create',
          kind: 'shipmentCharge',
          row: { id: newId(), shipmentId: settled.id, currency: 'EUR' },
        },
      ],
    ],
  ])('keeps %s', (_what, operations) => {
    expect(codes(...operations)).toContain('shipment-settled');
  });

  it('is corrected once its state is another, in the same change too; the others are free', () => {
    expect(codes(reopened)).toEqual([]);
    expect(codes(reopened, dearer(settled.line))).toEqual([]);
    expect(codes(dearer(estimate.line))).toEqual([]);
    expect(codes(...removalOf(rows, 'shipment', estimate.id))).toEqual([]);
  });

  it('goes into a book file and comes in again', () => {
    expect(readBookFile(writeBookFile(rows))).toMatchObject({ ok: true });
  });
});

describe('parts of shipments', () => {
  it('do not reach into another shipment', () => {
    const bearer = (chargeId: string, lineId: string): Operation => ({
      action: 'create',
      kind: 'chargedLine',
      row: { id: newId(), chargeId, lineId },
    });
    expect(codes(bearer(estimate.charge, settled.line))).toContain('charge-of-another-shipment');
    const payment = { shipmentId: estimate.id, chargeId: settled.charge, date: '2026-05-02' };
    expect(codes({ action: 'create', kind: 'shipmentPayment', row: { id: newId(), ...payment } })).toEqual([
      'charge-of-another-shipment',
    ]);
  });

  it('are copied with it as an estimate of its own: among themselves, without bills and payments', () => {
    const row = rows.row('shipment', settled.id) as StoredRow;
    const copies = copyOf(rows, 'shipment', row, newId(), { name: 'Spring copy' }, newId);
    expect(codes(...copies)).toEqual([]);
    const [shipment, ...parts] = copies.map((copy) => copy.row as unknown as Record<string, unknown>);
    expect(shipment).toMatchObject({ name: 'Spring copy', state: 'estimate' });
    const of = (kind: Kind) => copies.filter((copy) => copy.kind === kind).map((copy) => copy.row as { id: string });
    expect(of('shipmentLine')).toHaveLength(2);
    expect(of('shipmentPayment')).toEqual([]);
    expect(of('shipmentCharge')).toMatchObject([{ amount: '5', billed: null, billedRate: null }]);
    expect(of('chargedLine')).toMatchObject([
      { chargeId: of('shipmentCharge')[0]?.id, lineId: of('shipmentLine')[0]?.id },
    ]);
    expect(parts.every((part) => !('shipmentId' in part) || part.shipmentId === shipment?.id)).toBe(true);
  });

  it('of a customs profile have fees in order', () => {
    const profile = (fees: object): Operation => ({
      action: 'create',
      kind: 'customsProfile',
      row: { id: newId(), name: 'Customs', ...fees },
    });
    expect(codes(profile({ entryFeeMinimum: '500', entryFeeMaximum: '30' }))).toEqual(['entry-fees-crossed']);
    expect(codes(profile({ entryFeeMinimum: '30', entryFeeMaximum: '30' }))).toEqual([]);
  });
});
