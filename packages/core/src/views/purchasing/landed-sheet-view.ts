import type { ChargeBasis, ChargeTreatment, RowOf } from '@nuvar/book';
import { type Figure, gapSentence } from '../../figure/index.js';
import {
  bearingLines,
  CHARGE_WORDS,
  chargeAmount,
  chargeName,
  chargeShares,
  chargesOf,
  landedLine,
  landedShipment,
  lineMeasures,
  lineName,
  linesOf,
  shipmentGoods,
} from '../../purchasing/index.js';
import type { Evaluation } from '../../sheet/index.js';
import { numberedGroups, type NumberedWorkings } from '../general/numbered-workings.js';

/** A charge as a document shows it: amounts as exact decimals, null where they are not known. */
export interface SheetCharge {
  readonly label: string;
  readonly currency: string;
  readonly amount: string | null;
  /** What one unit of its currency costs; "1" in the currency of the book. */
  readonly rate: string | null;
  /** In the currency of the book, in minor units. */
  readonly inBookCurrency: string | null;
  readonly basis: ChargeBasis;
  readonly treatment: ChargeTreatment;
  readonly isBilled: boolean;
  /** By the id of the line that bears it: its part of the basis, and its share. */
  readonly bases: Readonly<Record<string, string | null>>;
  readonly shares: Readonly<Record<string, string | null>>;
}

/** What the customs profile says of each line, by its id: duty, import tax, entry fee. */
export interface SheetCustoms {
  readonly label: string;
  readonly treatment: ChargeTreatment;
  readonly shares: Readonly<Record<string, string | null>>;
}

export interface SheetLine {
  readonly id: string;
  readonly material: string;
  readonly quantity: string | null;
  readonly unit: string;
  readonly price: string | null;
  readonly goods: string | null;
  readonly onTop: string | null;
  readonly landed: string | null;
  readonly perUnit: string | null;
}

/** All that a landed cost sheet says of a shipment. */
export interface LandedSheetView {
  readonly name: string;
  readonly state: string;
  readonly supplier: string;
  readonly deliveryTerm: string;
  readonly origin: string;
  readonly destination: string;
  readonly date: string;
  readonly asOf: string;
  readonly buyingCurrency: string;
  readonly currency: string;
  readonly locale: string;
  readonly book: string;
  /** What one unit of the buying currency costs; "1" in the currency of the book. */
  readonly rate: string | null;
  readonly lines: readonly SheetLine[];
  readonly charges: readonly SheetCharge[];
  readonly customs: readonly SheetCustoms[];
  readonly totals: Readonly<Record<'goods' | 'onTop' | 'landed' | 'expense' | 'recovered', string | null>>;
  /** What still lacks, in sentences: the sheet is not whole while there are any. */
  readonly missing: readonly string[];
  readonly workings: NumberedWorkings;
}

const text = (figure: Figure | null | undefined): string | null => figure?.amount?.toFixed() ?? null;

/** The landed cost sheet of a shipment as plain data: what documents are written from; null where there is no such shipment. */
export function landedSheetView(evaluation: Evaluation, shipmentId: string): LandedSheetView | null {
  const { sheet } = evaluation;
  const shipment = sheet.row('shipment', shipmentId);
  if (shipment === undefined) return null;
  const { currency, locale, name: book } = sheet.settings();
  const lines = linesOf(sheet, shipmentId);
  const landed = evaluation.read(landedShipment, shipmentId);
  const { rate } = evaluation.read(shipmentGoods, shipmentId);
  return {
    name: shipment.name,
    state: shipment.state,
    supplier: sheet.row('supplier', shipment.supplierId ?? '')?.name ?? '',
    deliveryTerm: shipment.deliveryTerm ?? '',
    origin: shipment.origin,
    destination: shipment.destination,
    date: shipment.date,
    asOf: sheet.asOf,
    buyingCurrency: shipment.currency,
    currency,
    locale,
    book,
    rate: rate === null ? '1' : text(rate),
    lines: lines.map((line) => sheetLine(evaluation, line)),
    charges: chargesOf(sheet, shipmentId)
      .filter(({ inPrice }) => !inPrice)
      .map((charge) => sheetCharge(evaluation, charge)),
    customs: customsOf(
      evaluation,
      lines.map(({ id }) => id),
    ),
    totals: {
      goods: text(landed.goods),
      onTop: text(landed.onTop),
      landed: text(landed.landed),
      expense: text(landed.expense),
      recovered: text(landed.recovered),
    },
    missing: [...new Set(landed.landed.gaps.map(gapSentence))],
    workings: numberedGroups([
      { heading: 'Workings', figures: lines.map(({ id }) => evaluation.read(landedLine, id).perUnit) },
    ]),
  };
}

function sheetLine(evaluation: Evaluation, line: RowOf<'shipmentLine'>): SheetLine {
  const figures = evaluation.read(landedLine, line.id);
  return {
    id: line.id,
    material: lineName(evaluation.sheet, line),
    quantity: text(evaluation.read(lineMeasures, line.id).quantity),
    unit: line.unit,
    price: line.price,
    goods: text(figures.goods),
    onTop: text(figures.onTop),
    landed: text(figures.landed),
    perUnit: text(figures.perUnit),
  };
}

function sheetCharge(evaluation: Evaluation, charge: RowOf<'shipmentCharge'>): SheetCharge {
  const { currency } = evaluation.sheet.settings();
  const { amount, inItsCurrency } = evaluation.read(chargeAmount, charge.id);
  const shares = evaluation.read(chargeShares, charge.id);
  const borne = bearingLines(evaluation.sheet, charge);
  return {
    label: chargeName(charge),
    currency: charge.currency,
    amount: text(inItsCurrency),
    rate: charge.currency === currency ? '1' : rateOf(amount, inItsCurrency),
    inBookCurrency: text(amount),
    basis: charge.basis,
    treatment: charge.treatment,
    isBilled: charge.billed !== null,
    bases: Object.fromEntries(borne.map(({ id }) => [id, text(shares[id]?.parts[1])])),
    shares: Object.fromEntries(borne.map(({ id }) => [id, text(shares[id])])),
  };
}

/** What one unit of the currency of a charge has come to: with payments ahead it is no single rate of a day. */
function rateOf(inBook: Figure, own: Figure): string | null {
  const before = inBook.operation === 'round' ? inBook.parts[0] : inBook;
  if (before?.amount == null || own.amount === null || own.amount.isZero()) return null;
  return before.amount.div(own.amount).toFixed();
}

function customsOf(evaluation: Evaluation, lineIds: readonly string[]): SheetCustoms[] {
  const found = new Map<string, { treatment: ChargeTreatment; shares: Record<string, string | null> }>();
  for (const id of lineIds)
    for (const part of evaluation.read(landedLine, id).parts) {
      if (part.chargeId !== null) continue;
      const known = found.get(part.label) ?? { treatment: part.treatment, shares: {} };
      known.shares[id] = text(part.figure);
      found.set(part.label, known);
    }
  return [...found].map(([label, { treatment, shares }]) => ({
    label: CHARGE_WORDS[label as keyof typeof CHARGE_WORDS] ?? label,
    treatment,
    shares,
  }));
}
