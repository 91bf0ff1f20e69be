import type { RowOf } from '@nuvar/book';
import {
  choice,
  constant,
  type Figure,
  isWhole,
  multiplied,
  percentOf,
  quotient,
  smallest,
  sum,
} from '../figure/index.js';
import { Decimal, decimal } from '../number/index.js';
import { NUMBER, PERCENT } from '../quantity/index.js';
import { CARRIERS, inForcePerSupplier, listedPriceAt, materialMeasures, pricesOnTheDay } from '../purchasing/index.js';
import { type Calculation, money, type Sheet, YEAR } from '../sheet/index.js';
import { materialNeed } from './material-need.js';

/** One quantity that could be ordered each time, at one supplier. */
export interface OrderOption {
  readonly priceId: string;
  /** Why this quantity is looked at: the cheapest of its price, the least of a break, or what fills a carrier. */
  readonly why: string;
  /** Packs, as stored. */
  readonly packs: string;
  readonly quantity: Figure;
  readonly perBaseUnit: Figure;
  readonly ordersPerYear: Figure;
  readonly purchase: Figure;
  readonly ordering: Figure;
  readonly holding: Figure;
  readonly total: Figure;
  /** What is tied up in stock on average. */
  readonly tiedUp: Figure;
  /** What one order costs. */
  readonly outlay: Figure;
}

export interface OrderQuantities {
  readonly need: Figure;
  readonly options: readonly OrderOption[];
  /** The total of the cheapest. */
  readonly cheapest: Figure | null;
  /** Its place among the options. */
  readonly best: number | null;
}

/**
 * How much of a material to order each time. For the price in force of each supplier and each of its breaks: the economic
 * order quantity, square root of 2 x need x cost of an order / (price x cost of holding), in whole packs, within the break
 * and not below the smallest order; the least quantity of the next break; and what fills a pallet or a 20' container. Cost
 * of a year = need x price + need / quantity x cost of an order + quantity / 2 x price x cost of holding. Gaps: what need
 * or price lack; without a need nothing is compared. Source: the economic order quantity with quantity discounts, as
 * management-accounting textbooks have it (Harris, 1913).
 */
export const orderQuantities: Calculation<OrderQuantities> = {
  name: 'orderQuantities',
  meanings: {
    need: 'How much of the material is needed in a year.',
    cheapest: 'What a year of it costs when the cheapest quantity is ordered each time.',
  },
  work(sheet, materialId) {
    const material = sheet.row('material', materialId);
    const need = sheet.read(materialNeed, materialId).perYear;
    if (material === undefined || !isWhole(need)) return { need, options: [], cheapest: null, best: null };
    const prices = inForcePerSupplier(pricesOnTheDay(sheet, material), sheet.asOf);
    const options = prices.flatMap((price) => optionsOf(sheet, material, price, need));
    const whole = options.filter(({ total }) => isWhole(total));
    if (whole.length === 0) return { need, options, cheapest: null, best: null };
    const called = { name: 'Cheapest in a year', subject: material.name };
    const cheapest = smallest(
      called,
      whole.map(({ total }) => total),
      'the quantity that costs least in a year',
    );
    const best = options.findIndex(({ total }) => isWhole(total) && total.amount.eq(cheapest.amount as Decimal));
    return { need, options, cheapest, best };
  },
};

/** One of the quantities, so that its figures can be opened. The id is that of the material and the place of the option, "material@2". */
export const orderOption: Calculation<OrderOption | Record<string, never>> = {
  name: 'orderOption',
  meanings: {
    quantity: 'How much is ordered each time.',
    perBaseUnit: 'What one base unit costs when so much is ordered.',
    ordersPerYear: 'How often it is ordered in a year.',
    purchase: 'What the goods of a year cost.',
    ordering: 'What the orders of a year cost, however large they are.',
    holding: 'What a year of keeping the stock costs.',
    total: 'What a year of the material costs when so much is ordered each time.',
    tiedUp: 'What is tied up in stock on average.',
    outlay: 'What one order costs.',
  },
  work(sheet, id) {
    const [materialId = '', place = ''] = id.split('@');
    return sheet.read(orderQuantities, materialId).options[Number(place)] ?? {};
  },
};

/** A stretch of pack counts at one pack price. */
interface Stretch {
  readonly breakId: string | null;
  readonly from: Decimal;
  /** Up to but without it; null where there is no end. */
  readonly below: Decimal | null;
}

function optionsOf(
  sheet: Sheet,
  material: RowOf<'material'>,
  price: RowOf<'supplierPrice'>,
  need: Figure,
): OrderOption[] {
  const least = decimal(price.minimumOrder ?? '1');
  const breaks = sheet
    .rowsOf('priceBreak', 'priceId', price.id)
    .filter((each) => each.price !== null)
    .sort((one, other) => decimal(one.fromPacks).cmp(decimal(other.fromPacks)));
  const starts = [
    { breakId: null as string | null, from: least },
    ...breaks.map(({ id, fromPacks }) => ({ breakId: id, from: Decimal.max(least, decimal(fromPacks)) })),
  ];
  const stretches = starts.map(({ breakId, from }, index): Stretch => ({
    breakId,
    from,
    below: starts[index + 1]?.from ?? null,
  }));
  const seen = new Set<string>();
  const options = stretches.flatMap((stretch) => {
    if (stretch.below !== null && stretch.below.lte(stretch.from)) return [];
    return candidatesOf(sheet, material, price, need, stretch).flatMap(({ packs, why }) => {
      const text = packs.toFixed();
      if (seen.has(text)) return [];
      seen.add(text);
      return optionOf(sheet, material, price, need, { packs, why, breakId: stretch.breakId });
    });
  });
  return options.sort((one, other) => decimal(one.packs).cmp(decimal(other.packs)));
}

interface Candidate {
  readonly packs: Decimal;
  readonly why: string;
}

function candidatesOf(
  sheet: Sheet,
  material: RowOf<'material'>,
  price: RowOf<'supplierPrice'>,
  need: Figure,
  { breakId, from, below }: Stretch,
): Candidate[] {
  const { perBaseUnit, pack } = listedPriceAt(sheet, price, breakId);
  const first = { packs: from.ceil(), why: breakId === null ? 'smallest order' : 'least for this price' };
  if (perBaseUnit.amount === null || pack?.amount == null || need.amount === null) return [];
  const fits = (packs: Decimal) => packs.gte(from) && (below === null || packs.lt(below)) && packs.gt(0);
  const { costPerOrder, holdingPercent } = sheet.settings();
  const holding = perBaseUnit.amount.times(holdingPercent).div(100);
  const economic = holding.isZero()
    ? []
    : wholePacks(need.amount.times(2).times(costPerOrder).div(holding).sqrt().div(pack.amount)).map((packs) => ({
        packs,
        why: 'economic order quantity',
      }));
  const full = carriersFull(sheet, material, pack.amount);
  return [...economic, first, ...full].filter(({ packs }) => fits(packs));
}

/** The whole packs on either side of a number of them. */
const wholePacks = (packs: Decimal): Decimal[] => [packs.floor(), packs.ceil()].filter((each) => each.gt(0));

/** The most packs that go onto a pallet or into a 20' container, by weight and volume; none where these are not known. */
function carriersFull(sheet: Sheet, material: RowOf<'material'>, pack: Decimal): Candidate[] {
  const { kilograms, cubicMetres } = materialMeasures(sheet, material);
  return CARRIERS.slice(0, 2).flatMap(({ label, kilograms: most, cubicMetres: room }) => {
    const limits = [
      kilograms === null ? null : decimal(most).div(kilograms.times(pack)),
      cubicMetres === null ? null : decimal(room).div(cubicMetres.times(pack)),
    ].filter((each) => each !== null);
    if (limits.length === 0) return [];
    const packs = Decimal.min(...limits).floor();
    return packs.gt(0) ? [{ packs, why: `one full ${label}` }] : [];
  });
}

const ONCE_A_YEAR = constant('Once a year', '1', NUMBER.per(YEAR), 'the cost of holding is that of a year');
const HALF = constant('Half of it', '50', PERCENT, 'stock goes from all of an order down to nothing');

function optionOf(
  sheet: Sheet,
  material: RowOf<'material'>,
  price: RowOf<'supplierPrice'>,
  need: Figure,
  { packs, why, breakId }: Candidate & { readonly breakId: string | null },
): OrderOption[] {
  const subject = material.name;
  const called = (name: string) => ({ name, subject });
  const { perBaseUnit: listed, pack } = listedPriceAt(sheet, price, breakId);
  if (pack === null) return [];
  const perBaseUnit = choice(
    called('Price at this quantity'),
    listed,
    breakId === null ? 'the price itself' : 'its price break',
  );
  const settings = sheet.settings();
  const costPerOrder = sheet.input('settings', settings, 'costPerOrder', {
    name: 'Cost of an order',
    subject: 'the book',
    unit: money(sheet),
  });
  const holdingPercent = sheet.input('settings', settings, 'holdingPercent', {
    name: 'Cost of holding stock',
    subject: 'the book',
    unit: PERCENT,
  });
  const quantity = multiplied(called('Order quantity'), constant('Packs', packs, NUMBER, why), pack);
  const ordersPerYear = quotient(called('Orders in a year'), need, quantity);
  const purchase = multiplied(called('Purchases'), need, perBaseUnit);
  const ordering = multiplied(called('Ordering'), ordersPerYear, costPerOrder);
  const outlay = multiplied(called('Outlay'), quantity, perBaseUnit);
  const tiedUp = percentOf(called('Tied up'), HALF, outlay);
  const perYear = money(sheet).per(YEAR);
  const held = percentOf(called('Held for a year'), holdingPercent, tiedUp);
  const holding = multiplied(called('Holding'), held, ONCE_A_YEAR);
  const total = sum(called('Cost in a year'), perYear, [purchase, ordering, holding]);
  return [
    {
      priceId: price.id,
      why,
      packs: packs.toFixed(),
      quantity,
      perBaseUnit,
      ordersPerYear,
      purchase,
      ordering,
      holding,
      total,
      tiedUp,
      outlay,
    },
  ];
}
