import { WHOLE_BOOK, type Calculation, type Sheet } from '../evaluate/calculation.js';

/** A line of a bill that points to another product. */
interface ComponentLine {
  readonly lineId: string;
  readonly componentId: string;
}

/** The lines of a product that point to other products. Apart, so that another quantity does not ask again for loops. */
export const componentLines: Calculation<readonly ComponentLine[]> = {
  name: 'componentLines',
  meanings: {},
  work: (sheet, productId) =>
    sheet
      .rowsOf('billLine', 'productId', productId)
      .flatMap(({ id, componentId }) => (componentId === null ? [] : [{ lineId: id, componentId }])),
};

/**
 * The products that contain themselves, however deep. Changes are refused where they would close a loop; a book that
 * holds one all the same is still evaluated, and only the members of the loop are without a cost.
 */
const componentLoops: Calculation<readonly string[]> = {
  name: 'componentLoops',
  meanings: {},
  work(sheet) {
    const components = new Map<string, string[]>();
    for (const product of sheet.all('product')) {
      const used = sheet.read(componentLines, product.id).map((line) => line.componentId);
      if (used.length > 0) components.set(product.id, used);
    }
    return membersOfLoops(components);
  },
};

/** Takes away, again and again, what has no components left; what then remains stands in a loop or leads into one. */
function membersOfLoops(components: Map<string, string[]>): string[] {
  const users = new Map<string, string[]>();
  const open = new Map<string, number>();
  for (const [productId, used] of components) {
    open.set(productId, used.filter((each) => components.has(each)).length);
    for (const each of used) users.set(each, [...(users.get(each) ?? []), productId]);
  }
  const ready = [...open].filter(([, count]) => count === 0).map(([productId]) => productId);
  for (let next = ready.pop(); next !== undefined; next = ready.pop()) {
    open.delete(next);
    for (const user of users.get(next) ?? []) {
      const left = (open.get(user) ?? 0) - 1;
      if (open.has(user)) open.set(user, left);
      if (left === 0) ready.push(user);
    }
  }
  return [...open.keys()].sort();
}

/** Says whether a product contains itself or something that does. */
export function isInLoop(sheet: Sheet, productId: string): boolean {
  return sheet.read(componentLoops, WHOLE_BOOK).includes(productId);
}
