import type { RowOf } from '@nuvar/book';
import { monthNumber } from '../calendar/index.js';
import { choice, difference, type Figure, missing, multiplied, ofMissingRow, sum } from '../figure/index.js';
import { productOverhead } from '../overhead/index.js';
import { committedCost, plannedSales, plannedVolumeMonth, usedInOthers } from '../production/index.js';
import { unit } from '../quantity/index.js';
import { pricePoint, setPrice } from '../selling/index.js';
import { type Calculation, money, MONTH, type Sheet } from '../sheet/index.js';
import { planningGap } from './gaps.js';

/** A product in one planned month. */
export interface ProductMonth {
  readonly sold: Figure;
  /** For itself: what goes into other products is counted with them. */
  readonly made: Figure;
  readonly madeInAll: Figure;
  /** Made less sold. */
  readonly stockChange: Figure;
  readonly revenue: Figure;
  readonly contribution: Figure;
  /** The fixed production cost that one unit carries under absorption. */
  readonly fixedInUnit: Figure;
  readonly absorbedByMade: Figure;
  readonly absorbedBySold: Figure;
  /** The fixed production cost that goes into stock, or out of it. */
  readonly intoStock: Figure;
}

/**
 * A product in one planned month; the id is "product@first day of the month". Sold = its planned volumes of that month; made as
 * entered for the product, less what goes into the other products that are made, else as sold. Net revenue and contribution at the price of each channel. Fixed production cost in a
 * unit = its fixed production overhead + what is committed in it. Gap: a channel without a price.
 */
export const productMonth: Calculation<ProductMonth> = {
  name: 'productMonth',
  meanings: {
    sold: 'Units planned to be sold in the month.',
    made: 'Units planned to be made in the month, without those that go into other products.',
    madeInAll: 'Units planned to be made in the month, those that go into other products among them.',
    stockChange: 'Units that go into stock, or below zero out of it.',
    revenue: 'What the planned sales bring: net revenue, with postage charged and less expected refunds.',
    contribution: 'What the planned sales leave after what changes with each unit.',
    fixedInUnit: 'The fixed production cost that one unit carries under absorption costing.',
    absorbedByMade: 'The fixed production cost that the units made absorb.',
    absorbedBySold: 'The fixed production cost in the units sold.',
    intoStock: 'The fixed production cost that goes into stock, or below zero out of it.',
  },
  work(sheet, id) {
    const [productId = '', month = ''] = id.split('@');
    const product = sheet.row('product', productId);
    if (product === undefined) return gone(sheet);
    const named = (name: string) => ({ name, subject: product.name });
    const output = unit(product.outputUnit).per(MONTH);
    const sales = plannedSales(sheet, productId).map((sale) => ({
      point: sheet.rowsOf('pricePoint', 'productId', productId).find((each) => each.channelId === sale.channelId),
      units: sheet.read(plannedVolumeMonth, `${sale.volumeId}@${monthNumber(month)}`).units,
    }));
    const sold = sum(
      named('Sold'),
      output,
      sales.map(({ units }) => units),
    );
    const { made, madeInAll } = madeOf(sheet, product, sold, month);
    const stockChange = difference(named('Into stock'), made, sold);
    const each = (of: (point: RowOf<'pricePoint'>) => Figure) =>
      sales.map(({ point, units }) =>
        multiplied(named('Planned sales'), units, point === undefined ? unpriced(sheet, product) : of(point)),
      );
    const { production } = sheet.read(productOverhead, productId);
    const { perUnit: committed } = sheet.read(committedCost, productId);
    const fixedInUnit =
      committed.parts.length === 0
        ? production
        : sum(named('Fixed production cost in a unit'), production.unit, [production, committed]);
    return {
      sold,
      made,
      madeInAll,
      stockChange,
      fixedInUnit,
      revenue: sum(
        named('Revenue'),
        money(sheet).per(MONTH),
        each((point) => sheet.read(setPrice, point.id).netRevenue),
      ),
      contribution: sum(
        named('Contribution'),
        money(sheet).per(MONTH),
        each((point) => sheet.read(pricePoint, point.id).contribution),
      ),
      absorbedByMade: multiplied(named('Absorbed by what is made'), made, fixedInUnit),
      absorbedBySold: multiplied(named('In what is sold'), sold, fixedInUnit),
      intoStock: multiplied(named('Fixed cost into stock'), stockChange, fixedInUnit),
    };
  },
};

function madeOf(
  sheet: Sheet,
  product: RowOf<'product'>,
  sold: Figure,
  month: string,
): Pick<ProductMonth, 'made' | 'madeInAll'> {
  const { id, name: subject } = product;
  const named = (name: string) => ({ name, subject });
  const used = usedInOthers(sheet, id, (userId) => sheet.read(productMonth, `${userId}@${month}`).madeInAll);
  const inOthers = sum(named('Goes into other products'), sold.unit, used);
  if (product.madePerMonth === null) {
    const made = choice(named('Made'), sold, 'as many as are sold');
    return { made, madeInAll: used.length === 0 ? made : sum(named('Made in all'), sold.unit, [made, inOthers]) };
  }
  const madeInAll = sheet.input('product', product, 'madePerMonth', { ...named('Made in all'), unit: sold.unit });
  return { made: used.length === 0 ? madeInAll : difference(named('Made'), madeInAll, inOthers), madeInAll };
}

function unpriced(sheet: Sheet, product: RowOf<'product'>): Figure {
  const place = { kind: 'pricePoint', id: product.id, field: 'price' } as const;
  const leaf = { name: 'Price', subject: product.name, unit: money(sheet).per(unit(product.outputUnit)) };
  return missing(leaf, planningGap('planned-without-price', place, { subject: product.name }));
}

function gone(sheet: Sheet): ProductMonth {
  const figure = ofMissingRow({ name: 'Planned month', unit: money(sheet).per(MONTH) }, 'a product');
  return {
    sold: figure,
    made: figure,
    madeInAll: figure,
    stockChange: figure,
    revenue: figure,
    contribution: figure,
    fixedInUnit: figure,
    absorbedByMade: figure,
    absorbedBySold: figure,
    intoStock: figure,
  };
}
