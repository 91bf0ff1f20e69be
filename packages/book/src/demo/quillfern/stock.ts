import type { BookBuilder } from '../demo-book.js';
import { at, type Ids } from './ids.js';

/** Date, movement, quantity, cost in all where it came in, remark. */
type Moved = readonly [date: string, type: string, quantity: string, cost?: string | null, remark?: string];

/** What came in, was used and was counted this year, by material and its base unit. */
const MOVED: Readonly<Record<string, { readonly unit: string; readonly moved: readonly Moved[] }>> = {
  'White stoneware clay': {
    unit: 'kg',
    moved: [
      ['2026-01-02', 'opening', '162.5', '167.70'],
      ['2026-01-31', 'issue', '118'],
      ['2026-02-09', 'receipt', '375', '387.00', 'by invoice'],
      ['2026-02-28', 'issue', '131'],
      ['2026-03-31', 'issue', '140'],
      ['2026-04-20', 'receipt', '500', '528.00', 'by invoice'],
      ['2026-04-30', 'issue', '129'],
      ['2026-06-30', 'issue', '262'],
      ['2026-08-31', 'issue', '214'],
      ['2026-09-07', 'receipt', '625', '687.50', 'by invoice'],
      ['2026-09-30', 'issue', '147'],
      ['2026-10-31', 'issue', '158'],
      ['2026-11-02', 'count', '358', null, 'counted by the shelf'],
    ],
  },
  'Tin oxide': {
    unit: 'g',
    moved: [
      ['2026-01-02', 'opening', '1200', '86.60'],
      ['2026-01-19', 'receipt', '1000', '88.40'],
      ['2026-03-31', 'issue', '1150'],
      ['2026-03-16', 'receipt', '1000', '77.80'],
      ['2026-08-31', 'issue', '1320'],
    ],
  },
  'Gift box, two mugs': {
    unit: 'each',
    moved: [
      ['2026-01-22', 'receipt', '240', '392.00'],
      ['2026-09-30', 'issue', '196'],
      ['2026-10-05', 'receipt', '180', '333.00'],
      ['2026-10-31', 'issue', '74'],
      ['2026-11-12', 'write-off', '6', null, 'crushed'],
    ],
  },
  'Shredded paper': {
    unit: 'kg',
    moved: [
      ['2026-01-02', 'opening', '6', '14.70'],
      ['2026-06-30', 'issue', '9.5'],
      ['2026-10-06', 'receipt', '20', '54.00'],
      ['2026-10-31', 'issue', '4'],
    ],
  },
  'Kraft paper': {
    unit: 'm',
    moved: [
      ['2026-02-02', 'receipt', '300', '67.20'],
      ['2026-10-31', 'issue', '340', null, 'more than came in: an invoice is missing'],
    ],
  },
};

/** What was used since of the goods that came with shipments, by material. */
const USED: readonly (readonly [material: string, date: string, quantity: string])[] = [
  ['Cane handle', '2026-06-30', '146'],
  ['Cane handle', '2026-10-31', '171'],
  ['Cork trivet, round', '2026-11-15', '62'],
];

/** The stock ledger of the studio. `lines` are those of its shipments, by the name of the shipment. */
export function addStock(book: BookBuilder, materials: Ids, lines: Ids): void {
  const move = (material: string, unit: string, [date, type, quantity, cost = null, remark = '']: Moved, more = {}) =>
    book.add('stockMovement', {
      materialId: at(materials, material),
      unit,
      date,
      type,
      quantity,
      cost,
      remark,
      ...more,
    });
  for (const [material, { unit, moved }] of Object.entries(MOVED)) for (const each of moved) move(material, unit, each);
  const receive = (material: string, shipment: string, [date, quantity, cost]: readonly [string, string, string]) =>
    move(material, 'each', [date, 'receipt', quantity, cost], { lineId: at(lines, shipment), ofLine: quantity });
  receive('Cane handle', 'Cane handles, first lot', ['2026-03-24', '400', '916.32']);
  // Part of them, before the bill of the forwarder was there: the rest of what they cost comes as a late charge.
  receive('Cork trivet, round', 'Cork trivets, new lot', ['2026-10-19', '160', '775.20']);
  for (const [material, date, quantity] of USED) move(material, 'each', [date, 'issue', quantity]);
}
