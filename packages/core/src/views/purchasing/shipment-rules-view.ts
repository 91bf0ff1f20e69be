import type { ChargeType } from '@nuvar/book';
import { CHARGE_WORDS, chargesOf, lineName, linesOf, ruleFits } from '../../purchasing/index.js';
import type { Evaluation } from '../../sheet/index.js';

/** A charge rule that fits a shipment: what it gives, and why it does or does not. */
export interface ShipmentRuleView {
  readonly ruleId: string;
  readonly name: string;
  readonly type: ChargeType;
  readonly label: string;
  /** The materials of the lines that get its charge; empty where other rules win on all of them. */
  readonly lines: readonly string[];
  readonly isOfAllLines: boolean;
  /** By what it fits: "supplier"; empty for a rule without conditions. */
  readonly conditions: readonly string[];
  /** The rules that win over it on some line, being more specific or made later. */
  readonly lostTo: readonly string[];
  /** True where the shipment has the charge of this rule already. */
  readonly isThere: boolean;
}

/** The charge rules that fit a shipment, those that give a charge first. */
export function shipmentRulesView({ sheet, read }: Evaluation, shipmentId: string): ShipmentRuleView[] {
  const lines = linesOf(sheet, shipmentId);
  const given = new Set(chargesOf(sheet, shipmentId).map(({ ruleId }) => ruleId));
  const nameOf = (ruleId: string) => sheet.row('chargeRule', ruleId)?.name ?? '';
  return read(ruleFits, shipmentId)
    .fits.flatMap(({ ruleId, lineIds, lostTo, conditions }): ShipmentRuleView[] => {
      const rule = sheet.row('chargeRule', ruleId);
      if (rule === undefined) return [];
      return [
        {
          ruleId,
          name: rule.name,
          type: rule.type,
          label: CHARGE_WORDS[rule.type],
          conditions,
          lines: lines.filter(({ id }) => lineIds.includes(id)).map((line) => lineName(sheet, line)),
          isOfAllLines: lineIds.length === lines.length,
          lostTo: lostTo.map(nameOf),
          isThere: given.has(ruleId),
        },
      ];
    })
    .sort((one, other) => Number(one.lines.length === 0) - Number(other.lines.length === 0));
}
