import { fieldValue, labelOfKind, nameKey, type RowOf, UNIQUELY_NAMED } from '@nuvar/book';
import { addMonths } from '../../calendar/index.js';
import { fullCost } from '../../costing/index.js';
import { type Figure, type Gap, gapSentence, type Place } from '../../figure/index.js';
import { hasEnding, minorUnit } from '../../money/index.js';
import { compared, type Decimal, decimal } from '../../number/index.js';
import { plannedUnits, productsUsing } from '../../production/index.js';
import {
  conversionConflicts,
  type ConvertedItem,
  inputTax,
  landedShipment,
  linesOf,
  materialPrice,
  ownConversions,
  pricesOnTheDay,
  stockedMaterials,
  stockOnHand,
} from '../../purchasing/index.js';
import { unitWord } from '../../quantity/index.js';
import { netRealisable, pricePoint, setPrice } from '../../selling/index.js';
import { dayIn, type Evaluation, numberIn } from '../../sheet/index.js';
import { farMoreGoesIn } from '../purchasing/far-more-goes-in.js';
import type { Add, AddGaps, LooseEnd } from './loose-end.js';
import { channelEnds } from '../selling/channel-ends.js';
import { overheadEnds, runEnds } from '../overhead/overhead-ends.js';
import { planningEnds } from '../planning/planning-ends.js';

/** The loose ends of a book, those first that touch the most products; among equals in the order in which they were met. */
export function looseEndsView(evaluation: Evaluation): LooseEnd[] {
  const found = new Map<string, { code: string; sentence: string; place: Place | null; affects: Set<string> }>();
  const add = (code: string, sentence: string, place: Place | null, affects: readonly string[]) => {
    const key = `${code}|${place?.id ?? sentence}|${place?.field ?? ''}`;
    const known = found.get(key);
    if (known === undefined) found.set(key, { code, sentence, place, affects: new Set(affects) });
    else affects.forEach((id) => known.affects.add(id));
  };
  const addGaps = (gaps: readonly Gap[], affects: readonly string[]) => {
    for (const gap of gaps) if (!gap.stated) add(gap.code, sentenceCase(gapSentence(gap)), gap.place, affects);
  };
  nameEnds(evaluation, add);
  productEnds(evaluation, add, addGaps);
  materialEnds(evaluation, add, addGaps);
  shipmentEnds(evaluation, addGaps);
  stockEnds(evaluation, add);
  channelEnds(evaluation, add);
  overheadEnds(evaluation, add, addGaps);
  runEnds(evaluation, add, addGaps);
  planningEnds(evaluation, addGaps);
  return [...found.values()]
    .map((end) => ({ ...end, affects: [...end.affects] }))
    .sort((one, other) => other.affects.length - one.affects.length);
}

function productEnds(evaluation: Evaluation, add: Add, addGaps: AddGaps): void {
  const { sheet } = evaluation;
  for (const product of sheet.all('product').filter(({ archived, quoted }) => !archived && !quoted)) {
    addGaps(evaluation.read(fullCost, product.id).fullCost.gaps, [product.id]);
    conflictEnds(evaluation, add, { kind: 'product', id: product.id, name: product.name });
    proportionEnd(evaluation, add, product);
    const points = sheet.rowsOf('pricePoint', 'productId', product.id);
    // What others use need not be sold, nor be planned to be.
    const isComponent = sheet.rowsOf('billLine', 'componentId', product.id).length > 0;
    if (!isComponent) addGaps(plannedUnits(sheet, product.id).gaps, [product.id]);
    const isUnplaced = sheet
      .rowsOf('plannedVolume', 'productId', product.id)
      .some((row) => row.channelId === null && row.unitsPerMonth !== null);
    if (points.length > 1 && isUnplaced) plannedNowhere(add, product);
    if (points.length === 0 && !isComponent)
      add(
        'no-selling-price',
        `No price set yet for ${product.name}`,
        { kind: 'pricePoint', id: product.id, field: 'price' },
        [product.id],
      );
    for (const point of points) priceEnds(evaluation, add, addGaps, product, point);
  }
}

function plannedNowhere(add: Add, { id, name }: RowOf<'product'>): void {
  add(
    'planned-nowhere',
    `It is not said in which channel the planned units of ${name} are sold`,
    { kind: 'product', id, field: 'plannedUnits' },
    [id],
  );
}

function priceEnds(
  evaluation: Evaluation,
  add: Add,
  addGaps: AddGaps,
  product: RowOf<'product'>,
  point: RowOf<'pricePoint'>,
): void {
  const { sheet } = evaluation;
  const sale = evaluation.read(pricePoint, point.id);
  const channel = sheet.row('channel', point.channelId)?.name ?? 'a channel';
  const set = evaluation.read(setPrice, point.id);
  addGaps(set.price.gaps, [product.id]);
  addGaps(set.afterFees.gaps, [product.id]);
  const place = { kind: 'pricePoint', id: point.id, field: 'price' } as const;
  if (point.taxPercent !== null && Number(point.taxPercent) > 0 && !sheet.read(inputTax, sheet.asOf).isRegistered)
    add(
      'tax-without-registration',
      `${product.name} in ${channel} has a sales tax, but the business is not registered: none is charged`,
      { ...place, field: 'taxPercent' },
      [product.id],
    );
  if (!hasEnding(point.ending, minorUnit(sheet.settings().currency)))
    add(
      'ending-not-in-currency',
      `No price in ${sheet.settings().currency} can end in "${point.ending}", so the price of ${product.name} is suggested without it`,
      { ...place, field: 'ending' },
      [product.id],
    );
  if (sale.contribution.amount?.isNegative())
    add(
      'below-contribution-floor',
      `Each sale of ${product.name} in ${channel} loses money: its price is below the variable cost`,
      place,
      [product.id],
    );
  else if (sale.profit.amount?.isNegative())
    add('below-profit-floor', `The price of ${product.name} in ${channel} does not cover its overheads`, place, [
      product.id,
    ]);
}

/** Rows of an older book that bear the same name, by the way in which names are compared today. */
function nameEnds({ sheet }: Evaluation, add: Add): void {
  for (const kind of UNIQUELY_NAMED) {
    const first = new Map<string, string>();
    for (const { id, ...row } of sheet.all(kind)) {
      const name = fieldValue(row, 'name') as string;
      const namesake = first.get(nameKey(name));
      if (namesake === undefined) first.set(nameKey(name), name);
      else
        add(
          'same-name',
          `Two rows have the same name (${labelOfKind(kind)}): "${namesake}" and "${name}"; rename one of them`,
          { kind, id, field: 'name' },
          [],
        );
    }
  }
}

/** Quantities of a batch that were stated per unit. */
function proportionEnd(evaluation: Evaluation, add: Add, product: RowOf<'product'>): void {
  const perUnit = farMoreGoesIn(evaluation, product);
  if (perUnit === null) return;
  const word = unitWord(product.outputUnit);
  add(
    'far-more-goes-in',
    `${numberIn(evaluation.sheet, perUnit.toSignificantDigits(3).toFixed())} ${word} go into one ${word} of ${product.name}: are these the quantities of a batch?`,
    { kind: 'product', id: product.id, field: 'batchSize' },
    [product.id],
  );
}

/** Two conversions of an item that do not agree: both are said, for only its owner knows which is right. */
function conflictEnds({ sheet }: Evaluation, add: Add, item: ConvertedItem): void {
  for (const { conversion, stated, otherwise } of conversionConflicts(ownConversions(sheet, item))) {
    const say = (amount: Decimal) =>
      `${numberIn(sheet, amount.toSignificantDigits(4).toFixed())} ${unitWord(conversion.equalUnit)}`;
    const sentence = `One ${unitWord(conversion.unit)} of ${item.name} is stated as ${say(stated)}, but its other conversions make it ${say(otherwise)}`;
    const affects = item.kind === 'product' ? [item.id] : productsUsing(sheet, item.id).map((each) => each.id);
    add(
      'conversions-disagree',
      sentence,
      { kind: 'itemConversion', id: conversion.id, field: 'equalQuantity' },
      affects,
    );
  }
}

function materialEnds(evaluation: Evaluation, add: Add, addGaps: AddGaps): void {
  const { sheet } = evaluation;
  const aYearAgo = addMonths(sheet.asOf, -12);
  for (const material of sheet.all('material')) {
    if (material.archived) continue;
    addGaps(evaluation.read(materialPrice, material.id).perBaseUnit.gaps, []);
    conflictEnds(evaluation, add, { kind: 'material', id: material.id, name: material.name });
    const price = pricesOnTheDay(sheet, material)[0];
    if (price === undefined || price.validFrom >= aYearAgo) continue;
    const place = { kind: 'supplierPrice', id: price.id, field: 'validFrom' } as const;
    add(
      'price-over-a-year-old',
      `The price of ${material.name} is from ${dayIn(sheet, price.validFrom)}, more than a year ago`,
      place,
      productsUsing(sheet, material.id).map((each) => each.id),
    );
  }
}

/** What the landed cost of shipments lacks; a settled one is done with. */
function shipmentEnds(evaluation: Evaluation, addGaps: AddGaps): void {
  const { sheet } = evaluation;
  for (const { id, state } of sheet.all('shipment')) {
    if (state === 'settled') continue;
    const products = new Set(
      linesOf(sheet, id).flatMap(({ materialId }) => productsUsing(sheet, materialId).map((each) => each.id)),
    );
    const { landed, exchangeDifference } = evaluation.read(landedShipment, id);
    addGaps(landed.gaps, [...products]);
    addGaps(exchangeDifference?.gaps ?? [], []);
  }
}

/** Stock that has come down to the level at which it is ordered again. */
function reorderEnd(sheet: Evaluation['sheet'], materialId: string, quantity: Figure | null, add: Add): void {
  const material = sheet.row('material', materialId);
  if (material?.reorderLevel == null || quantity?.amount == null) return;
  if (compared(quantity.amount, decimal(material.reorderLevel)) > 0) return;
  const left = `${numberIn(sheet, quantity.amount.toDecimalPlaces(4).toFixed())} ${unitWord(material.baseUnit)}`;
  const place = { kind: 'material', id: materialId, field: 'reorderLevel' } as const;
  const affects = productsUsing(sheet, materialId).map((each) => each.id);
  add('below-reorder-level', `Time to order ${material.name}: ${left} are left`, place, affects);
}

/** Stock below zero, and stock that is worth more in the ledger than it brings. */
function stockEnds(evaluation: Evaluation, add: Add): void {
  const { sheet } = evaluation;
  for (const { id, name, baseUnit } of stockedMaterials(sheet)) {
    const place = { kind: 'stockPosition', id, field: 'quantity' } as const;
    const say = (amount: Decimal, word: string) =>
      `${numberIn(sheet, amount.abs().toDecimalPlaces(4).toFixed())} ${word}`;
    const { quantity } = evaluation.read(stockOnHand, id);
    if (quantity?.amount?.isNegative()) {
      const short = say(quantity.amount, unitWord(baseUnit));
      add('stock-below-zero', `More ${name} went out than ever came in: ${short} are missing`, place, []);
    }
    reorderEnd(sheet, id, quantity, add);
    const { writeDown, products, isForResale } = evaluation.read(netRealisable, id);
    if (writeDown?.amount == null) continue;
    const much = say(writeDown.amount.toDecimalPlaces(2), sheet.settings().currency);
    const why = isForResale
      ? 'it sells for less than it cost'
      : 'what it goes into sells below cost, and buying it again would cost less';
    add('stock-above-value', `The stock of ${name} is worth ${much} more than it brings: ${why}`, place, products);
  }
}

function sentenceCase(sentence: string): string {
  return sentence.charAt(0).toUpperCase() + sentence.slice(1);
}
