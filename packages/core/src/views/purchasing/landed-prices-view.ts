import type { RowOf } from '@nuvar/book';
import { type Figure, gapSentence } from '../../figure/index.js';
import { type Decimal, ZERO } from '../../number/index.js';
import { convertedFor, landedLine, lineMeasures, linesOf } from '../../purchasing/index.js';
import type { Evaluation, Sheet } from '../../sheet/index.js';

/** What a shipment says of a material, over all its lines of it, as it is stored: a price for so much, and what came on top. */
export interface LandedPriceView {
  readonly materialId: string;
  /** All that came of it, in its base unit, free goods included. */
  readonly packQuantity: string;
  readonly packUnit: string;
  /** For all of that together. */
  readonly price: string;
  readonly currency: string;
  readonly taxPercent: string | null;
  /** Per base unit of the material, in the currency of the book. */
  readonly addOn: string;
}

/** The prices to plan by that a shipment gives, or what its landed cost still lacks. */
export interface LandedPricesView {
  readonly prices: readonly LandedPriceView[];
  /** Sentences; none where every price is whole. */
  readonly missing: readonly string[];
}

/** A division leaves noise beyond these. */
const STORED_PRICE_DECIMALS = 12;
const storedText = (amount: Decimal) => amount.toDecimalPlaces(STORED_PRICE_DECIMALS).toFixed();

/**
 * What a shipment says of its materials: the lines of one material together, so that free goods make it cheaper. The price is
 * in the buying currency, to follow its rate; where the shipment has a rate of its own or payments ahead, or its lines bear
 * different taxes, it is what the goods cost in the currency of the book. A material whose lines cost less than nothing is left out.
 */
export function landedPricesView(evaluation: Evaluation, shipmentId: string): LandedPricesView {
  const { sheet } = evaluation;
  const lines = linesOf(sheet, shipmentId);
  const found = [...new Set(lines.map(({ materialId }) => materialId))].map((materialId) =>
    landedPrice(
      evaluation,
      materialId,
      lines.filter((line) => line.materialId === materialId),
    ),
  );
  return {
    prices: found.flatMap((each) => ('price' in each ? each : [])),
    missing: [...new Set(found.flatMap((each) => ('missing' in each ? each.missing : [])))],
  };
}

function landedPrice(
  evaluation: Evaluation,
  materialId: string,
  lines: readonly RowOf<'shipmentLine'>[],
): LandedPriceView | { readonly missing: readonly string[] } {
  const { sheet, read } = evaluation;
  const material = sheet.row('material', materialId);
  if (material === undefined) return { missing: [] };
  const item = { kind: 'material', id: materialId, name: material.name } as const;
  const inBase = lines.flatMap((line) => {
    const { quantity } = read(lineMeasures, line.id);
    return convertedFor(sheet, item, quantity, line.unit, material.baseUnit) ?? [];
  });
  if (inBase.length < lines.length) return { missing: [`the unit of ${material.name} cannot be converted`] };
  const { goods, ...stated } = goodsOf(evaluation, lines);
  const onTop = lines.map(({ id }) => read(landedLine, id).onTop);
  const gaps = [...inBase, ...goods, ...onTop].flatMap((figure) => figure.gaps);
  if (gaps.length > 0) return { missing: gaps.map(gapSentence) };
  const [quantity, price, added] = [inBase, goods, onTop].map(total) as [Decimal, Decimal, Decimal];
  if (quantity.lte(ZERO) || price.isNegative() || added.isNegative()) return { missing: [] };
  return {
    materialId,
    packQuantity: storedText(quantity),
    packUnit: material.baseUnit,
    price: storedText(price),
    ...stated,
    addOn: storedText(added.div(quantity)),
  };
}

const total = (parts: readonly Figure[]): Decimal => parts.reduce((sum, { amount }) => sum.plus(amount ?? ZERO), ZERO);

/** What lines cost at the seller, and in which currency and with which tax on top that is stated. */
function goodsOf(
  { sheet, read }: Evaluation,
  lines: readonly RowOf<'shipmentLine'>[],
): { readonly goods: readonly Figure[] } & Pick<LandedPriceView, 'currency' | 'taxPercent'> {
  const shipment = sheet.row('shipment', lines[0]?.shipmentId ?? '');
  const { currency: ofBook } = sheet.settings();
  const taxes = new Set(lines.map(({ taxPercent }) => taxPercent));
  const isForeign = shipment !== undefined && shipment.currency !== ofBook;
  if (shipment === undefined || taxes.size > 1 || (isForeign && isAtOwnRate(sheet, shipment)))
    return { goods: lines.map(({ id }) => read(landedLine, id).goods), currency: ofBook, taxPercent: null };
  return {
    goods: lines.map(({ id }) => read(lineMeasures, id).value),
    currency: shipment.currency,
    taxPercent: lines[0]?.taxPercent ?? null,
  };
}

/** True where the goods of a shipment do not cost what the rates of the book say. */
const isAtOwnRate = (sheet: Sheet, shipment: RowOf<'shipment'>): boolean =>
  shipment.rate !== null ||
  sheet
    .rowsOf('shipmentPayment', 'shipmentId', shipment.id)
    .some(({ chargeId, timing }) => chargeId === null && timing === 'ahead');
