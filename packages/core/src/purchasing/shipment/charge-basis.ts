import type { ChargeBasis, RowOf } from '@nuvar/book';
import { constant, type Figure, largest, missing, multiplied, quotient, sum } from '../../figure/index.js';
import { compared } from '../../number/index.js';
import { NUMBER, unit, unitWord } from '../../quantity/index.js';
import type { Sheet } from '../../sheet/index.js';
import { convertedFor } from '../converted.js';
import { purchasingGap } from '../gaps.js';
import { lineMeasures, lineName, linesOf } from './line-measures.js';
import { ruleFits } from './rule-fits.js';

type Line = RowOf<'shipmentLine'>;
type Charge = RowOf<'shipmentCharge'>;

const ONE_LINE = constant('One line', '1', NUMBER, 'definition');
const CUBIC_CENTIMETRES = constant('cm³ in one m³', '1000000', unit('cm³').per(unit('m³')), 'definition');

/**
 * The lines that bear a charge: those that were chosen for it, else all of its shipment where no rule gave it, else those of
 * its rule. While the rule says the amount, these are the lines on which it wins today, perhaps none. A charge that was
 * typed or billed keeps its lines: those that the rule fits, but for lines of a more specific rule that has a charge of its
 * own here; where the rule fits none any more, all of the shipment, so that nothing that is paid is lost.
 */
export function bearingLines(sheet: Sheet, charge: Charge): readonly Line[] {
  const estimated = estimatedLines(sheet, charge);
  if (charge.ruleId === null || (charge.amount === null && charge.billed === null)) return estimated;
  const lines = linesOf(sheet, charge.shipmentId);
  if (estimated.length === lines.length || chosenLines(sheet, charge).size > 0) return estimated;
  const { fits } = sheet.read(ruleFits, charge.shipmentId);
  const own = fits.find(({ ruleId }) => ruleId === charge.ruleId);
  const charged = new Set(chargesWithRules(sheet, charge.shipmentId));
  const rivals = fits.filter(({ ruleId }) => own?.lostTo.includes(ruleId) && charged.has(ruleId));
  const taken = new Set(rivals.flatMap(({ fittingIds }) => fittingIds));
  const kept = new Set(own?.fittingIds.filter((id) => !taken.has(id)));
  return kept.size === 0 ? lines : lines.filter(({ id }) => kept.has(id));
}

/** The lines over which a charge is estimated: those that were chosen, those on which its rule wins today, or all. */
export function estimatedLines(sheet: Sheet, charge: Charge): readonly Line[] {
  const lines = linesOf(sheet, charge.shipmentId);
  const chosen = chosenLines(sheet, charge);
  if (chosen.size > 0) return lines.filter(({ id }) => chosen.has(id));
  if (charge.ruleId === null) return lines;
  const fit = sheet.read(ruleFits, charge.shipmentId).fits.find(({ ruleId }) => ruleId === charge.ruleId);
  const won = new Set(fit?.lineIds);
  return lines.filter(({ id }) => won.has(id));
}

const chosenLines = (sheet: Sheet, { id }: Charge): ReadonlySet<string> =>
  new Set(sheet.rowsOf('chargedLine', 'chargeId', id).map(({ lineId }) => lineId));

const chargesWithRules = (sheet: Sheet, shipmentId: string): readonly string[] =>
  sheet.rowsOf('shipmentCharge', 'shipmentId', shipmentId).flatMap(({ ruleId }) => ruleId ?? []);

/** What each line has of a basis, and what all have together, in one unit. */
export interface Basis {
  readonly ofLines: readonly Figure[];
  readonly total: Figure;
}

/** A basis over the lines that bear a charge. */
export function basisOver(sheet: Sheet, charge: Charge, basis: ChargeBasis, lines: readonly Line[]): Basis {
  const measures = lines.map(({ id }) => sheet.read(lineMeasures, id));
  switch (basis) {
    case 'value':
      return summed(
        'Value',
        measures.map(({ value }) => value),
      );
    case 'weight':
      return summed(
        'Weight',
        measures.map(({ weight }) => weight),
      );
    case 'volume':
      return summed(
        'Volume',
        measures.map(({ volume }) => volume),
      );
    case 'chargeable weight':
      return ruling(sheet, charge, lines);
    case 'quantity':
      return summed('Quantity', quantities(sheet, lines));
    case 'equal':
      return summed(
        'Lines',
        lines.map(() => ONE_LINE),
      );
  }
}

const summed = (name: string, ofLines: readonly Figure[]): Basis => ({
  ofLines,
  total: sum({ name, subject: 'the lines that bear it' }, ofLines[0]?.unit ?? NUMBER, ofLines),
});

/** Quantities in the unit of the first line: pieces and kilograms have no sum of their own. */
function quantities(sheet: Sheet, lines: readonly Line[]): Figure[] {
  const wanted = lines[0]?.unit ?? '';
  return lines.map((line) => {
    const name = lineName(sheet, line);
    const { quantity } = sheet.read(lineMeasures, line.id);
    const item = { kind: 'material', id: line.materialId, name } as const;
    const found = convertedFor(sheet, item, quantity, line.unit, wanted);
    if (found !== null) return found;
    const place = { kind: 'shipmentLine', id: line.id, field: 'unit' } as const;
    const values = { subject: name, from: unitWord(line.unit), to: unitWord(wanted) };
    return missing(
      { name: 'Quantity', subject: name, unit: unit(wanted) },
      purchasingGap('no-common-unit', place, values),
    );
  });
}

/** The measure that rules over the consignment as a whole: weight, or volume where that counts for more. */
function ruling(sheet: Sheet, charge: Charge, lines: readonly Line[]): Basis {
  const { weight, volumetric, byWeight, byVolume } = weights(sheet, charge, lines);
  if (weight.amount === null || weight.gaps.length > 0) return byWeight;
  if (volumetric.amount === null || volumetric.gaps.length > 0) return byVolume;
  return compared(weight.amount, volumetric.amount) >= 0 ? byWeight : byVolume;
}

/**
 * Chargeable weight of a consignment = the larger of its weight and its volume / divisor (by air 6,000 cm³ a kilogram, by
 * courier often 5,000, by sea one cubic metre a tonne: common practice), over all lines together and not line by line.
 */
export function chargeableWeight(sheet: Sheet, charge: Charge, lines: readonly Line[]): Figure {
  const { weight, volumetric } = weights(sheet, charge, lines);
  const note = 'weight, or volume by the divisor, of the whole consignment';
  return largest({ name: 'Chargeable weight', subject: weight.subject }, [weight, volumetric], note);
}

function weights(sheet: Sheet, charge: Charge, lines: readonly Line[]) {
  const byWeight = basisOver(sheet, charge, 'weight', lines);
  const byVolume = basisOver(sheet, charge, 'volume', lines);
  const { subject } = byWeight.total;
  const divisor = sheet.input('shipmentCharge', charge, 'volumeDivisor', {
    name: 'Volume divisor',
    subject,
    unit: unit('cm³').per(unit('kg')),
  });
  const volumetric = quotient(
    { name: 'Volumetric weight', subject },
    multiplied({ name: 'Volume in cm³', subject }, byVolume.total, CUBIC_CENTIMETRES),
    divisor,
  );
  return { weight: byWeight.total, volumetric, byWeight, byVolume };
}
