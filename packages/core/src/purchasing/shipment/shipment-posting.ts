import type { RowOf } from '@nuvar/book';
import { type Figure, type Gap, isWhole } from '../../figure/index.js';
import { bookCurrency, type Sheet } from '../../sheet/index.js';
import { bearingLines } from './charge-basis.js';
import { chargeEstimate } from './charge-estimate.js';
import { entryFee, lineCustoms } from './customs.js';
import { statedRate } from './exchange.js';
import { landedShipment } from './landed-shipment.js';
import { lineMeasures, linesOf } from './line-measures.js';
import { chargeName, chargesOf } from './shipment-charge.js';
import { shipmentGoods } from './shipment-goods.js';
import { unrecoveredImportTax, unrecoveredOf } from './shipment-tax.js';

/** Fields of a row of a shipment as they are kept when it is posted, or emptied when it is opened again. */
export interface PostedFields {
  readonly kind: 'shipment' | 'shipmentLine' | 'shipmentCharge' | 'shipmentPayment';
  readonly id: string;
  readonly fields: Readonly<Record<string, string | null>>;
}

/** What is kept of a shipment when it is posted. */
export interface ShipmentPosting {
  /** What its landed cost still lacks: then it cannot be posted. */
  readonly gaps: readonly Gap[];
  readonly rows: readonly PostedFields[];
  /** The lines that bear a charge of a rule, where it is not borne by all. */
  readonly chargedLines: readonly { readonly chargeId: string; readonly lineId: string }[];
}

/** More decimals than these are noise of a division; amounts that are posted are in minor units anyway. */
const KEPT_DECIMALS = 12;

const kept = ({ amount }: Figure): string | null => amount?.toDecimalPlaces(KEPT_DECIMALS).toFixed() ?? null;

/**
 * What keeps the landed cost of a shipment as it is on the day on which it is posted, whatever rate, rule, conversion, customs
 * profile or registration changes later: exchange rates, amounts of rules with the lines that bear them, weights and
 * volumes, duty, import tax and entry fee of each line, and the shares of tax that are not recovered.
 */
export function shipmentPosting(sheet: Sheet, shipmentId: string): ShipmentPosting {
  const shipment = sheet.row('shipment', shipmentId);
  const { gaps } = sheet.read(landedShipment, shipmentId).landed;
  if (shipment === undefined || gaps.length > 0) return { gaps, rows: [], chargedLines: [] };
  const lines = linesOf(sheet, shipmentId);
  const charges = chargesOf(sheet, shipmentId);
  const payments = sheet.rowsOf('shipmentPayment', 'shipmentId', shipmentId);
  return {
    gaps: [],
    rows: keptRows().filter(({ fields }) => Object.keys(fields).length > 0),
    chargedLines: charges.flatMap((charge) => chosenFor(sheet, charge, lines.length)),
  };

  function keptRows(): PostedFields[] {
    return [
      { kind: 'shipment', id: shipmentId, fields: ofShipment(sheet, shipment as RowOf<'shipment'>) },
      ...lines.map((line) => ({ kind: 'shipmentLine' as const, id: line.id, fields: ofLine(sheet, line) })),
      ...charges.map((charge) => ({
        kind: 'shipmentCharge' as const,
        id: charge.id,
        fields: ofCharge(sheet, shipment as RowOf<'shipment'>, charge),
      })),
      ...payments.map((payment) => ({
        kind: 'shipmentPayment' as const,
        id: payment.id,
        fields: ofPayment(sheet, shipment as RowOf<'shipment'>, payment),
      })),
    ];
  }
}

/** What is emptied when a posted shipment is opened again; typed rates and amounts stay to be corrected. */
export function shipmentReopening(sheet: Sheet, shipmentId: string): readonly PostedFields[] {
  const lines = linesOf(sheet, shipmentId).map(({ id }) => ({
    kind: 'shipmentLine' as const,
    id,
    fields: { postedDuty: null, postedImportTax: null, postedEntryFee: null },
  }));
  const fields = { postedOn: null, postedTaxPercent: null, postedImportTaxPercent: null };
  return [{ kind: 'shipment', id: shipmentId, fields }, ...lines];
}

function ofShipment(sheet: Sheet, shipment: RowOf<'shipment'>): Record<string, string | null> {
  const { ownRate } = sheet.read(shipmentGoods, shipment.id);
  const profile = sheet.row('customsProfile', shipment.customsProfileId ?? '');
  const rate = shipment.rate === null && ownRate !== null ? kept(ownRate) : null;
  return {
    postedOn: sheet.asOf,
    postedTaxPercent: kept(unrecoveredOf(sheet, shipment)),
    ...(profile && { postedImportTaxPercent: kept(unrecoveredImportTax(sheet, shipment, profile)) }),
    ...(rate !== null && { rate }),
  };
}

function ofLine(sheet: Sheet, line: RowOf<'shipmentLine'>): Record<string, string | null> {
  const { weight, volume } = sheet.read(lineMeasures, line.id);
  const { duty, importTax } = sheet.read(lineCustoms, line.id);
  const fee = sheet.read(entryFee, line.shipmentId).ofLines[line.id];
  return {
    ...(line.weight === null && isWhole(weight) && { weight: kept(weight) }),
    ...(line.volume === null && isWhole(volume) && { volume: kept(volume) }),
    ...(duty !== null && { postedDuty: kept(duty) }),
    ...(importTax !== null && { postedImportTax: kept(importTax) }),
    ...(fee !== undefined && { postedEntryFee: kept(fee) }),
  };
}

function ofCharge(
  sheet: Sheet,
  { date }: RowOf<'shipment'>,
  charge: RowOf<'shipmentCharge'>,
): Record<string, string | null> {
  const subject = chargeName(charge);
  const isByRule = charge.ruleId !== null && charge.amount === null;
  const amount = isByRule ? kept(chargeEstimate(sheet, charge, subject)) : null;
  const rate =
    charge.rate === null ? statedRate(sheet, 'shipmentCharge', charge, 'rate', charge.currency, date, subject) : null;
  const keptRate = rate === null ? null : kept(rate);
  return {
    ...(amount !== null && { amount, per: 'the shipment' }),
    ...(keptRate !== null && { rate: keptRate }),
  };
}

function ofPayment(
  sheet: Sheet,
  shipment: RowOf<'shipment'>,
  payment: RowOf<'shipmentPayment'>,
): Record<string, string | null> {
  const charge = sheet.row('shipmentCharge', payment.chargeId ?? '');
  const currency = charge?.currency ?? shipment.currency;
  if (payment.rate !== null || currency === bookCurrency(sheet)) return {};
  const rate = statedRate(sheet, 'shipmentPayment', payment, 'rate', currency, payment.date, shipment.name);
  const keptRate = rate === null ? null : kept(rate);
  return keptRate === null ? {} : { rate: keptRate };
}

function chosenFor(sheet: Sheet, charge: RowOf<'shipmentCharge'>, count: number): ShipmentPosting['chargedLines'] {
  if (charge.ruleId === null || sheet.rowsOf('chargedLine', 'chargeId', charge.id).length > 0) return [];
  const bearers = bearingLines(sheet, charge);
  return bearers.length === count ? [] : bearers.map(({ id }) => ({ chargeId: charge.id, lineId: id }));
}
