import { type ChargeTreatment, type ChargeType, type RowOf } from '@nuvar/book';
import {
  difference,
  type Figure,
  multiplied,
  ofMissingRow,
  percentOf,
  quotient,
  rounded,
  shareOf,
  sum,
} from '../../figure/index.js';
import { minorUnit } from '../../money/index.js';
import { decimal } from '../../number/index.js';
import { PERCENT, unit } from '../../quantity/index.js';
import { bookCurrency, type Calculation, money, type Sheet } from '../../sheet/index.js';
import { convertedFor } from '../converted.js';
import { purchasingGap } from '../gaps.js';
import { bearingLines } from './charge-basis.js';
import { chargeShares } from './charge-shares.js';
import { entryFee, lineCustoms } from './customs.js';
import { CHARGE_WORDS, isInSellersPrice } from './delivery.js';
import { lineMeasures, lineName } from './line-measures.js';
import { missingCharge, missingCharges } from './missing-charges.js';
import { chargeAmount, chargeName, chargesOf } from './shipment-charge.js';
import { shipmentGoods } from './shipment-goods.js';
import { unrecoveredImportTax, unrecoveredOf } from './shipment-tax.js';

/** What a line bears of one charge, or of what the customs take. */
export interface LandedPart {
  /** The charge; null for what is worked out by the customs profile. */
  readonly chargeId: string | null;
  readonly type: ChargeType;
  readonly label: string;
  readonly treatment: ChargeTreatment;
  readonly figure: Figure;
  /** True for a charge of the delivery term of which nothing is stated. */
  readonly isMissing: boolean;
}

/** A line of a shipment at the buyer's door, in the currency of the book. */
export interface LandedLine {
  /** What the seller is paid for it. */
  readonly goods: Figure;
  /** The tax on it that is recovered; null where no tax on it is stated. */
  readonly goodsTaxRecovered: Figure | null;
  readonly parts: readonly LandedPart[];
  /** What came on top of the goods and belongs to their cost. */
  readonly onTop: Figure;
  readonly landed: Figure;
  readonly perUnit: Figure;
  /** Per base unit of the material; null where no way leads there. */
  readonly perBaseUnit: Figure | null;
  readonly onTopPerBaseUnit: Figure | null;
  readonly onTopPercent: Figure;
  /** What a unit was estimated at, and what the bills changed of it; null while no charge of the line is billed. */
  readonly estimatedPerUnit: Figure | null;
  readonly perUnitAgainstEstimate: Figure | null;
  readonly expense: Figure;
  readonly recovered: Figure;
}

/**
 * Landed cost of a line = its goods, with the tax on them that is not recovered + its shares of the charges that go into stock
 * value + the duty, import tax that is not recovered and entry fee of the customs profile; per unit: / quantity. What goes to expense or is recovered stands apart
 * (IAS 2.10, .11 and .16). A charge that the price holds costs nothing more. Where duty or import tax is a charge of its
 * own, that one counts and not what the profile makes of it. Gaps: whatever any of these lacks; a charge that no line bears, and a charge of the delivery
 * term of which nothing is stated, of every line.
 */
export const landedLine: Calculation<LandedLine> = {
  name: 'landedLine',
  meanings: {
    goods: 'What the goods of the line cost at the seller.',
    goodsTaxRecovered: 'The tax on the goods of the line that is recovered.',
    onTop: 'What comes on top of the goods until they are here, as far as it belongs to their cost.',
    landed: 'What the line costs at the door (landed cost).',
    perUnit: 'What one unit of the line costs at the door (landed cost).',
    perBaseUnit: 'What one base unit of the material costs at the door (landed cost).',
    onTopPerBaseUnit: 'What comes on top of the goods for one base unit of the material.',
    onTopPercent: 'What comes on top, as a percentage of the goods.',
    estimatedPerUnit: 'What one unit of the line was estimated to cost at the door.',
    perUnitAgainstEstimate: 'By how much the bills made one unit dearer than estimated.',
    expense: 'What the line bears of charges that go to expense.',
    recovered: 'What the line bears of charges that are recovered.',
  },
  work(sheet, lineId) {
    const line = sheet.row('shipmentLine', lineId);
    const subject = line === undefined ? 'this line' : lineName(sheet, line);
    if (line === undefined) return ofNoLine(sheet, subject);
    const { value, quantity } = sheet.read(lineMeasures, lineId);
    const { rate } = sheet.read(shipmentGoods, line.shipmentId);
    const called = (name: string) => ({ name, subject });
    const net = rate === null ? value : multiplied(called('Goods'), value, rate);
    const { goods, recovered: goodsTaxRecovered } = goodsWithTax(sheet, line, net);
    const parts = partsOf(sheet, line);
    const total = (name: string, treatment: ChargeTreatment) =>
      sum(
        called(name),
        money(sheet),
        parts.filter((part) => part.treatment === treatment).map(({ figure }) => figure),
      );
    const onTop = total('On top of the goods', 'stock value');
    const landed = sum(called('Landed cost'), money(sheet), parts.length === 0 ? [goods] : [goods, onTop]);
    const material = sheet.row('material', line.materialId);
    const item = { kind: 'material', id: line.materialId, name: subject } as const;
    const inBase = material && convertedFor(sheet, item, quantity, line.unit, material.baseUnit);
    const noGoods = purchasingGap('no-goods-value', { kind: 'shipmentLine', id: lineId, field: 'price' }, { subject });
    const perUnit = quotient(called('Landed cost per unit'), landed, quantity);
    const estimated = estimatedOnTop(sheet, parts, lineId, subject);
    const estimatedPerUnit =
      estimated &&
      quotient(called('Estimated per unit'), sum(called('Estimated'), money(sheet), [goods, estimated]), quantity);
    return {
      goods,
      goodsTaxRecovered,
      parts,
      onTop,
      landed,
      perUnit,
      estimatedPerUnit,
      perUnitAgainstEstimate: estimatedPerUnit && difference(called('Against the estimate'), perUnit, estimatedPerUnit),
      perBaseUnit: inBase ? quotient(called('Landed cost per base unit'), landed, inBase) : null,
      onTopPerBaseUnit: inBase ? quotient(called('On top per base unit'), onTop, inBase) : null,
      onTopPercent: goods.amount?.isZero()
        ? quotient(called('On top of the goods'), onTop, goods, noGoods)
        : shareOf(called('On top of the goods'), onTop, goods),
      expense: total('To expense', 'expense'),
      recovered: total('Recovered', 'recovered'),
    };
  },
};

function ofNoLine(sheet: Sheet, subject: string): LandedLine {
  const none = (of: Figure['unit']) => ofMissingRow({ name: 'Landed cost', unit: of }, subject);
  const amount = none(money(sheet));
  return {
    goods: amount,
    goodsTaxRecovered: null,
    parts: [],
    onTop: amount,
    landed: amount,
    expense: amount,
    recovered: amount,
    perUnit: none(money(sheet).per(unit('each'))),
    perBaseUnit: null,
    onTopPerBaseUnit: null,
    estimatedPerUnit: null,
    perUnitAgainstEstimate: null,
    onTopPercent: none(PERCENT),
  };
}

/** What would come on top by the estimates; null where no charge of the line is billed. */
function estimatedOnTop(sheet: Sheet, parts: readonly LandedPart[], lineId: string, subject: string): Figure | null {
  const isBilled = ({ chargeId }: LandedPart) => sheet.row('shipmentCharge', chargeId ?? '')?.billed != null;
  const line = sheet.row('shipmentLine', lineId);
  if (line === undefined || !parts.some((part) => part.treatment === 'stock value' && isBilled(part))) return null;
  // What the customs take follows the estimates too.
  const inStock = [
    ...parts.filter(({ chargeId, isMissing }) => chargeId !== null || isMissing),
    ...atCustoms(sheet, line, statedTypes(sheet, line.shipmentId), '@estimate'),
  ].filter(({ treatment }) => treatment === 'stock value');
  const estimates = inStock.map((part) =>
    // A charge without a bill is its own estimate.
    part.chargeId === null
      ? part.figure
      : (sheet.read(chargeShares, `${part.chargeId}@estimate`)[lineId] ?? part.figure),
  );
  return sum({ name: 'Estimated on top', subject }, money(sheet), estimates);
}

/** What a line bears, charge by charge in their order, and then what the customs take of it by their profile. */
function partsOf(sheet: Sheet, line: RowOf<'shipmentLine'>): LandedPart[] {
  const charges = chargesOf(sheet, line.shipmentId).filter(({ inPrice }) => !inPrice);
  const stated = charges.flatMap((charge): LandedPart[] => {
    // A charge that no line bears is missing in all of them: it has to be settled before any of them is whole.
    const figure = sheet.read(chargeShares, charge.id)[line.id] ?? borneByNone(sheet, charge);
    if (figure === null) return [];
    const { id: chargeId, type, treatment } = charge;
    return [{ chargeId, type, label: chargeName(charge), treatment, figure, isMissing: false }];
  });
  const asked = missingCharges(sheet, line.shipmentId).map((type): LandedPart => {
    const figure = missingCharge(sheet, line.shipmentId, type, lineName(sheet, line));
    return { chargeId: null, type, label: CHARGE_WORDS[type], treatment: 'stock value', figure, isMissing: true };
  });
  return [...stated, ...asked, ...atCustoms(sheet, line, statedTypes(sheet, line.shipmentId))];
}

/** What a charge says where no line bears it; null where other lines do. */
const borneByNone = (sheet: Sheet, charge: RowOf<'shipmentCharge'>): Figure | null =>
  bearingLines(sheet, charge).length === 0 ? sheet.read(chargeAmount, charge.id).amount : null;

/** The types of the charges that the buyer pays beside the price. */
const statedTypes = (sheet: Sheet, shipmentId: string): ReadonlySet<ChargeType> =>
  new Set(chargesOf(sheet, shipmentId).flatMap(({ inPrice, type }) => (inPrice ? [] : [type])));

/** The goods of a line with the tax on them that is not recovered, and what is; null where no tax is stated. */
function goodsWithTax(
  sheet: Sheet,
  line: RowOf<'shipmentLine'>,
  net: Figure,
): { readonly goods: Figure; readonly recovered: Figure | null } {
  const shipment = sheet.row('shipment', line.shipmentId);
  if (line.taxPercent === null || shipment === undefined) return { goods: net, recovered: null };
  const { subject } = net;
  const rate = sheet.input('shipmentLine', line, 'taxPercent', { name: 'Tax rate', subject, unit: PERCENT });
  const tax = percentOf({ name: 'Tax', subject }, rate, net);
  const lost = percentOf({ name: 'Tax not recovered', subject }, unrecoveredOf(sheet, shipment), tax);
  return {
    goods: sum({ name: 'Goods with tax not recovered', subject }, net.unit, [net, lost]),
    recovered: difference({ name: 'Tax on the goods, recovered', subject }, tax, lost),
  };
}

function atCustoms(
  sheet: Sheet,
  line: RowOf<'shipmentLine'>,
  stated: ReadonlySet<ChargeType>,
  suffix: '' | '@estimate' = '',
): LandedPart[] {
  const shipment = sheet.row('shipment', line.shipmentId);
  const profile = sheet.row('customsProfile', shipment?.customsProfileId ?? '');
  if (shipment === undefined || profile === undefined) return [];
  const { duty, importTax } = sheet.read(lineCustoms, `${line.id}${suffix}`);
  const isBuyers = (type: ChargeType) => !isInSellersPrice(shipment.deliveryTerm, type);
  const isOwed = (type: ChargeType) => !stated.has(type) && isBuyers(type);
  const part = (
    type: ChargeType,
    label: string,
    treatment: ChargeTreatment,
    figure: Figure | null | undefined,
  ): LandedPart[] => (figure == null ? [] : [{ chargeId: null, type, label, treatment, figure, isMissing: false }]);
  return [
    ...(isOwed('duty') ? part('duty', 'duty', 'stock value', duty) : []),
    ...(importTax !== null && !stated.has('import tax') && (isBuyers('import tax') || isTaxLeftOut(sheet, shipment.id))
      ? importTaxParts(importTax)
      : []),
    ...(isBuyers('duty')
      ? part('other', 'entry fee', 'stock value', sheet.read(entryFee, `${shipment.id}${suffix}`).ofLines[line.id])
      : []),
  ];

  function importTaxParts(tax: Figure): LandedPart[] {
    const share = unrecoveredImportTax(sheet, shipment as RowOf<'shipment'>, profile);
    if (share.amount?.isZero()) return part('import tax', 'import tax', 'recovered', tax);
    const { subject } = tax;
    const step = minorUnit(bookCurrency(sheet));
    const lost = percentOf({ name: 'Import tax not recovered', subject }, share, tax);
    const cost = rounded({ name: lost.name, subject }, lost, step, sheet.settings().rounding);
    const recovered = difference({ name: 'Import tax recovered', subject }, tax, cost);
    return [
      ...part('import tax', 'import tax', 'stock value', cost),
      ...(recovered.amount?.isZero() ? [] : part('import tax', 'import tax', 'recovered', recovered)),
    ];
  }
}

/** True where a price that would hold import tax by its delivery term is stated to hold none. */
const isTaxLeftOut = (sheet: Sheet, shipmentId: string): boolean =>
  chargesOf(sheet, shipmentId).some(
    ({ inPrice, type, amount }) => inPrice && type === 'import tax' && amount !== null && decimal(amount).isZero(),
  );
