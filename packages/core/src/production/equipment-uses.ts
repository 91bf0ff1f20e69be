import type { RowOf } from '@nuvar/book';
import { type Figure, missing, multiplied } from '../figure/index.js';
import { converted } from '../purchasing/index.js';
import { unit } from '../quantity/index.js';
import { BATCH, HOUR, MINUTE, money, type Sheet, SPACE } from '../sheet/index.js';
import type { Batch } from './batch.js';
import { equipmentRate } from './equipment-rate.js';
import { loadCost } from './shared-load.js';
import { productionGap } from './gaps.js';
import { type CostRow, type ItemOf, itemOn, type Taking, type TakingBasis } from './taking.js';

type Use = RowOf<'equipmentUse'>;

/**
 * The equipment that a product uses. Hours of a machine per batch, per started or per good unit, x its cost per hour; or
 * space per started unit x units started x the cost of a place in a shared load.
 */
export const equipmentUses: CostRow = {
  kind: 'equipmentUse',
  takings: (sheet, productId, units) =>
    sheet.list(
      sheet.rowsOf('equipmentUse', 'productId', productId),
      units,
      (use) => nameOf(sheet, use),
      (use, name) => takingOf(sheet, use, units, name),
    ),
  priced: (sheet, { of }) => {
    if (of === null) return null;
    return of.kind === 'equipmentRun' ? sheet.read(loadCost, of.id).perPlace : sheet.read(equipmentRate, of.id).perHour;
  },
  cost(sheet, taking, priced) {
    const called = { name: 'Equipment', subject: taking.of?.name ?? taking.quantity.subject };
    if (priced !== null) {
      const rate = priced as Figure;
      return itemOn('equipment', taking, rate, sheet.multiplied(called, taking.quantity, rate));
    }
    const place = { kind: 'equipmentUse', id: taking.id, field: 'equipmentId' } as const;
    const reason = productionGap('no-machine', place, { subject: `a use in ${called.subject}` });
    return itemOn('equipment', taking, null, missing({ ...called, unit: money(sheet).per(BATCH) }, reason));
  },
};

/** The machine or the shared load that is used, by name; null where none is chosen. */
function nameOf(sheet: Sheet, { equipmentId, runId }: Use): string | null {
  if (runId !== null) return sheet.row('equipmentRun', runId)?.name ?? 'a shared run';
  return equipmentId === null ? null : (sheet.row('equipment', equipmentId)?.name ?? 'a machine');
}

function itemOf({ equipmentId, runId }: Use, name: string): ItemOf {
  return runId === null
    ? { kind: 'equipment', id: equipmentId ?? '', name }
    : { kind: 'equipmentRun', id: runId, name };
}

const BASIS: Readonly<Record<Use['basis'], TakingBasis>> = {
  'minutes per batch': 'batch',
  'minutes per unit': 'started unit',
  'minutes per good unit': 'good unit',
  'space per unit': 'started unit',
};
const STATED: Readonly<Record<Use['basis'], string>> = {
  'minutes per batch': 'Minutes per batch',
  'minutes per unit': 'Minutes per unit',
  'minutes per good unit': 'Minutes per good unit',
  'space per unit': 'Space per unit',
};

function takingOf(
  sheet: Sheet,
  use: Use,
  { started, good, outputUnit, productName }: Batch,
  name: string | null,
): Taking {
  const subject = name ?? productName;
  const basis = BASIS[use.basis];
  const isSpace = use.runId !== null;
  const taking = {
    kind: 'equipmentUse',
    id: use.id,
    of: name === null ? null : itemOf(use, name),
    basis,
    hours: null,
  } as const;
  // A change is refused that would make it so; what is tried in a what-if is not.
  if (isSpace !== (use.basis === 'space per unit') && name !== null) {
    const place = { kind: 'equipmentUse', id: use.id, field: 'basis' } as const;
    const leaf = { name: 'Taken per batch', subject, unit: (isSpace ? SPACE : HOUR).per(BATCH) };
    return {
      ...taking,
      quantity: missing(leaf, productionGap('space-or-time', place, { machine: name, subject: productName })),
    };
  }
  const stated = sheet.input('equipmentUse', use, 'amount', {
    name: STATED[use.basis],
    subject,
    unit: (isSpace ? SPACE : MINUTE).per(basis === 'batch' ? BATCH : unit(outputUnit)),
    whenEmpty: (place) => productionGap('no-use-amount', place, { machine: name ?? 'a machine', subject: productName }),
  });
  const called = { name: isSpace ? 'Space per batch' : 'Minutes per batch', subject };
  const taken = basis === 'batch' ? stated : multiplied(called, stated, basis === 'good unit' ? good : started);
  return { ...taking, quantity: isSpace ? taken : (converted(taken, 'min', 'h') as Figure) };
}
