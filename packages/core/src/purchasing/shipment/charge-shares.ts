import { CHARGE_BASES, type ChargeBasis, type RowOf } from '@nuvar/book';
import { apportionedShares, type Figure, rounded } from '../../figure/index.js';
import { minorUnit } from '../../money/index.js';
import type { Decimal } from '../../number/index.js';
import { bookCurrency, type Calculation, type Sheet } from '../../sheet/index.js';
import { purchasingGap } from '../gaps.js';
import { basisOver, bearingLines } from './charge-basis.js';
import { lineName } from './line-measures.js';
import { chargeAmount, chargeName } from './shipment-charge.js';

/**
 * What each line bears of a charge, by the id of the line, in minor units that sum to the charge (largest remainder; ties
 * go to the earlier line; a credit takes a negative share). The id is that of the charge, "charge@weight" for what the lines would
 * bear under another basis, "charge@estimate" for what they bear of the estimate of a charge that is billed, or
 * "charge@customs" and "charge@estimate at customs" for what the customs take it for. Gaps: a line lacks the measure, or the lines have none of it together.
 */
export const chargeShares: Calculation<Record<string, Figure>> = {
  name: 'chargeShares',
  meanings: {},
  work(sheet, id) {
    const [chargeId = '', asked] = id.split('@');
    const charge = sheet.row('shipmentCharge', chargeId);
    if (charge === undefined) return {};
    const lines = bearingLines(sheet, charge);
    const basis = isBasis(asked) ? asked : charge.basis;
    const { ofLines, total } = basisOver(sheet, charge, basis, lines);
    const step = minorUnit(bookCurrency(sheet));
    const amount = sharedAmount(sheet, charge, asked, step);
    const bearers = lines.map((line, index) => ({
      called: { name: `Share of ${chargeName(charge)}`, subject: lineName(sheet, line) },
      basis: ofLines[index] as Figure,
    }));
    const place = { kind: 'shipmentCharge', id: charge.id, field: 'basis' } as const;
    const values = { charge: chargeName(charge), basis, lines: lines.map((line) => lineName(sheet, line)).join(', ') };
    const whenNotPositive = purchasingGap('basis-not-positive', place, values);
    const shares = apportionedShares(amount, bearers, total, step, whenNotPositive);
    return Object.fromEntries(lines.map((line, index) => [line.id, shares[index] as Figure]));
  },
};

function sharedAmount(sheet: Sheet, charge: RowOf<'shipmentCharge'>, asked: string | undefined, step: Decimal): Figure {
  const { amount, estimate, atCustoms, estimateAtCustoms } = sheet.read(chargeAmount, charge.id);
  switch (asked) {
    case 'estimate':
      return rounded({ name: 'Estimate', subject: chargeName(charge) }, estimate, step, sheet.settings().rounding);
    case 'customs':
      return atCustoms;
    case 'estimate at customs':
      return estimateAtCustoms;
    default:
      return amount;
  }
}

const isBasis = (text: string | undefined): text is ChargeBasis => CHARGE_BASES.includes(text as ChargeBasis);
