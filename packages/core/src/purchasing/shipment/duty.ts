import type { RowOf } from '@nuvar/book';
import {
  choice,
  constant,
  difference,
  type Figure,
  largest,
  multiplied,
  percentOf,
  sum,
  wholeOf,
} from '../../figure/index.js';
import { compared } from '../../number/index.js';
import { PERCENT } from '../../quantity/index.js';
import { money, type Sheet } from '../../sheet/index.js';
import { purchasingGap } from '../gaps.js';
import { lineMeasures } from './line-measures.js';

type Line = RowOf<'shipmentLine'>;

const THE_VALUE = constant('The customs value itself', '100', PERCENT, 'definition');

/** How the duty of a line is taken. */
export interface DutyTerms {
  /** In percent of the customs value; null for a duty by amount alone. */
  readonly rate: Figure | null;
  /** The duty by amount on the whole line; null for a duty of the value alone. */
  readonly specific: Figure | null;
  /** In percent of the customs value, on top; null where there is none. */
  readonly antiDumping: Figure | null;
  readonly isGreaterOf: boolean;
}

/**
 * The duty terms of a line. A preference by origin takes the place of the rate where the proof is at hand. Gaps: a rate or
 * an amount that its form needs and that is not stated.
 */
export function dutyTerms(sheet: Sheet, line: Line, subject: string): DutyTerms {
  const { dutyForm } = line;
  const input = (field: 'dutyPercent' | 'preferencePercent' | 'antiDumpingPercent', name: string) =>
    sheet.input('shipmentLine', line, field, {
      name,
      subject,
      unit: PERCENT,
      whenEmpty: (place) => purchasingGap('no-duty-rate', place, { subject }),
    });
  const hasPreference = line.preferencePercent !== null && line.hasProofOfOrigin;
  const rate = () =>
    hasPreference
      ? choice({ name: 'Duty rate', subject }, input('preferencePercent', 'Preference rate'), 'with a proof of origin')
      : input('dutyPercent', 'Duty rate');
  return {
    rate: dutyForm === 'specific' ? null : rate(),
    specific: dutyForm === 'percent' ? null : specificDuty(sheet, line, subject),
    antiDumping: line.antiDumpingPercent === null ? null : input('antiDumpingPercent', 'Anti-dumping rate'),
    isGreaterOf: dutyForm === 'greater of',
  };
}

function specificDuty(sheet: Sheet, line: Line, subject: string): Figure {
  const { quantity, weight } = sheet.read(lineMeasures, line.id);
  const measure = line.specificPer === 'kg' ? weight : quantity;
  const each = sheet.input('shipmentLine', line, 'specificDuty', {
    name: 'Specific duty',
    subject,
    unit: money(sheet).per(measure.unit),
    whenEmpty: (place) => purchasingGap('no-specific-duty', place, { subject }),
  });
  return multiplied({ name: 'Specific duty on the line', subject }, measure, each);
}

/**
 * Duty on a customs value, unrounded: of the value, by amount, both (compound), or the greater of the two; with anti-dumping
 * duty on top, of the value and not of value and duty.
 */
export function dutyOn(sheet: Sheet, terms: DutyTerms, customsValue: Figure, subject: string): Figure {
  const called = { name: 'Duty', subject };
  const parts = [
    ...(terms.rate === null ? [] : [percentOf({ name: 'Duty of the value', subject }, terms.rate, customsValue)]),
    ...(terms.specific === null ? [] : [terms.specific]),
  ];
  const own = terms.isGreaterOf
    ? largest(called, parts, 'the greater of the two')
    : parts.length === 1
      ? (parts[0] as Figure)
      : sum(called, money(sheet), parts);
  if (terms.antiDumping === null) return own;
  const antiDumping = percentOf({ name: 'Anti-dumping duty', subject }, terms.antiDumping, customsValue);
  return sum(called, money(sheet), [own, antiDumping]);
}

/**
 * The customs value out of a price that holds the duty (DDP): (price - specific duty) / (1 + rate + anti-dumping rate). Of a
 * duty that is the greater of two, the value at which that one is the greater.
 */
export function valueWithoutDuty(terms: DutyTerms, priceWithDuty: Figure, subject: string): Figure {
  const { rate, specific, antiDumping, isGreaterOf } = terms;
  const withRate = (of: Figure, own: Figure | null) => {
    const rates = [own, antiDumping].filter((each) => each !== null);
    return rates.length === 0
      ? of
      : wholeOf({ name: 'Customs value', subject }, of, sum('Value and duty', PERCENT, [THE_VALUE, ...rates]));
  };
  const without = (of: Figure) =>
    specific === null ? of : difference({ name: 'Without specific duty', subject }, of, specific);
  if (!isGreaterOf) return withRate(without(priceWithDuty), rate);
  const byRate = withRate(priceWithDuty, rate);
  const atRate = rate === null ? null : percentOf('Duty of the value', rate, byRate);
  const isRateGreater =
    atRate?.amount != null && specific?.amount != null && compared(atRate.amount, specific.amount) >= 0;
  return isRateGreater ? byRate : withRate(without(priceWithDuty), null);
}
