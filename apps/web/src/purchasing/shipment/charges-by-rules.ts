import { newId, type Operation, type StoredRow } from '@nuvar/book';
import { rulesThatFit } from '@nuvar/core';
import { model } from '../../book/model.js';
import { newCharge } from './new-charge.js';

type Line = StoredRow<'shipmentLine'>;
type Rule = StoredRow<'chargeRule'>;

/** The operation that gives a shipment the charge of a rule. The rule says how much it is until an estimate is typed. */
export function chargeOfRule(shipmentId: string, rule: Rule, before: readonly Operation[] = []): Operation {
  const { id: ruleId, type, currency, basis, treatment, account, volumeDivisor } = rule;
  return newCharge(newId(), shipmentId, currency, { type, ruleId, basis, treatment, account, volumeDivisor }, before);
}

/**
 * The charges that a new shipment gets from the rules that fit, when its first lines are entered. A charge that is there
 * already, of the same rule or of the same type, is not given twice. `made` are the first lines, `before` what the same
 * change does already.
 */
export function firstCharges(
  shipment: StoredRow<'shipment'>,
  made: readonly Pick<Line, 'id' | 'materialId' | 'origin'>[],
  before: readonly Operation[],
): Operation[] {
  const rules = model.rows.all('chargeRule') as readonly Rule[];
  if (rules.length === 0 || model.rows.rowsWith('shipmentLine', 'shipmentId', shipment.id).length > 0) return [];
  const fits = rulesThatFit(rules, {
    shipment,
    supplier: model.rows.row('supplier', shipment.supplierId ?? ''),
    lines: made as readonly Line[],
    materialOf: ({ materialId }) => model.rows.row('material', materialId),
  });
  const given = new Set(
    before.flatMap((each) => (each.action === 'create' && each.kind === 'shipmentCharge' ? [each.row.ruleId] : [])),
  );
  const types = new Set(model.rows.rowsWith('shipmentCharge', 'shipmentId', shipment.id).map(({ type }) => type));
  const operations: Operation[] = [];
  for (const { ruleId, lineIds } of fits) {
    const rule = rules.find(({ id }) => id === ruleId);
    if (rule === undefined || lineIds.length === 0 || given.has(ruleId) || types.has(rule.type)) continue;
    operations.push(chargeOfRule(shipment.id, rule, [...before, ...operations]));
  }
  return operations;
}
