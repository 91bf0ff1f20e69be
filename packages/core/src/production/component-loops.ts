import { type Calculation, type Sheet, WHOLE_BOOK } from '../sheet/index.js';

/** The products in whose bills a product stands. Apart, so that another quantity does not ask again for loops. */
const usersOf: Calculation<readonly string[]> = {
  name: 'usersOf',
  meanings: {},
  work: (sheet, componentId) => sheet.rowsOf('billLine', 'componentId', componentId).map((line) => line.productId),
};

/**
 * The products that contain themselves, however deep. Changes are refused where they would close a loop; a book that
 * holds one all the same is still evaluated, and only the members of the loop are without a cost.
 */
const componentLoops: Calculation<readonly string[]> = {
  name: 'componentLoops',
  meanings: {},
  work(sheet) {
    const users = new Map<string, readonly string[]>();
    for (const { id } of sheet.all('product')) {
      const known = sheet.read(usersOf, id);
      if (known.length > 0) users.set(id, known);
    }
    return membersOfLoops(users);
  },
};

/** Takes away, again and again, what has no components left; what then remains stands in a loop or leads into one. */
function membersOfLoops(usersOfProduct: ReadonlyMap<string, readonly string[]>): string[] {
  const open = new Map<string, number>();
  for (const users of usersOfProduct.values()) for (const user of users) open.set(user, (open.get(user) ?? 0) + 1);
  const ready = [...usersOfProduct.keys()].filter((id) => !open.has(id));
  for (let next = ready.pop(); next !== undefined; next = ready.pop()) {
    open.delete(next);
    for (const user of usersOfProduct.get(next) ?? []) {
      const left = (open.get(user) ?? 0) - 1;
      open.set(user, left);
      if (left === 0) ready.push(user);
    }
  }
  return [...open.keys()].sort();
}

/** Says whether a product contains itself or something that does. */
export function isInLoop(sheet: Sheet, productId: string): boolean {
  return sheet.read(componentLoops, WHOLE_BOOK).includes(productId);
}
