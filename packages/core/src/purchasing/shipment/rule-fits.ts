import { inOrder, nameKey, type RowOf } from '@nuvar/book';
import type { Calculation } from '../../sheet/index.js';
import { linesOf } from './line-measures.js';

type Rule = RowOf<'chargeRule'>;
type Line = RowOf<'shipmentLine'>;

/** What rules are held against: a shipment with its lines, and what these are of. */
export interface RuledShipment {
  readonly shipment: RowOf<'shipment'>;
  readonly supplier: RowOf<'supplier'> | undefined;
  readonly lines: readonly Line[];
  readonly materialOf: (line: Line) => RowOf<'material'> | undefined;
}

/** A rule that fits a shipment: the lines that get its charge, and those that another rule has taken. */
export interface RuleFit {
  readonly ruleId: string;
  readonly lineIds: readonly string[];
  /** The lines on which all of its conditions are met, whatever other rules say. */
  readonly fittingIds: readonly string[];
  /** Rules of the same charge that are more specific, or as specific and made later. */
  readonly lostTo: readonly string[];
  /** By what it fits: "supplier, origin"; empty for a rule without conditions. */
  readonly conditions: readonly string[];
}

interface Condition {
  readonly name: string;
  /** A condition outweighs all that are weaker together. */
  readonly weight: number;
  readonly isSet: (rule: Rule) => boolean;
  readonly isMet: (rule: Rule, ruled: RuledShipment, line: Line) => boolean;
}

const isSame = (one: string, other: string | undefined) => other !== undefined && nameKey(one) === nameKey(other);

/** The conditions of a rule, the most specific first. */
const CONDITIONS: readonly Condition[] = [
  {
    name: 'material',
    weight: 32,
    isSet: ({ materialId }) => materialId !== null,
    isMet: ({ materialId }, _ruled, line) => line.materialId === materialId,
  },
  {
    name: 'set',
    weight: 16,
    isSet: ({ ruleSet }) => ruleSet !== '',
    isMet: ({ ruleSet }, { shipment, supplier, materialOf }, line) =>
      [shipment.ruleSet, supplier?.ruleSet, materialOf(line)?.ruleSet].some((given) => isSame(ruleSet, given)),
  },
  {
    name: 'category',
    weight: 8,
    isSet: ({ category }) => category !== '',
    isMet: ({ category }, { materialOf }, line) => isSame(category, materialOf(line)?.category),
  },
  {
    name: 'supplier',
    weight: 4,
    isSet: ({ supplierId }) => supplierId !== null,
    isMet: ({ supplierId }, { shipment }) => shipment.supplierId === supplierId,
  },
  {
    name: 'origin',
    weight: 2,
    isSet: ({ origin }) => origin !== '',
    isMet: ({ origin }, { shipment }, line) => isSame(origin, line.origin === '' ? shipment.origin : line.origin),
  },
  {
    name: 'delivery term',
    weight: 1,
    isSet: ({ deliveryTerm }) => deliveryTerm !== null,
    isMet: ({ deliveryTerm }, { shipment }) => shipment.deliveryTerm === deliveryTerm,
  },
];

const conditionsOf = (rule: Rule) => CONDITIONS.filter(({ isSet }) => isSet(rule));
const weightOf = (rule: Rule) => conditionsOf(rule).reduce((sum, { weight }) => sum + weight, 0);

/** True where the first of two rules of one charge wins on a line that both fit: the more specific, else the later made. */
const outweighs = (one: Rule, other: Rule) =>
  weightOf(one) === weightOf(other) ? one.id > other.id : weightOf(one) > weightOf(other);

/**
 * The rules that fit a shipment, with the lines on which each of them wins. A rule fits a line where all of its conditions
 * are met. Of several rules of one charge on a line the more specific wins (material before set, category, supplier, origin
 * and delivery term), else the one that was made later.
 */
export function rulesThatFit(rules: readonly Rule[], ruled: RuledShipment): RuleFit[] {
  const fitting = rules.map((rule) => ({
    rule,
    lines: ruled.lines.filter((line) => conditionsOf(rule).every(({ isMet }) => isMet(rule, ruled, line))),
  }));
  return fitting
    .filter(({ lines }) => lines.length > 0)
    .map(({ rule, lines }) => {
      const rivals = fitting.filter((each) => each.rule.type === rule.type && outweighs(each.rule, rule));
      const lostOn = (line: Line) => rivals.filter((each) => each.lines.includes(line)).map((each) => each.rule);
      return {
        ruleId: rule.id,
        lineIds: lines.filter((line) => lostOn(line).length === 0).map(({ id }) => id),
        fittingIds: lines.map(({ id }) => id),
        lostTo: [...new Set(lines.flatMap(lostOn).map(({ id }) => id))],
        conditions: conditionsOf(rule).map(({ name }) => name),
      };
    });
}

/** The rules that fit a shipment. */
export const ruleFits: Calculation<{ readonly fits: readonly RuleFit[] }> = {
  name: 'ruleFits',
  meanings: {},
  work(sheet, shipmentId) {
    const shipment = sheet.row('shipment', shipmentId);
    const rules = sheet.all('chargeRule');
    if (shipment === undefined || rules.length === 0) return { fits: [] };
    const ruled: RuledShipment = {
      shipment,
      supplier: sheet.row('supplier', shipment.supplierId ?? ''),
      lines: linesOf(sheet, shipmentId),
      materialOf: ({ materialId }) => sheet.row('material', materialId),
    };
    return { fits: rulesThatFit(inOrder(rules), ruled) };
  },
};
