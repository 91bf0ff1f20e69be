import {
  CHARGE_BASES,
  type ChargeBasis,
  type ChargeTreatment,
  type ChargeType,
  DELIVERY_TERMS,
  type DeliveryTerm,
} from '@nuvar/book';
import { ZERO } from '../../number/index.js';
import {
  bearingLines,
  CARRIERS,
  CHARGE_WORDS,
  chargeAmount,
  chargeShares,
  chargesOf,
  askedForBy,
  isInSellersPrice,
  landedLine,
  landedShipment,
  lineCustoms,
  lineMeasures,
  lineName,
  linesOf,
  load,
  priceUnderTerm,
  shipmentGoods,
  shipmentPaid,
  STOPS,
} from '../../purchasing/index.js';
import type { Evaluation } from '../../sheet/index.js';
import { type FigureView, figureView, shown, shownAll } from '../general/figure-view.js';

/** A stop of the goods on their way here, with what is stated of it. */
export interface StopView {
  readonly type: ChargeType;
  readonly label: string;
  /** By the delivery term; null where none is stated. */
  readonly paidBy: 'seller' | 'buyer' | null;
  /** True where the landed cost asks for a charge that is not there yet. */
  readonly isMissing: boolean;
  /** Charges of that stop; the id is null for what the customs profile says. */
  readonly charges: readonly { readonly id: string | null; readonly inPrice: boolean; readonly amount: FigureView }[];
}

/** How full a shipment makes a container or a pallet. */
export interface CarrierLoadView {
  readonly code: string;
  readonly label: string;
  readonly byVolume: FigureView;
  readonly byWeight: FigureView;
  readonly carriers: FigureView;
  readonly fullBy: 'volume' | 'weight' | null;
}

export interface ShipmentView extends Readonly<
  Record<
    'value' | 'weight' | 'volume' | 'goods' | 'onTop' | 'onTopPercent' | 'landed' | 'expense' | 'recovered',
    FigureView
  >
> {
  /** All that is recovered, the tax on goods and charges with it, and all that is paid. */
  readonly recoveredInAll: FigureView;
  readonly paid: FigureView;
  readonly rate: FigureView | null;
  readonly againstEstimate: FigureView | null;
  readonly exchangeDifference: FigureView | null;
  readonly stops: readonly StopView[];
  /** The landed cost of the dearest line: strips of lines beside each other share it as their scale. */
  readonly scale: string;
  readonly loads: readonly CarrierLoadView[];
}

/** All that the screen of a shipment shows of it as a whole. */
export function shipmentView(evaluation: Evaluation, shipmentId: string): ShipmentView {
  const { rate } = evaluation.read(shipmentGoods, shipmentId);
  const { againstEstimate, exchangeDifference } = evaluation.read(landedShipment, shipmentId);
  const landed = (member: 'againstEstimate' | 'exchangeDifference') =>
    shown(evaluation, landedShipment, shipmentId, member);
  return {
    ...shownAll(evaluation, shipmentGoods, shipmentId, ['value', 'weight', 'volume']),
    ...shownAll(evaluation, landedShipment, shipmentId, [
      'goods',
      'onTop',
      'onTopPercent',
      'landed',
      'expense',
      'recovered',
    ]),
    paid: shown(evaluation, shipmentPaid, shipmentId, 'paid'),
    recoveredInAll: shown(evaluation, shipmentPaid, shipmentId, 'recovered'),
    rate: rate && shown(evaluation, shipmentGoods, shipmentId, 'rate'),
    againstEstimate: againstEstimate && landed('againstEstimate'),
    exchangeDifference: exchangeDifference && landed('exchangeDifference'),
    stops: stopsOf(evaluation, shipmentId),
    scale: linesOf(evaluation.sheet, shipmentId)
      .map(({ id }) => evaluation.read(landedLine, id).landed.amount ?? ZERO)
      .reduce((most, each) => (each.gt(most) ? each : most), ZERO)
      .toFixed(),
    loads: CARRIERS.map(({ code, label }) => ({
      code,
      label,
      fullBy: evaluation.read(load, `${shipmentId}@${code}`).fullBy,
      ...shownAll(evaluation, load, `${shipmentId}@${code}`, ['byVolume', 'byWeight', 'carriers']),
    })),
  };
}

function stopsOf(evaluation: Evaluation, shipmentId: string): StopView[] {
  const { sheet } = evaluation;
  const term = sheet.row('shipment', shipmentId)?.deliveryTerm ?? null;
  const charges = chargesOf(sheet, shipmentId);
  const { missingCharges, ...landed } = evaluation.read(landedShipment, shipmentId);
  const asked = askedForBy(term);
  return STOPS.map((type) => {
    const byProfile = type === 'duty' ? landed.duty : type === 'import tax' ? landed.importTax : null;
    const member = type === 'duty' ? 'duty' : 'importTax';
    const stated = charges
      .filter((charge) => charge.type === type)
      .map(({ id, inPrice }) => ({ id, inPrice, amount: shown(evaluation, chargeAmount, id, 'amount') }));
    return {
      type,
      label: CHARGE_WORDS[type],
      paidBy: term === null ? null : isInSellersPrice(term, type) ? 'seller' : 'buyer',
      isMissing: asked.includes(type) && missingCharges.includes(type),
      charges:
        byProfile === null
          ? stated
          : [...stated, { id: null, inPrice: false, amount: shown(evaluation, landedShipment, shipmentId, member) }],
    };
  });
}

/** What the goods would cost at the seller under a delivery term. */
export interface TermPriceView extends Readonly<Record<'price' | 'more' | 'morePercent', FigureView>> {
  readonly term: DeliveryTerm;
  readonly isNow: boolean;
}

/** The price of the goods of a shipment under each delivery term; empty where it states none. */
export function termPricesView(evaluation: Evaluation, shipmentId: string): readonly TermPriceView[] {
  const now = evaluation.sheet.row('shipment', shipmentId)?.deliveryTerm ?? null;
  return now === null
    ? []
    : DELIVERY_TERMS.map((term) => ({
        term,
        isNow: term === now,
        ...shownAll(evaluation, priceUnderTerm, `${shipmentId}@${term}`, ['price', 'more', 'morePercent']),
      }));
}

/** What a line bears of one charge. */
export interface LandedPartView {
  readonly chargeId: string | null;
  readonly type: ChargeType;
  readonly label: string;
  readonly treatment: ChargeTreatment;
  readonly figure: FigureView;
}

export interface ShipmentLineView extends Readonly<
  Record<'value' | 'weight' | 'volume' | 'goods' | 'onTop' | 'onTopPercent' | 'landed' | 'perUnit', FigureView>
> {
  readonly perBaseUnit: FigureView | null;
  readonly onTopPerBaseUnit: FigureView | null;
  readonly estimatedPerUnit: FigureView | null;
  readonly perUnitAgainstEstimate: FigureView | null;
  readonly customsValue: FigureView | null;
  readonly duty: FigureView | null;
  readonly importTax: FigureView | null;
  readonly parts: readonly LandedPartView[];
}

/** A line of a shipment: what it is at the seller, and what it costs here. */
export function shipmentLineView(evaluation: Evaluation, lineId: string): ShipmentLineView {
  const landed = evaluation.read(landedLine, lineId);
  const customs = evaluation.read(lineCustoms, lineId);
  const ofCustoms = (member: 'customsValue' | 'duty' | 'importTax') =>
    customs[member] && shown(evaluation, lineCustoms, lineId, member);
  const some = (member: 'perBaseUnit' | 'onTopPerBaseUnit' | 'estimatedPerUnit' | 'perUnitAgainstEstimate') =>
    landed[member] && shown(evaluation, landedLine, lineId, member);
  return {
    ...shownAll(evaluation, lineMeasures, lineId, ['value', 'weight', 'volume']),
    ...shownAll(evaluation, landedLine, lineId, ['goods', 'onTop', 'onTopPercent', 'landed', 'perUnit']),
    perBaseUnit: some('perBaseUnit'),
    onTopPerBaseUnit: some('onTopPerBaseUnit'),
    estimatedPerUnit: some('estimatedPerUnit'),
    perUnitAgainstEstimate: some('perUnitAgainstEstimate'),
    customsValue: ofCustoms('customsValue'),
    duty: ofCustoms('duty'),
    importTax: ofCustoms('importTax'),
    parts: landed.parts.map(({ figure, ...part }) => ({ ...part, figure: figureView(figure) })),
  };
}

/** What one line bears of a charge, under the basis of the charge and under every other. */
export interface BearingLineView {
  readonly lineId: string;
  readonly name: string;
  readonly share: FigureView;
  readonly by: Readonly<Record<ChargeBasis, FigureView>>;
}

export interface ShipmentChargeView {
  readonly amount: FigureView;
  readonly inItsCurrency: FigureView;
  readonly estimate: FigureView;
  readonly bill: FigureView | null;
  readonly difference: FigureView | null;
  readonly differencePercent: FigureView | null;
  readonly byAmount: FigureView | null;
  readonly byRate: FigureView | null;
  readonly exchangeDifference: FigureView | null;
  readonly lines: readonly BearingLineView[];
}

/** A charge: what it comes to, against its estimate, and who bears it. */
export function shipmentChargeView(evaluation: Evaluation, chargeId: string): ShipmentChargeView {
  const { sheet } = evaluation;
  const found = evaluation.read(chargeAmount, chargeId);
  const some = (member: 'bill' | 'difference' | 'differencePercent' | 'byAmount' | 'byRate' | 'exchangeDifference') =>
    found[member] && shown(evaluation, chargeAmount, chargeId, member);
  const charge = sheet.row('shipmentCharge', chargeId);
  const lines = charge === undefined ? [] : bearingLines(sheet, charge);
  return {
    ...shownAll(evaluation, chargeAmount, chargeId, ['amount', 'inItsCurrency', 'estimate']),
    bill: some('bill'),
    difference: some('difference'),
    differencePercent: some('differencePercent'),
    byAmount: some('byAmount'),
    byRate: some('byRate'),
    exchangeDifference: some('exchangeDifference'),
    lines: lines.map((line) => ({
      lineId: line.id,
      name: lineName(sheet, line),
      share: shown(evaluation, chargeShares, chargeId, line.id),
      by: Object.fromEntries(
        CHARGE_BASES.map((basis) => [basis, shown(evaluation, chargeShares, `${chargeId}@${basis}`, line.id)]),
      ) as Record<ChargeBasis, FigureView>,
    })),
  };
}
