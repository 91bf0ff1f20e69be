import { isDecimalText } from '@nuvar/book';
import {
  constant,
  difference,
  type Figure,
  multiplied,
  ofMissingRow,
  quotient,
  rounded,
  sum,
} from '../figure/index.js';
import { decimal, ONE } from '../number/index.js';
import { listedPrice, priceInForce } from '../purchasing/index.js';
import { unit } from '../quantity/index.js';
import { type Calculation, type Sheet } from '../sheet/index.js';
import { batch } from './batch.js';
import { takings } from './takings.js';

/** What an order of a product needs of one product: whole batches, and what is left of them. */
export interface NeededProduct {
  readonly productId: string;
  readonly needed: Figure;
  readonly batches: Figure;
  readonly leftOver: Figure;
}

/** What it needs of one material: in base units, in whole packs, and what is left of these. */
export interface NeededOfMaterial {
  readonly materialId: string;
  readonly needed: Figure;
  /** Null where no price says how large a pack is. */
  readonly packs: Figure | null;
  readonly leftOver: Figure | null;
}

export interface OrderNeeds {
  readonly products: readonly NeededProduct[];
  readonly materials: readonly NeededOfMaterial[];
}

/**
 * An order exploded: the product and all that goes into it in whole batches, level by level, and the materials of these batches in
 * whole packs of the price in force, each with what is left over. The id is "product@units". What is needed of a component is what
 * the whole batches of those that it goes into take.
 */
export const orderNeeds: Calculation<OrderNeeds> = {
  name: 'orderNeeds',
  meanings: {},
  work(sheet, id) {
    const [productId = '', units = '0'] = id.split('@');
    const wanted = new Map<string, Figure[]>();
    const materials = new Map<string, Figure[]>();
    const products: NeededProduct[] = [];
    wanted.set(productId, [orderedUnits(sheet, productId, units)]);
    for (const each of inOrderOfLevels(sheet, productId)) {
      const parts = wanted.get(each);
      if (parts === undefined) continue;
      const needed = neededProduct(sheet, each, parts);
      products.push(needed);
      for (const { of, quantity } of sheet.read(takings, each)) {
        if (of?.kind !== 'product' && of?.kind !== 'material') continue;
        const taken = multiplied({ name: 'Taken by the batches', subject: of.name }, quantity, needed.batches);
        const all = of.kind === 'product' ? wanted : materials;
        all.set(of.id, [...(all.get(of.id) ?? []), taken]);
      }
    }
    return { products, materials: [...materials].map(([of, parts]) => neededMaterial(sheet, of, parts)) };
  },
};

/** One product of an order, so that its figures can be opened; the id is "product@units@needed product". */
export const orderedProduct: Calculation<Omit<NeededProduct, 'productId'>> = {
  name: 'orderedProduct',
  meanings: {
    needed: 'How much of the product the order needs.',
    batches: 'How many whole batches of it that takes.',
    leftOver: 'How much of these batches is left over.',
  },
  work(sheet, id) {
    const [orderId, last] = splitOff(id);
    const found = sheet.read(orderNeeds, orderId).products.find(({ productId }) => productId === last);
    const gone = ofMissingRow({ name: 'Needed', unit: outputOf(sheet, last) }, 'a product of the order');
    return found ?? { needed: gone, batches: gone, leftOver: gone };
  },
};

/** One material of an order, so that its figures can be opened; the id is "product@units@material". */
export const orderedMaterial: Calculation<Omit<NeededOfMaterial, 'materialId'>> = {
  name: 'orderedMaterial',
  meanings: {
    needed: 'How much of the material the batches of the order take.',
    packs: 'How many whole packs that is.',
    leftOver: 'How much of these packs is left over.',
  },
  work(sheet, id) {
    const [orderId, last] = splitOff(id);
    const found = sheet.read(orderNeeds, orderId).materials.find(({ materialId }) => materialId === last);
    const gone = ofMissingRow({ name: 'Needed', unit: unit('each') }, 'a material of the order');
    return found ?? { needed: gone, packs: null, leftOver: null };
  },
};

function splitOff(id: string): readonly [orderId: string, last: string] {
  const at = id.lastIndexOf('@');
  return [id.slice(0, at), id.slice(at + 1)];
}

const outputOf = (sheet: Sheet, productId: string) => unit(sheet.row('product', productId)?.outputUnit ?? 'each');

/** The units of the order; none where they are no number. */
const orderedUnits = (sheet: Sheet, productId: string, units: string): Figure =>
  constant('Ordered', decimal(isDecimalText(units) ? units : '0'), outputOf(sheet, productId), 'the order looked at');

/** A product before all that goes into it; a product that contains itself is not followed round. */
function inOrderOfLevels(sheet: Sheet, productId: string): string[] {
  const done = new Set<string>();
  const order: string[] = [];
  const visit = (id: string) => {
    if (done.has(id)) return;
    done.add(id);
    for (const { of } of sheet.read(takings, id)) if (of?.kind === 'product') visit(of.id);
    order.push(id);
  };
  visit(productId);
  return order.reverse();
}

function neededProduct(sheet: Sheet, productId: string, parts: readonly Figure[]): NeededProduct {
  const { good, productName: subject } = sheet.read(batch, productId);
  const named = (name: string) => ({ name, subject });
  const needed = sum(named('Needed'), outputOf(sheet, productId), parts);
  const batches = rounded(named('Whole batches'), quotient(named('Batches'), needed, good), ONE, 'up');
  const made = multiplied(named('Good units of these batches'), batches, good);
  return { productId, needed, batches, leftOver: difference(named('Left over'), made, needed) };
}

function neededMaterial(sheet: Sheet, materialId: string, parts: readonly Figure[]): NeededOfMaterial {
  const material = sheet.row('material', materialId);
  const subject = material?.name ?? 'a material';
  const named = (name: string) => ({ name, subject });
  const needed = sum(named('Needed'), unit(material?.baseUnit ?? 'each'), parts);
  const { priceId } = sheet.read(priceInForce, materialId);
  const contents = priceId === null ? null : sheet.read(listedPrice, priceId).pack;
  if (contents === null) return { materialId, needed, packs: null, leftOver: null };
  const packs = rounded(named('Whole packs'), quotient(named('Packs'), needed, contents), ONE, 'up');
  const bought = multiplied(named('In these packs'), packs, contents);
  return { materialId, needed, packs, leftOver: difference(named('Left over'), bought, needed) };
}
