import type { MixGoal } from '@nuvar/book';
import type { Sheet } from '../../../sheet/index.js';
import type { ModelProduct, ModelResource, ModelUse } from '../mix-model.js';
import type { IsKnown } from '../model-parts.js';
import { mixSlotPlaces } from './mix-slots.js';

/** A model of several periods as it is written. */
export interface Writing {
  readonly sheet: Sheet;
  readonly planId: string;
  readonly goal: MixGoal;
  readonly periods: readonly string[];
  readonly isKnown: IsKnown;
  readonly products: ModelProduct[];
  readonly resources: ModelResource[];
  readonly uses: ModelUse[];
  /** By the id of a quantity: its place among the products. */
  readonly at: Map<string, number>;
  /** What is taken off the goal whatever is made: the holding of what is there before. */
  fixed: number;
}

/** By the goal: a cost counts against it, or makes it up. */
export const asCost = ({ goal }: Writing, cost: number) => (goal === 'least cost' ? cost : -cost);

const PLAIN = { lot: null, step: null, batch: null, setUpCost: 0, most: null, least: 0, useful: null, isCost: false };

/** Adds something that there can be more or less of, under the id of its quantity. */
export function addProduct(
  writing: Writing,
  id: string,
  product: Partial<ModelProduct> & Pick<ModelProduct, 'name' | 'unit' | 'gain'>,
): void {
  const { products, at, sheet, planId } = writing;
  const place = sheet.read(mixSlotPlaces, planId).get(id) ?? -1;
  at.set(id, products.length);
  products.push({ ...PLAIN, contribution: product.gain, ...product, id, place, setUpWith: products.length });
}

/** Adds something that there is so much of, as what runs short or as a stock. */
export function addResource(
  { resources }: Writing,
  resource: Partial<ModelResource> & Pick<ModelResource, 'id' | 'name' | 'unit' | 'available'>,
): void {
  resources.push({ extra: 0, premium: 0, normalPrice: 0, making: null, isStock: false, ...resource });
}

/** What a product takes of the resource that was added last. */
export function addUse({ uses, at, resources }: Writing, id: string, perUnit: number, forSetUp = 0): void {
  const product = at.get(id);
  if (product !== undefined) uses.push({ product, resource: resources.length - 1, perUnit, forSetUp });
}
