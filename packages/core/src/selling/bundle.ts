import { difference, type Figure, multiplied, quotient, shareOf, sum } from '../figure/index.js';
import { batch, takings } from '../production/index.js';
import type { Calculation } from '../sheet/index.js';
import { pricePoint } from './price-point.js';
import { setPrice } from './set-price.js';

/** A bundle against its parts one by one; null throughout where a part has no price in the channel. */
export interface Bundle {
  readonly singly: Figure | null;
  readonly saved: Figure | null;
  readonly savedPercent: Figure | null;
  readonly contributionSingly: Figure | null;
}

const NONE: Bundle = { singly: null, saved: null, savedPercent: null, contributionSingly: null };

/**
 * What the parts of a bundle cost the customer one by one in the same channel, and what they leave: components in a unit x their
 * price and their contribution. Parts that are not sold there leave nothing to compare with.
 */
export const bundle: Calculation<Bundle> = {
  name: 'bundle',
  meanings: {
    singly: 'What the parts cost the customer one by one in this channel.',
    saved: 'What the customer saves with the bundle.',
    savedPercent: 'That in percent of the prices one by one.',
    contributionSingly: 'What the parts leave when they are sold one by one (contribution).',
  },
  work(sheet, pointId) {
    const { sold, price } = sheet.read(setPrice, pointId);
    if (sold === null) return NONE;
    const { point, product } = sold;
    const { good } = sheet.read(batch, product.id);
    const parts = sheet
      .read(takings, product.id)
      .flatMap(({ of, quantity }) => (of?.kind === 'product' ? [{ of, quantity }] : []));
    if (parts.length === 0) return NONE;
    const subject = product.name;
    const priced = parts.map(({ of, quantity }) => {
      const found = sheet
        .rowsOf('pricePoint', 'productId', of.id)
        .find(({ channelId }) => channelId === point.channelId);
      const inUnit = quotient({ name: 'In a unit', subject: of.name }, quantity, good);
      if (found === undefined) return null;
      return {
        price: multiplied({ name: 'One by one', subject: of.name }, inUnit, sheet.read(setPrice, found.id).price),
        left: multiplied(
          { name: 'Leaves one by one', subject: of.name },
          inUnit,
          sheet.read(pricePoint, found.id).contribution,
        ),
      };
    });
    if (!priced.every((each) => each !== null)) return NONE;
    const singly = sum(
      { name: 'Prices one by one', subject },
      price.unit,
      priced.map((each) => each.price),
    );
    const saved = difference({ name: 'Saved', subject }, singly, price);
    return {
      singly,
      saved,
      savedPercent: shareOf({ name: 'Saved', subject }, saved, singly),
      contributionSingly: sum(
        { name: 'Contribution one by one', subject },
        price.unit,
        priced.map((each) => each.left),
      ),
    };
  },
};
