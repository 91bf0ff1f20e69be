import { billLevels, MOST_LEVELS } from '@nuvar/book';
import type { Gap } from '../figure/index.js';
import { type Calculation, type Sheet, WHOLE_BOOK } from '../sheet/index.js';
import { productionGap } from './gaps.js';

/** The products in whose bills a product stands. Apart, so that another quantity does not ask again for loops. */
const usersOf: Calculation<readonly string[]> = {
  name: 'usersOf',
  meanings: {},
  work: (sheet, componentId) => [
    ...sheet.rowsOf('billLine', 'componentId', componentId).map((line) => line.productId),
    ...outputsOf(sheet, componentId),
  ],
};

/** The products that come out of the joint batches that a product costs. */
const outputsOf = (sheet: Sheet, productId: string): string[] =>
  sheet
    .rowsOf('jointProcess', 'productId', productId)
    .flatMap(({ id }) => sheet.rowsOf('jointOutput', 'processId', id).flatMap((output) => output.productId ?? []));

/** The products whose bill cannot be worked out. */
interface EndlessBills {
  readonly looped: readonly string[];
  readonly tooDeep: readonly string[];
}

/**
 * The products that contain themselves, however deep, and those that have more levels than are worked out. Changes are
 * refused that would make one; a book that holds one all the same is still evaluated, and only those are without a cost.
 */
const endlessBills: Calculation<EndlessBills> = {
  name: 'endlessBills',
  meanings: {},
  work(sheet) {
    const users = new Map<string, readonly string[]>();
    for (const { id } of sheet.all('product')) {
      const known = sheet.read(usersOf, id);
      if (known.length > 0) users.set(id, [...new Set(known)]);
    }
    const { levels, looped } = billLevels(users);
    const tooDeep = [...levels].filter(([, level]) => level > MOST_LEVELS).map(([id]) => id);
    return { looped: [...looped].sort(), tooDeep: tooDeep.sort() };
  },
};

/** Why the bill of a product cannot be worked out: it contains itself or something that does, or is too deep; null where it can. */
export function endlessBill(sheet: Sheet, productId: string, subject: string): Gap | null {
  const { looped, tooDeep } = sheet.read(endlessBills, WHOLE_BOOK);
  if (looped.includes(productId)) return productionGap('component-loop', null, { subject });
  return tooDeep.includes(productId)
    ? productionGap('too-many-levels', null, { subject, most: String(MOST_LEVELS) })
    : null;
}
