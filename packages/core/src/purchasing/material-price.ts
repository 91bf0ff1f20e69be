import type { RowOf } from '@nuvar/book';
import { addMonths } from '../calendar/index.js';
import { money } from '../evaluate/units.js';
import type { Calculation, Sheet } from '../evaluate/calculation.js';
import { choice, constant, gap, largest, missing, percentOf, quotient, sum, type Figure } from '../figure/index.js';
import { NUMBER, PERCENT, unit } from '../quantity/index.js';
import { listedPrice, validPrices } from './listed-price.js';

const NAME = 'Price per base unit';
const THE_PRICE = constant('The price itself', '100', PERCENT, 'definition');

/** What is bought, as those who use it need to know it. */
export interface PurchasedItem {
  readonly name: string;
  /** The unit to which quantities of it are brought. */
  readonly unit: string;
  readonly isPackaging: boolean;
}

/**
 * The planning price of a material per base unit, in the book's currency, unrounded: by the basis of the material, else
 * of the book, and with its buffer: price x (1 + buffer %).
 *
 * - latest: the newest price that is valid on the day (ties: the cheaper)
 * - highest: the highest of the last so many months; the price in force when they begin counts too
 * - average: the mean of the same prices
 *
 * Prices that are not known yet are left out where others are known. Gap: no price at all.
 */
export const materialPrice: Calculation<{ perBaseUnit: Figure; item: PurchasedItem | null }> = {
  name: 'materialPrice',
  meanings: { perBaseUnit: 'What one base unit of the material is planned to cost.' },
  work(sheet, materialId) {
    const material = sheet.row('material', materialId);
    const subject = material?.name ?? 'this material';
    const leaf = { name: NAME, subject, unit: money(sheet).per(unit(material?.baseUnit ?? 'each')) };
    if (material === undefined)
      return { perBaseUnit: missing(leaf, gap('row-missing', null, { subject })), item: null };
    const item = { name: material.name, unit: material.baseUnit, isPackaging: material.kind === 'packaging' };
    const prices = validPrices(sheet, materialId);
    const reason = () => gap('no-price', { kind: 'material', id: materialId, field: 'price' }, { subject });
    const planned = prices.length === 0 ? missing(leaf, reason()) : byBasis(sheet, material, prices);
    return { perBaseUnit: withBuffer(sheet, material, planned), item };
  },
};

function byBasis(sheet: Sheet, material: RowOf<'material'>, prices: readonly RowOf<'supplierPrice'>[]): Figure {
  const settings = sheet.settings();
  const basis = material.planningBasis ?? settings.planningBasis;
  const figureOf = (price: RowOf<'supplierPrice'>) => sheet.read(listedPrice, price.id).perBaseUnit;
  const latest = figureOf(prices[0] as RowOf<'supplierPrice'>);
  if (basis === 'latest') return latest;
  const months = material.planningMonths ?? settings.planningMonths;
  const opens = addMonths(sheet.asOf, -months);
  const within = [
    ...prices.filter((price) => price.validFrom > opens),
    ...prices.filter((price) => price.validFrom <= opens).slice(0, 1),
  ];
  const known = within.map(figureOf).filter((figure) => figure.amount !== null);
  if (known.length === 0) return latest;
  const called = { name: NAME, subject: material.name };
  const span = `of ${known.length} ${known.length === 1 ? 'price' : 'prices'} in the ${months} months to ${sheet.asOf}`;
  if (basis === 'highest') return largest(called, known, `the highest ${span}`);
  const count = constant('Prices', String(known.length), NUMBER, 'counted');
  const total = sum({ name: 'Prices together', subject: material.name }, latest.unit, known);
  return choice(
    called,
    quotient({ name: 'Average price', subject: material.name }, total, count),
    `the average ${span}`,
  );
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
    { name: NAME, subject: material.name },
    sum('Price with buffer', PERCENT, [THE_PRICE, buffer]),
    price,
  );
}
