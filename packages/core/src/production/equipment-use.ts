import { type Figure, gap, missing, ofMissingRow, product } from '../figure/index.js';
import { converted } from '../purchasing/index.js';
import { unit } from '../quantity/index.js';
import { BATCH, type Calculation, MINUTE, money, PLACE, type Sheet } from '../sheet/index.js';
import { batch } from './batch.js';
import { equipmentRate } from './equipment-rate.js';
import { runCost } from './equipment-run.js';
import type { RowOf } from '@nuvar/book';

/** What a use of equipment takes and costs for one batch. */
export interface EquipmentUseCost {
  readonly perBatch: Figure;
  /** Hours of the machine or places in the run that a batch takes, at which price; null where no machine is chosen. */
  readonly taken: Figure | null;
  readonly rate: Figure | null;
}

/**
 * What a use of equipment costs for one batch: hours x cost per hour of the machine, the time stated for the batch or for
 * each started unit; or space per started unit x units started x cost of a place in the shared run.
 */
export const equipmentUseCost: Calculation<EquipmentUseCost> = {
  name: 'equipmentUse',
  meanings: {
    perBatch: 'What this use of equipment costs for one batch.',
    taken: 'Hours of the machine, or places in the shared run, that one batch takes.',
  },
  work(sheet, id) {
    const row = sheet.row('equipmentUse', id);
    const leaf = (subject: string) => ({ name: 'Equipment', subject, unit: money(sheet).per(BATCH) });
    const none = (figure: Figure) => ({ perBatch: figure, taken: null, rate: null });
    if (row === undefined) return none(ofMissingRow(leaf(''), 'a product'));
    const { started, outputUnit, productName } = sheet.read(batch, row.productId);
    const machine = machineOf(sheet, row);
    if (machine === null) {
      const place = { kind: 'equipmentUse', id, field: 'equipmentId' } as const;
      return none(missing(leaf(productName), gap('no-machine', place, { subject: `a use in ${productName}` })));
    }
    const per = row.basis === 'minutes per batch' ? BATCH : unit(outputUnit);
    const inSpace = row.basis === 'space per unit';
    const stated = sheet.input('equipmentUse', row, 'amount', {
      name: inSpace ? 'Space per unit' : row.basis === 'minutes per batch' ? 'Minutes per batch' : 'Minutes per unit',
      subject: machine.name,
      unit: (inSpace ? PLACE : MINUTE).per(per),
      whenEmpty: (place) => gap('no-use-amount', place, { machine: machine.name, subject: productName }),
    });
    const named = { name: inSpace ? 'Space per batch' : 'Minutes per batch', subject: machine.name };
    const taken = row.basis === 'minutes per batch' ? stated : product(named, stated, started);
    const counted = inSpace ? taken : (converted(taken, 'min', 'h') as Figure);
    return { perBatch: product(leaf(machine.name), counted, machine.rate), taken: counted, rate: machine.rate };
  },
};

function machineOf(sheet: Sheet, row: RowOf<'equipmentUse'>): { name: string; rate: Figure } | null {
  if (row.runId !== null) {
    const name = sheet.row('equipmentRun', row.runId)?.name ?? 'a shared run';
    return { name, rate: sheet.read(runCost, row.runId).perPlace };
  }
  if (row.equipmentId === null) return null;
  const name = sheet.row('equipment', row.equipmentId)?.name ?? 'a machine';
  return { name, rate: sheet.read(equipmentRate, row.equipmentId).perHour };
}
