import type { Kind, RowOf } from '@nuvar/book';
import {
  band,
  choice,
  constant,
  type Figure,
  isWhole,
  missing,
  multiplied,
  percentOf,
  quotient,
  sum,
} from '../../figure/index.js';
import { compared, decimal } from '../../number/index.js';
import { PERCENT, unit } from '../../quantity/index.js';
import { bookCurrency, numberIn, type Sheet } from '../../sheet/index.js';
import { purchasingGap } from '../gaps.js';
import { basisOver, bearingLines, chargeableWeight, estimatedLines } from './charge-basis.js';
import { inBookCurrency } from './exchange.js';
import { formulaFigure, readFormula } from './formula.js';
import { shipmentGoods } from './shipment-goods.js';

type Charge = RowOf<'shipmentCharge'>;
type Rule = RowOf<'chargeRule'>;
type Line = RowOf<'shipmentLine'>;
type Bracket = RowOf<'ruleBracket'>;

/** A charge to be estimated, over the lines that bear it. */
interface Estimated {
  readonly sheet: Sheet;
  readonly charge: Charge;
  readonly lines: readonly Line[];
  /** What it is called in a sentence. */
  readonly subject: string;
}

/**
 * The estimate of a charge in its own currency: the amount that was typed, else what its rule says.
 *
 * - A rate: so much for the shipment, per kg, m³, chargeable kg or unit, or so many percent of the value.
 * - Brackets, upper limits included: an amount, a rate on the whole at the bracket that is reached, or a rate on each slice.
 * - A formula in plain arithmetic over value, weight, volume, quantity and number of the lines that bear it.
 *
 * Gaps: nothing typed and no rule; a rule that fits no line any more; brackets without an amount, with the same limit twice,
 * or without one for so much; a formula that is none, or that divides by zero; a measure that a line lacks.
 */
export function chargeEstimate(sheet: Sheet, charge: Charge, subject: string): Figure {
  const rule = charge.amount === null ? sheet.row('chargeRule', charge.ruleId ?? '') : undefined;
  const lines = rule === undefined ? bearingLines(sheet, charge) : estimatedLines(sheet, charge);
  const estimated: Estimated = { sheet, charge, subject, lines };
  if (rule === undefined) return atRate(estimated, 'shipmentCharge', charge);
  const refuse = (code: 'rule-fits-no-more' | 'rule-in-another-currency', field: string) =>
    missing(
      { name: 'Estimate', subject, unit: unit(charge.currency) },
      purchasingGap(code, { kind: 'shipmentCharge', id: charge.id, field }, { charge: subject, rule: rule.name }),
    );
  if (estimated.lines.length === 0) return refuse('rule-fits-no-more', 'amount');
  if (rule.currency !== charge.currency) return refuse('rule-in-another-currency', 'currency');
  return choice({ name: 'Estimate', subject }, byRule(estimated, rule), `by the rule "${rule.name}"`);
}

function byRule(estimated: Estimated, rule: Rule): Figure {
  switch (rule.method) {
    case 'rate':
      return atRate(estimated, 'chargeRule', rule);
    case 'brackets':
      return inBrackets(estimated, rule);
    case 'formula':
      return byFormula(estimated, rule);
  }
}

function atRate<K extends 'shipmentCharge' | 'chargeRule'>(estimated: Estimated, kind: K, row: RowOf<K>): Figure {
  const { sheet, charge, lines, subject } = estimated;
  const called = { name: 'Estimate', subject };
  const input = (of: Figure['unit']) => amountOf(estimated, kind, row, of);
  switch (row.per) {
    case 'the shipment':
      return input(unit(row.currency));
    case 'percent of value':
      return percentOf(called, input(PERCENT), inChargeCurrency(estimated, measureOf(estimated, 'value')));
    case 'chargeable kg': {
      const weight = chargeableWeight(sheet, charge, lines);
      return multiplied(called, weight, input(unit(row.currency).per(weight.unit)));
    }
    default: {
      const measure = measureOf(estimated, row.per === 'kg' ? 'weight' : row.per === 'm³' ? 'volume' : 'quantity');
      return multiplied(called, measure, input(unit(row.currency).per(measure.unit)));
    }
  }
}

const measureOf = (
  { sheet, charge, lines }: Estimated,
  basis: 'value' | 'weight' | 'volume' | 'quantity' | 'equal',
): Figure => basisOver(sheet, charge, basis, lines).total;

function amountOf<K extends Kind & ('shipmentCharge' | 'chargeRule' | 'ruleBracket')>(
  { sheet, subject }: Estimated,
  kind: K,
  row: RowOf<K>,
  of: Figure['unit'],
): Figure {
  return sheet.input(kind, row, 'amount', {
    name: kind === 'shipmentCharge' ? 'Estimate' : 'Rate of the rule',
    subject,
    unit: of,
    whenEmpty: (place) => purchasingGap('no-charge-amount', place, { charge: subject }),
  });
}

/** The value of goods in the currency of a charge that is reckoned from it: by way of the currency of the book. */
function inChargeCurrency({ sheet, charge, subject }: Estimated, value: Figure): Figure {
  const shipment = sheet.row('shipment', charge.shipmentId);
  if (shipment === undefined || shipment.currency === charge.currency) return value;
  const { rate } = sheet.read(shipmentGoods, shipment.id);
  const inBook = inBookCurrency(sheet, 'Value', shipment.name, { amount: value, currency: shipment.currency, rate });
  if (charge.currency === bookCurrency(sheet)) return inBook;
  const place = { kind: 'shipmentCharge', id: charge.id, field: 'currency' } as const;
  const values = { charge: subject, one: shipment.currency, other: bookCurrency(sheet) };
  return missing(
    { name: 'Value', unit: unit(charge.currency) },
    purchasingGap('percentage-in-third-currency', place, values),
    [inBook],
  );
}

function inBrackets(estimated: Estimated, rule: Rule): Figure {
  const { sheet, charge, subject } = estimated;
  const brackets = bracketsOf(sheet, rule);
  const called = { name: 'Estimate', subject };
  const refuse = (code: 'no-brackets' | 'brackets-overlap' | 'beyond-brackets') =>
    missing(
      { ...called, unit: unit(charge.currency) },
      purchasingGap(
        code,
        { kind: 'chargeRule', id: rule.id, field: 'bracketsBy' },
        { rule: rule.name, charge: subject },
      ),
    );
  if (brackets.length === 0) return refuse('no-brackets');
  const limits = new Set(brackets.map(({ upTo }) => (upTo === null ? '' : decimal(upTo).toFixed())));
  if (limits.size < brackets.length) return refuse('brackets-overlap');
  const measure = bracketMeasure(estimated, rule);
  if (!isWhole(measure)) return multiplied(called, measure, oneOfMoney(charge, measure));
  const reached = brackets.findIndex(({ upTo }) => upTo === null || compared(measure.amount, decimal(upTo)) <= 0);
  return reached < 0
    ? refuse('beyond-brackets')
    : atBracket(estimated, rule, measure, brackets.slice(0, reached + 1) as Reached);
}

/** The brackets up to the one that is reached, which is the last. */
type Reached = [...Bracket[], Bracket];

/** The brackets of a rule by their limits, the one without a limit last. */
const bracketsOf = (sheet: Sheet, rule: Rule): Bracket[] =>
  [...sheet.rowsOf('ruleBracket', 'ruleId', rule.id)].sort((one, other) => {
    if (one.upTo === null || other.upTo === null) return Number(one.upTo === null) - Number(other.upTo === null);
    return compared(decimal(one.upTo), decimal(other.upTo));
  });

function bracketMeasure(estimated: Estimated, { bracketsBy }: Rule): Figure {
  const { sheet, charge, lines } = estimated;
  if (bracketsBy === 'chargeable weight') return chargeableWeight(sheet, charge, lines);
  const measure = measureOf(estimated, bracketsBy);
  return bracketsBy === 'value' ? inChargeCurrency(estimated, measure) : measure;
}

function atBracket(estimated: Estimated, rule: Rule, measure: Figure, brackets: Reached): Figure {
  const { sheet, charge, subject } = estimated;
  const called = { name: 'Estimate', subject };
  const isOfValue = rule.bracketsBy === 'value';
  const reached = brackets.at(-1) as Bracket;
  const upTo =
    reached.upTo === null ? 'above all limits' : `up to ${numberIn(sheet, reached.upTo)} ${measure.unit.text}`;
  const because = `${rule.bracketsBy} ${upTo}`;
  const rated = (of: Figure, bracket: Bracket) => {
    const rateUnit = isOfValue ? PERCENT : unit(charge.currency).per(measure.unit);
    const rate = amountOf(estimated, 'ruleBracket', bracket, rateUnit);
    return isOfValue ? percentOf(called, rate, of) : multiplied(called, of, rate);
  };
  if (rule.bracketMode === 'amount')
    return choice(called, amountOf(estimated, 'ruleBracket', reached, unit(charge.currency)), because);
  if (rule.bracketMode === 'rate on the whole') return choice(called, rated(measure, reached), because);
  const limit = (bracket: Bracket | undefined) =>
    bracket === undefined || bracket.upTo === null
      ? null
      : sheet.input('ruleBracket', bracket, 'upTo', { name: 'Limit', subject: rule.name, unit: measure.unit });
  const slices = brackets.map((bracket, index) => {
    const from = limit(brackets[index - 1]) ?? constant('From', '0', measure.unit, 'definition');
    return rated(band({ name: 'Slice', subject }, measure, from, limit(bracket)), bracket);
  });
  return sum(called, unit(charge.currency), slices);
}

/** One unit of money for one unit of a measure: what a missing measure is multiplied by, so that the gap has a unit. */
const oneOfMoney = ({ currency }: Charge, measure: Figure): Figure =>
  constant('One', '1', unit(currency).per(measure.unit), 'definition');

function byFormula(estimated: Estimated, rule: Rule): Figure {
  const { charge, subject } = estimated;
  const called = { name: 'Estimate', subject };
  const place = { kind: 'chargeRule', id: rule.id, field: 'formula' } as const;
  const read = readFormula(rule.formula);
  if (!read.ok)
    return missing(
      { ...called, unit: unit(charge.currency) },
      purchasingGap('no-formula', place, { rule: rule.name, reason: read.reason }),
    );
  const bare = (name: string, figure: Figure) =>
    quotient({ name, subject }, figure, constant(`One ${figure.unit.text}`, '1', figure.unit, 'definition'));
  const named = {
    value: bare('value', inChargeCurrency(estimated, measureOf(estimated, 'value'))),
    weight: bare('weight', measureOf(estimated, 'weight')),
    volume: bare('volume', measureOf(estimated, 'volume')),
    quantity: bare('quantity', measureOf(estimated, 'quantity')),
    lines: bare('lines', measureOf(estimated, 'equal')),
  };
  const result = formulaFigure(
    read.expression,
    named,
    purchasingGap('formula-divides-by-zero', place, { rule: rule.name }),
  );
  return multiplied(called, result, constant(`One ${charge.currency}`, '1', unit(charge.currency), 'definition'));
}
