import type { PlanningBasis, RowOf } from '@nuvar/book';
import { addMonths } from '../calendar/index.js';
import {
  choice,
  constant,
  type Figure,
  largest,
  missing,
  multiplied,
  ofMissingRow,
  percentOf,
  quotient,
  sum,
} from '../figure/index.js';
import { NUMBER, PERCENT, unit } from '../quantity/index.js';
import { type Calculation, dayIn, money, type Sheet } from '../sheet/index.js';
import { purchasingGap } from './gaps.js';
import { standardPriceOn, standardPriceRow } from './stock/standard-price.js';
import { stockOnHand } from './stock/stock-on-hand.js';
import { listedPrice } from './listed-price.js';
import { inForcePerSupplier, pricesOnTheDay } from './price-in-force.js';

const NAME = 'Price per base unit';
const THE_PRICE = constant('The price itself', '100', PERCENT, 'definition');

/** The planning price of a material per base unit. */
export interface MaterialPrice {
  readonly perBaseUnit: Figure;
  /** The part of it that suppliers are paid, and what it costs to get the material here; null where nothing is said of that. */
  readonly listed: Figure;
  readonly landed: Figure | null;
}

/**
 * The planning price of a material per base unit, in the book's currency, unrounded: by the basis of the material, else
 * of the book: (listed price + landed add-on) x (1 + buffer %).
 *
 * - latest: the newest price that is valid on the day (ties: the cheaper)
 * - highest: the highest of the last so many months; the price of each supplier in force when they begin counts too
 * - average: the mean of the same prices, weighted by what was ordered where that is known of all of them
 * - average of stock: the moving average of its stock ledger; first in, first out: the oldest layer; both hold landed cost
 * - standard: the newest standard price; it has no landed add-on
 *
 * Where the preferred supplier has prices, only these are looked at, and the working says so. Of two prices of one
 * supplier from one day the later entered counts. Prices that are not known yet are left out where others are known. Gaps: no price at all, no standard price.
 */
export const materialPrice: Calculation<MaterialPrice> = {
  name: 'materialPrice',
  meanings: {
    perBaseUnit: 'What one base unit of the material is planned to cost.',
    listed: 'What one base unit of the material is planned to cost before the landed add-on.',
    landed: 'What it costs to bring one base unit of the material here (landed add-on).',
  },
  work(sheet, materialId) {
    const material = sheet.row('material', materialId);
    const subject = material?.name ?? 'this material';
    const leaf = { name: NAME, subject, unit: money(sheet).per(unit(material?.baseUnit ?? 'each')) };
    if (material === undefined) {
      const perBaseUnit = ofMissingRow(leaf, subject);
      return { perBaseUnit, listed: perBaseUnit, landed: null };
    }
    const planned = plannedPrice(sheet, material);
    const landed = holdsLandedCost(sheet, material) ? null : landedAddOn(sheet, material, planned);
    if (landed === null) {
      const perBaseUnit = withBuffer(sheet, material, planned);
      return { perBaseUnit, listed: perBaseUnit, landed: null };
    }
    const [listed, added] = [withBuffer(sheet, material, planned), withBuffer(sheet, material, landed)];
    const perBaseUnit = sum({ name: NAME, subject }, leaf.unit, [listed, added]);
    return { perBaseUnit, listed, landed: added };
  },
};

/** What buying a material again would cost, per base unit: the newest listed price and the landed add-on. */
export function replacementCost(sheet: Sheet, material: RowOf<'material'>): Figure {
  const called = { name: 'Replacement cost', subject: material.name };
  const newest = byListedPrices(sheet, material, 'latest');
  const landed = newest.amount === null ? null : landedAddOn(sheet, material, newest);
  return landed === null ? newest : sum(called, newest.unit, [newest, landed]);
}

const basisOf = (sheet: Sheet, material: RowOf<'material'>): PlanningBasis =>
  material.planningBasis ?? sheet.settings().planningBasis;

/** The price by the basis of the material, else of the book, without landed add-on and buffer. */
function plannedPrice(sheet: Sheet, material: RowOf<'material'>): Figure {
  const basis = basisOf(sheet, material);
  if (basis === 'standard') return standardPrice(sheet, material);
  if (basis === 'average of stock' || basis === 'first in, first out') return byStock(sheet, material, basis);
  return byListedPrices(sheet, material, basis);
}

/** True where the price holds landed cost already: a standard price, and what a ledger says that stock cost. */
function holdsLandedCost(sheet: Sheet, material: RowOf<'material'>): boolean {
  const basis = basisOf(sheet, material);
  const isOfStock = basis === 'average of stock' || basis === 'first in, first out';
  return basis === 'standard' || (isOfStock && sheet.read(stockOnHand, material.id).average !== null);
}

function standardPrice(sheet: Sheet, material: RowOf<'material'>): Figure {
  const set = standardPriceOn(sheet, material, sheet.asOf);
  const row = standardPriceRow(sheet, material.id, sheet.asOf);
  if (row === undefined) return set;
  const because = `the standard price from ${dayIn(sheet, row.validFrom)}`;
  return choice({ name: NAME, subject: material.name }, set, because);
}

/** By what is in stock; before anything was, and where nothing is known of it, by the newest price. */
function byStock(sheet: Sheet, material: RowOf<'material'>, basis: 'average of stock' | 'first in, first out'): Figure {
  const { average, oldest } = sheet.read(stockOnHand, material.id);
  const figure = basis === 'average of stock' ? average : oldest;
  const called = { name: NAME, subject: material.name };
  if (figure === null) {
    const newest = byListedPrices(sheet, material, 'latest');
    return newest.amount === null ? newest : choice(called, newest, 'nothing in stock yet: the newest price');
  }
  const because =
    basis === 'average of stock' ? 'the moving average of what is in stock' : 'the oldest of what is in stock';
  return choice(called, figure, because);
}

function byListedPrices(sheet: Sheet, material: RowOf<'material'>, basis: PlanningBasis): Figure {
  const prices = pricesOnTheDay(sheet, material);
  const called = { name: NAME, subject: material.name };
  const [newest] = prices;
  if (newest === undefined) {
    const leaf = { ...called, unit: money(sheet).per(unit(material.baseUnit)) };
    const place = { kind: 'material', id: material.id, field: 'price' } as const;
    return missing(leaf, purchasingGap('no-price', place, { subject: material.name }));
  }
  const latest = () =>
    choice(called, sheet.read(listedPrice, newest.id).perBaseUnit, `the newest price, ${fromWhom(sheet, newest)}`);
  if (basis === 'latest') return latest();
  const months = material.planningMonths ?? sheet.settings().planningMonths;
  const known = pricesOfPeriod(sheet, prices, months);
  if (known.length === 0) return latest();
  const ofWhom = isOfPreferred(material, newest) ? ` of ${supplierName(sheet, newest)}` : '';
  const span = `of ${known.length} ${known.length === 1 ? 'price' : 'prices'}${ofWhom} in the ${months} months to ${dayIn(sheet, sheet.asOf)}`;
  if (basis === 'average') return averagePrice(sheet, material, known, span);
  return largest(
    called,
    known.map(({ id }) => sheet.read(listedPrice, id).perBaseUnit),
    `the highest ${span}`,
  );
}

/** The prices of the last so many months that are known, and of each supplier the one in force when they begin. */
function pricesOfPeriod(
  sheet: Sheet,
  prices: readonly RowOf<'supplierPrice'>[],
  months: number,
): RowOf<'supplierPrice'>[] {
  const opens = addMonths(sheet.asOf, -months);
  return [...prices.filter((price) => price.validFrom > opens), ...inForcePerSupplier(prices, opens)].filter(
    ({ id }) => sheet.read(listedPrice, id).perBaseUnit.amount !== null,
  );
}

const isOfPreferred = (material: RowOf<'material'>, price: RowOf<'supplierPrice'>) =>
  price.supplierId !== null && price.supplierId === material.preferredSupplierId;

const supplierName = (sheet: Sheet, { supplierId }: RowOf<'supplierPrice'>) =>
  supplierId === null ? '' : (sheet.row('supplier', supplierId)?.name ?? '');

function fromWhom(sheet: Sheet, price: RowOf<'supplierPrice'>): string {
  const name = supplierName(sheet, price);
  const day = dayIn(sheet, price.validFrom);
  return name === '' ? `from ${day}` : `from ${name}, ${day}`;
}

/** The mean of prices; where it is known of all how much was ordered, each weighs as much as was ordered at it. */
function averagePrice(
  sheet: Sheet,
  { name: subject }: RowOf<'material'>,
  prices: readonly RowOf<'supplierPrice'>[],
  span: string,
): Figure {
  const listed = prices.map(({ id }) => sheet.read(listedPrice, id));
  const figures = listed.map(({ perBaseUnit }) => perBaseUnit);
  const [first] = figures as [Figure];
  const average = { name: 'Average price', subject };
  if (prices.some(({ orderedPacks }) => orderedPacks === null)) {
    const count = constant('Prices', String(prices.length), NUMBER, 'counted');
    const together = sum({ name: 'Prices together', subject }, first.unit, figures);
    return choice({ name: NAME, subject }, quotient(average, together, count), `the average ${span}`);
  }
  const ordered = prices.map((price, index) => {
    const packs = sheet.input('supplierPrice', price, 'orderedPacks', { name: 'Packs ordered', subject, unit: NUMBER });
    return multiplied({ name: 'Ordered', subject }, packs, listed[index]?.pack as Figure);
  });
  const paid = ordered.map((quantity, index) =>
    multiplied({ name: 'Paid', subject }, quantity, figures[index] as Figure),
  );
  const [quantity] = ordered as [Figure];
  const weighted = quotient(
    average,
    sum({ name: 'Paid together', subject }, (paid as [Figure])[0].unit, paid),
    sum({ name: 'Ordered together', subject }, quantity.unit, ordered),
  );
  return choice({ name: NAME, subject }, weighted, `the average ${span}, weighted by what was ordered`);
}

/** What it costs to get a base unit here: a percentage of its listed price, or an amount; null where nothing is said. */
function landedAddOn(sheet: Sheet, material: RowOf<'material'>, listed: Figure): Figure | null {
  if (material.landedAddOn === null) return null;
  const called = { name: 'Landed add-on', subject: material.name };
  if (material.landedAddOnBasis === 'amount per base unit')
    return sheet.input('material', material, 'landedAddOn', { ...called, unit: listed.unit });
  return percentOf(called, sheet.input('material', material, 'landedAddOn', { ...called, unit: PERCENT }), listed);
}

function withBuffer(sheet: Sheet, material: RowOf<'material'>, price: Figure): Figure {
  const settings = sheet.settings();
  if ((material.bufferPercent ?? settings.bufferPercent) === '0') return price;
  const leaf = { name: 'Buffer', subject: material.name, unit: PERCENT };
  const buffer =
    material.bufferPercent === null
      ? sheet.input('settings', settings, 'bufferPercent', { ...leaf, subject: 'the book' })
      : sheet.input('material', material, 'bufferPercent', leaf);
  return percentOf(
    { name: `${price.name} with buffer`, subject: material.name },
    sum('Price with buffer', PERCENT, [THE_PRICE, buffer]),
    price,
  );
}
