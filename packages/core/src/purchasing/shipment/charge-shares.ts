import { CHARGE_BASES, type ChargeBasis } from '@nuvar/book';
import { apportionedShares, type Figure, rounded } from '../../figure/index.js';
import { minorUnit } from '../../money/index.js';
import { bookCurrency, type Calculation } from '../../sheet/index.js';
import { purchasingGap } from '../gaps.js';
import { basisOver, bearingLines } from './charge-basis.js';
import { lineName } from './line-measures.js';
import { chargeAmount, chargeName } from './shipment-charge.js';

/**
 * What each line bears of a charge, by the id of the line, in minor units that sum to the charge (largest remainder; ties
 * go to the earlier line; a credit takes a negative share). The id is that of the charge, "charge@weight" for what the lines would
 * bear under another basis, or "charge@estimate" for what they bear of the estimate of a charge that is billed. Gaps: a line lacks the measure, or the lines have none of it together.
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
    const { amount: counted, estimate } = sheet.read(chargeAmount, chargeId);
    const step = minorUnit(bookCurrency(sheet));
    const amount =
      asked === 'estimate'
        ? rounded({ name: 'Estimate', subject: chargeName(charge) }, estimate, step, sheet.settings().rounding)
        : counted;
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

const isBasis = (text: string | undefined): text is ChargeBasis => CHARGE_BASES.includes(text as ChargeBasis);
