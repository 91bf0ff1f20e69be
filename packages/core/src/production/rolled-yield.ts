import { constant, type Figure, percentOf } from '../figure/index.js';
import { PERCENT } from '../quantity/index.js';
import type { Calculation } from '../sheet/index.js';
import { takings } from './takings.js';

/** The yield of a product with that of all that goes into it. */
export interface RolledYield {
  readonly own: Figure;
  /** Null where nothing that is made goes into it. */
  readonly rolled: Figure | null;
}

/**
 * Rolled yield (rolled throughput yield): own yield x the rolled yield of each product that goes into it, each once. It is the
 * share that comes through all steps where every part has to be good. Common practice of quality management, no source.
 */
export const rolledYield: Calculation<RolledYield> = {
  name: 'rolledYield',
  meanings: {
    own: 'How much of what is started comes out good.',
    rolled: 'How much comes through all steps, those of the components included (rolled yield).',
  },
  work(sheet, productId) {
    const row = sheet.row('product', productId);
    const subject = row?.name ?? 'a product';
    const own =
      row === undefined
        ? constant('Yield', '100', PERCENT, 'product missing')
        : sheet.input('product', row, 'yieldPercent', { name: 'Yield', subject, unit: PERCENT });
    const inside = new Set(sheet.read(takings, productId).flatMap(({ of }) => (of?.kind === 'product' ? [of.id] : [])));
    if (inside.size === 0) return { own, rolled: null };
    const rolled = [...inside].reduce<Figure>((through, componentId) => {
      const component = sheet.read(rolledYield, componentId);
      return percentOf({ name: 'Rolled yield', subject }, component.rolled ?? component.own, through);
    }, own);
    return { own, rolled };
  },
};
