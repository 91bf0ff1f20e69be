import type { BookBuilder } from '../demo-book.js';
import { at, type Ids } from './ids.js';
import { RECIPES, type Recipe } from './recipes.js';

/** Who works on the products, with what, and where. */
interface Workshop {
  readonly grades: Ids;
  readonly machines: Ids;
  readonly departments: Ids;
}

/** Length, width and height in centimetres, weight and packaging in kilograms, as a product is packed for sale. */
const PACKED: Readonly<Record<string, readonly [string, string, string, string, string]>> = {
  'Everyday mug': ['12', '10', '11', '0.55', '0.07'],
  'Breakfast bowl': ['16', '16', '9', '0.75', '0.08'],
  'Teapot with cane handle': ['26', '18', '20', '1.5', '0.25'],
  'Serving platter': ['38', '28', '6', '1.9', '0.3'],
  'Gift set, two mugs': ['26', '14', '13', '1.2', '0.21'],
  'Cork trivet': ['19', '19', '2', '0.2', '0.02'],
  'Soap dish': ['13', '10', '4', '0.3', '0.04'],
};

/** The packed measures of a product, where it is sent. */
function packedAs(name: string): Record<string, unknown> {
  const measures = PACKED[name];
  if (measures === undefined) return {};
  const [packedLength, packedWidth, packedHeight, packedWeight, packagingWeight] = measures;
  return { packedLength, packedWidth, packedHeight, packedWeight, packagingWeight };
}

/** Adds every product with its bill, its steps, its use of machines, and the mug with what is kept beside its card. */
export function addProducts(book: BookBuilder, materials: Ids, { grades, machines, departments }: Workshop): Ids {
  const products: Record<string, string> = {};
  for (const recipe of RECIPES) {
    const productId = book.add('product', { ...recipe.fields, ...packedAs(recipe.fields.name as string) });
    addLines(book, productId, recipe, materials, products);
    addTyped(book, productId, recipe, at(departments, 'Throwing room'));
    addWork(book, productId, recipe, grades, machines);
    products[recipe.fields.name as string] = productId;
  }
  const mug = at(products, 'Everyday mug');
  book.add('recoveredScrap', { productId: mug, name: 'Reclaimed clay', quantity: '1.8', unit: 'kg', worth: '0.55' });
  ['12', '30', '120', '240'].forEach((batchSize, position) =>
    book.add('candidateBatch', { productId: mug, position, batchSize }),
  );
  return products;
}

function addLines(book: BookBuilder, productId: string, recipe: Recipe, materials: Ids, products: Ids): void {
  (recipe.lines ?? []).forEach(([item, quantity, unit, basis = 'started unit', lossPercent = '0'], position) => {
    const line = { productId, position, quantity, unit, basis, lossPercent };
    if (item in products) book.add('billLine', { ...line, componentId: at(products, item) });
    else if (item in materials) book.add('billLine', { ...line, materialId: at(materials, item) });
    else book.add('billLine', { ...line, text: item });
  });
}

function addTyped(book: BookBuilder, productId: string, { typed = [] }: Recipe, departmentId: string): void {
  typed.forEach(([element, amount, hours = null]) =>
    book.add('typedCost', {
      productId,
      element,
      amount,
      hours,
      departmentId: hours === null ? null : departmentId,
    }),
  );
}

function addWork(book: BookBuilder, productId: string, recipe: Recipe, grades: Ids, machines: Ids): void {
  const { steps = [], uses = [], others = [] } = recipe;
  steps.forEach(([name, grade, timeBasis, time, people = '1', setUpMinutes = '0'], position) =>
    book.add('labourStep', {
      productId,
      position,
      name,
      gradeId: at(grades, grade),
      timeBasis,
      time,
      people,
      setUpMinutes,
    }),
  );
  uses.forEach(([machine, basis, amount], position) => {
    const of = basis === 'space per unit' ? { runId: at(machines, machine) } : { equipmentId: at(machines, machine) };
    book.add('equipmentUse', { productId, position, basis, amount, ...of });
  });
  others.forEach(([name, amount, basis], position) =>
    book.add('otherCost', { productId, position, name, amount, basis }),
  );
}
