import { bookRows, completeRow } from '@nuvar/book';
import { bookBuilder } from '@nuvar/book/demo';
import { evaluate, movementsOf, positionsByDay, VIEWS } from '@nuvar/core';
import { median, timed } from './measure.mjs';

const DAY = '2026-11-25';
const LINES = 500;
const CHARGES = 12;
const BASES = ['value', 'weight', 'volume', 'quantity'];

/** A large shipment after one edit, and stock ledgers of two sizes, in core alone. */
export async function benchPurchasing() {
  return [
    [`a shipment of ${LINES} lines and ${CHARGES} charges after one edit (median of 21)`, await shipment(), '30 ms'],
    ...(await ledgers()),
  ];
}

async function shipment() {
  const book = bookBuilder();
  book.add('settings', { name: 'Bench', currency: 'EUR' });
  const shipmentId = book.add('shipment', { name: 'Large', date: DAY, currency: 'EUR' });
  for (let position = 0; position < LINES; position += 1) {
    const materialId = book.add('material', { name: `Thing ${position}`, baseUnit: 'each' });
    const size = { weight: String(5 + (position % 40)), volume: String(0.01 + (position % 9) / 100) };
    const bought = { quantity: String(10 + (position % 90)), price: String(1 + (position % 30)), unit: 'each' };
    book.add('shipmentLine', { shipmentId, position, materialId, ...bought, ...size });
  }
  const charges = Array.from({ length: CHARGES }, (_none, position) =>
    book.add('shipmentCharge', {
      shipmentId,
      position,
      type: 'other',
      currency: 'EUR',
      amount: String(100 + position * 37),
      basis: BASES[position % BASES.length],
    }),
  );
  const rows = rowsOf(book.file());
  const evaluation = evaluate(rows, DAY);
  const seen = () => {
    VIEWS.shipment(evaluation, shipmentId);
    for (const { id } of rows.shipmentLine) evaluation.figure(`landedLine/${id}/perUnit`);
  };
  seen();
  const inBook = bookRows(rows);
  let amount = 1000;
  const edit = (run) => {
    const row = inBook.row('shipmentCharge', charges[run % CHARGES]);
    amount += 1;
    const after = { ...row, amount: String(amount) };
    return timed(() => {
      evaluation.apply([{ kind: 'shipmentCharge', id: row.id, before: row, after }]);
      seen();
    });
  };
  await median(20, edit);
  return median(21, (run) => edit(run));
}

const rowsOf = (file) =>
  Object.fromEntries(
    Object.entries(file.rows).map(([kind, list]) => [
      kind,
      list.map((row) => ({ ...completeRow(kind, row), version: 1 })),
    ]),
  );

/** Movements of one material: two receipts, then three issues of as much, day by day, so that the stock turns. */
function movements(count) {
  return movementsOf(
    Array.from({ length: count }, (_none, index) => {
      const isReceipt = index % 5 < 2;
      const day = new Date(Date.UTC(2000, 0, 1 + Math.floor(index / 50)));
      return {
        id: String(index).padStart(8, '0'),
        date: day.toISOString().slice(0, 10),
        type: isReceipt ? 'receipt' : 'issue',
        quantity: isReceipt ? String(30 + (index % 7)) : String(20 + (index % 5)),
        cost: isReceipt ? String(60 + (index % 31)) : null,
        ofMovementId: null,
      };
    }),
  );
}

async function ledgers() {
  const [small, large] = [movements(50_000), movements(500_000)];
  const value = (all) => () => timed(() => positionsByDay(null, all));
  const ofSmall = await median(5, value(small));
  const ofLarge = await median(3, value(large));
  const kept = positionsByDay(null, large).at(-1).kept;
  const next = [{ ...large.at(-1), id: 'next', date: '2099-01-01' }];
  const ofNext = await median(201, () => timed(() => positionsByDay(kept, next)));
  return [
    ['a ledger of 50,000 movements valued, average and layers, by day (median of 5)', ofSmall, '500 ms'],
    ['a ledger of 500,000 movements, the same (median of 3)', ofLarge, '10 times the row above'],
    ['the next movement of that ledger (median of 201)', ofNext, 'constant'],
  ];
}
