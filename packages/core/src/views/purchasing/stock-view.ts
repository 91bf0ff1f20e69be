import { type Figure, isWhole } from '../../figure/index.js';
import { compared, ZERO } from '../../number/index.js';
import {
  linesOf,
  PERIOD_METHODS,
  type PeriodMethod,
  lateChargeSplit,
  receiptDue,
  receiptToPost,
  receivedLine,
  stockOnHand,
  stockEntry,
  stockMethod,
  stockPeriod,
  type MethodOfPeriod,
  type PeriodEntry,
  stockTotal,
} from '../../purchasing/index.js';
import { netRealisable } from '../../selling/index.js';
import { type Calculation, type Evaluation, WHOLE_BOOK } from '../../sheet/index.js';
import { type FigureView, shown, shownAll } from '../general/figure-view.js';

/** What is in stock of a material, and what it is worth. */
export interface StockRowView {
  readonly quantity: FigureView;
  readonly value: FigureView;
  readonly perBaseUnit: FigureView | null;
  readonly average: FigureView | null;
  readonly oldest: FigureView | null;
  /** What a base unit is written down to, and whether these are goods for resale. */
  readonly writtenDownTo: FigureView | null;
  readonly isForResale: boolean;
  readonly writeDown: FigureView | null;
  readonly isBelowZero: boolean;
}

/** The stock of a material; null where nothing of it was ever moved. */
export function stockRowView(evaluation: Evaluation, materialId: string): StockRowView | null {
  const found = evaluation.read(stockOnHand, materialId);
  const { writtenDownTo, writeDown, isForResale } = evaluation.read(netRealisable, materialId);
  if (found.quantity === null) return null;
  const some = (member: 'perBaseUnit' | 'average' | 'oldest') =>
    found[member] && shown(evaluation, stockOnHand, materialId, member);
  return {
    quantity: shown(evaluation, stockOnHand, materialId, 'quantity') as FigureView,
    value: shown(evaluation, stockOnHand, materialId, 'value') as FigureView,
    perBaseUnit: some('perBaseUnit'),
    average: some('average'),
    oldest: some('oldest'),
    writtenDownTo: writtenDownTo && shown(evaluation, netRealisable, materialId, 'writtenDownTo'),
    isForResale,
    writeDown: writeDown && shown(evaluation, netRealisable, materialId, 'writeDown'),
    isBelowZero: found.quantity.amount?.isNegative() ?? false,
  };
}

/** What all stock of a book is worth. */
export const stockTotalView = (evaluation: Evaluation): FigureView =>
  shown(evaluation, stockTotal, WHOLE_BOOK, 'value');

/** A movement with what there is after it. */
export interface StockEntryView extends Readonly<
  Record<'quantity' | 'value' | 'quantityAfter' | 'valueAfter', FigureView>
> {
  readonly movementId: string;
  readonly truedUp: FigureView | null;
  readonly perUnitAfter: FigureView | null;
}

export interface StockMethodView extends Readonly<Record<'opening' | 'received' | 'used' | 'closing', FigureView>> {
  readonly method: PeriodMethod;
  readonly perUnit: FigureView | null;
  /** No use: null where there is nothing of it. */
  readonly toSupplier: FigureView | null;
  readonly writtenOff: FigureView | null;
  readonly priceVariance: FigureView | null;
  readonly revaluation: FigureView | null;
}

export interface StockPeriodView {
  readonly entries: readonly StockEntryView[];
  readonly openingQuantity: FigureView;
  readonly openingValue: FigureView;
  readonly methods: readonly StockMethodView[];
}

/** The ledger of a material over a period, and what each method of valuation makes of it: "material@from@to@begun". */
export function stockPeriodView(evaluation: Evaluation, id: string): StockPeriodView {
  const { entries, methods } = evaluation.read(stockPeriod, id);
  return {
    ...shownAll(evaluation, stockPeriod, id, ['openingQuantity', 'openingValue']),
    entries: entries.map(({ movementId, truedUp, perUnitAfter }): StockEntryView => {
      const entry = (member: Exclude<keyof StockEntryView, 'movementId'>) =>
        shown(evaluation, stockEntry as Calculation<PeriodEntry>, `${id}@${movementId}`, member) as FigureView;
      return {
        movementId,
        quantity: entry('quantity'),
        value: entry('value'),
        quantityAfter: entry('quantityAfter'),
        valueAfter: entry('valueAfter'),
        truedUp: truedUp && entry('truedUp'),
        perUnitAfter: perUnitAfter && entry('perUnitAfter'),
      };
    }),
    methods:
      methods === null ? [] : PERIOD_METHODS.map((method) => methodView(evaluation, id, method, methods[method])),
  };
}

function methodView(evaluation: Evaluation, id: string, method: PeriodMethod, of: MethodOfPeriod): StockMethodView {
  const figure = (member: keyof MethodOfPeriod) =>
    shown(evaluation, stockMethod as Calculation<MethodOfPeriod>, `${id}@${method}`, member) as FigureView;
  return {
    method,
    opening: figure('opening'),
    received: figure('received'),
    used: figure('used'),
    toSupplier: of.toSupplier && figure('toSupplier'),
    writtenOff: of.writtenOff && figure('writtenOff'),
    closing: figure('closing'),
    perUnit: of.perUnit && figure('perUnit'),
    priceVariance: of.priceVariance && figure('priceVariance'),
    revaluation: of.revaluation && figure('revaluation'),
  };
}

/** How a late charge would be split if it were posted: "movement@day@begun". */
export const lateChargeView = (evaluation: Evaluation, id: string) =>
  shownAll(evaluation, lateChargeSplit, id, ['charge', 'toStock', 'toCostOfSales', 'stillInStock']);

/** How much of a line was received, and what of its cost is not posted yet. */
export interface ReceivedLineView extends Readonly<
  Record<'ordered' | 'settled' | 'toCome' | 'posted' | 'due' | 'notPosted', FigureView>
> {
  readonly lineId: string;
  /** As stored: what an empty field of a receipt proposes. */
  readonly left: string | null;
  readonly receipts: readonly ReceiptView[];
}

/** A receipt of a line: what was posted of it, and the late charge that would bring it up to date. */
export interface ReceiptView extends Readonly<Record<'posted' | 'notPosted', FigureView>> {
  readonly movementId: string;
  readonly date: string;
  /** As stored: the cost of the late charge; null where there is none, or it is not known. */
  readonly lateCharge: string | null;
}

/** What was received of a shipment, line by line. */
export function receivedView(evaluation: Evaluation, shipmentId: string): ReceivedLineView[] {
  const { sheet } = evaluation;
  return linesOf(sheet, shipmentId).map(({ id }) => {
    const { toCome } = evaluation.read(receivedLine, id);
    const receipts = sheet
      .rowsOf('stockMovement', 'lineId', id)
      .filter(({ type }) => type === 'receipt')
      .map(({ id: movementId, date }): ReceiptView => {
        const { notPosted } = evaluation.read(receiptDue, movementId);
        const isNone = notPosted.amount === null || notPosted.gaps.length > 0 || notPosted.amount.isZero();
        return {
          movementId,
          date,
          ...shownAll(evaluation, receiptDue, movementId, ['posted', 'notPosted']),
          lateCharge: isNone ? null : (notPosted.amount?.toFixed() ?? null),
        };
      });
    return {
      lineId: id,
      ...shownAll(evaluation, receivedLine, id, ['ordered', 'settled', 'toCome', 'posted', 'due', 'notPosted']),
      left: toCome.amount === null || toCome.amount.lte(0) ? null : toCome.amount.toDecimalPlaces(12).toFixed(),
      receipts,
    };
  });
}

/** What a receipt posts, as figures and as it will be stored. */
export interface ReceiptToPostView {
  readonly cost: FigureView;
  readonly perBaseUnit: FigureView | null;
  readonly lostCost: FigureView | null;
  readonly stored: {
    readonly quantity: string;
    /** Of the line, in its unit: what arrived and what was lost. */
    readonly ofLine: string;
    readonly cost: string;
    readonly lostQuantity: string | null;
    /** True where nothing of the line is to come after it. */
    readonly isLast: boolean;
  } | null;
}

/** Decimals that a row keeps. */
const STORED_DECIMALS = 12;

/** What a receipt of part of a line would post: "line@good@lost@abnormal", as `receiptToPost` reads it. */
export function receiptToPostView(evaluation: Evaluation, id: string): ReceiptToPostView {
  const { toCome } = evaluation.read(receivedLine, id.split('@')[0] ?? '');
  const { quantity, ofLine, cost, perBaseUnit, lostQuantity, lostCost } = evaluation.read(receiptToPost, id);
  return {
    cost: shown(evaluation, receiptToPost, id, 'cost'),
    perBaseUnit: perBaseUnit && shown(evaluation, receiptToPost, id, 'perBaseUnit'),
    lostCost: lostCost && shown(evaluation, receiptToPost, id, 'lostCost'),
    stored: quantity === null ? null : storedReceipt({ quantity, ofLine, cost }, lostQuantity, toCome),
  };
}

/** A receipt as it will be stored; null while something of it is not known. */
function storedReceipt(
  { quantity, ofLine, cost }: Readonly<Record<'quantity' | 'ofLine' | 'cost', Figure>>,
  lostQuantity: Figure | null,
  toCome: Figure,
): ReceiptToPostView['stored'] {
  if (![quantity, ofLine, cost].every(isWhole) || cost.amount?.isNegative()) return null;
  const text = ({ amount }: Figure) => (amount ?? ZERO).toDecimalPlaces(STORED_DECIMALS).toFixed();
  return {
    quantity: text(quantity),
    ofLine: text(ofLine),
    cost: text(cost),
    lostQuantity: lostQuantity && text(lostQuantity),
    isLast: toCome.amount !== null && ofLine.amount !== null && compared(ofLine.amount, toCome.amount) >= 0,
  };
}
