import type { RowOf } from '@nuvar/book';
import { difference, type Figure, multiplied, percentOf, quotient, sum } from '../../figure/index.js';
import { PERCENT, unit } from '../../quantity/index.js';
import { MONTH, type Sheet } from '../../sheet/index.js';
import type { ServiceUses } from './service-shares.js';

const SERVICE = unit('service unit');

/** What a service charges: all of it, with what it has received, and what of that is its own cost. */
interface ServiceCost {
  readonly cost: Figure;
  readonly own: Figure;
}

type IsReceiver = (departmentId: string) => boolean;

/**
 * What each receiver bears of a service: cost / what all receivers use x what each uses. At two rates (dual rate) the part of
 * its own cost that varies with use goes by actual use, and all else by budgeted use. Source: Horngren, Datar & Rajan, Cost
 * Accounting.
 */
export function chargeOf(
  sheet: Sheet,
  service: RowOf<'department'>,
  uses: ServiceUses,
  { cost, own }: ServiceCost,
  isReceiver: IsReceiver,
): Map<string, Figure> {
  const parts = variablePartOf(sheet, service, uses, own, isReceiver);
  if (parts === null) return byUse(sheet, service, uses, cost, isReceiver, 'budgeted');
  const fixed = difference({ name: 'Fixed part', subject: service.name }, cost, parts.cost);
  const byBudget = byUse(sheet, service, uses, fixed, isReceiver, 'budgeted');
  return new Map(
    [...new Set([...byBudget.keys(), ...parts.byActualUse.keys()])].map((id) => {
      const shares = [byBudget.get(id), parts.byActualUse.get(id)].filter((share) => share !== undefined);
      const called = { name: `From ${service.name}`, subject: sheet.row('department', id)?.name ?? '' };
      return [id, sum(called, cost.unit, shares)];
    }),
  );
}

/** The variable part of a service at two rates, and how it goes by either use. */
interface VariablePart {
  readonly cost: Figure;
  readonly byActualUse: ReadonlyMap<string, Figure>;
  readonly byBudgetedUse: ReadonlyMap<string, Figure>;
}

/** The part of the own cost of a service that varies with use; null for a service at one rate. */
export function variablePartOf(
  sheet: Sheet,
  service: RowOf<'department'>,
  uses: ServiceUses,
  own: Figure,
  isReceiver: IsReceiver,
): VariablePart | null {
  if (service.variablePercent === null) return null;
  const { name: subject } = service;
  const leaf = { name: 'Variable part in percent', subject, unit: PERCENT };
  const percent = sheet.input('department', service, 'variablePercent', leaf);
  const cost = percentOf({ name: 'Variable part', subject }, percent, own);
  return {
    cost,
    byActualUse: byUse(sheet, service, uses, cost, isReceiver, 'actual'),
    byBudgetedUse: byUse(sheet, service, uses, cost, isReceiver, 'budgeted'),
  };
}

function byUse(
  sheet: Sheet,
  service: RowOf<'department'>,
  uses: ServiceUses,
  cost: Figure,
  isReceiver: IsReceiver,
  which: 'budgeted' | 'actual',
): Map<string, Figure> {
  const used = sheet
    .rowsOf('serviceUse', 'serviceId', service.id)
    .filter(({ departmentId }) => uses.get(service.id)?.has(departmentId) && isReceiver(departmentId))
    .map((row) => {
      const field = which === 'actual' && row.actualAmount !== null ? 'actualAmount' : 'amount';
      const leaf = { name: `Used of ${service.name}`, unit: SERVICE.per(MONTH) };
      const subject = sheet.row('department', row.departmentId)?.name ?? '';
      return { row, amount: sheet.input('serviceUse', row, field, { ...leaf, subject }) };
    });
  const all = sum(
    { name: 'Used by all that bear it', subject: service.name },
    SERVICE.per(MONTH),
    used.map(({ amount }) => amount),
  );
  return new Map(
    used.map(({ row, amount }) => {
      const part = quotient({ name: `Share of ${service.name}`, subject: amount.subject }, amount, all);
      return [row.departmentId, multiplied({ name: `From ${service.name}`, subject: amount.subject }, cost, part)];
    }),
  );
}
