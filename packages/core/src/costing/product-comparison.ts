import { figureGap, missing } from '../figure/index.js';
import { unit, unitWord } from '../quantity/index.js';
import { type Calculation, money, type Sheet } from '../sheet/index.js';
import { type CardComparison, comparedCards } from './compared-cards.js';
import { costingGap } from './gaps.js';
import { unitItems } from './unit-items.js';

/**
 * One product against another, line by line: why the one costs more. The id is "product@other"; the other is what it is
 * compared with. Gap: the two are costed by different units.
 */
export const productComparison: Calculation<CardComparison> = {
  name: 'productComparison',
  meanings: {
    before: 'What one unit of the other product costs.',
    now: 'What one unit of this product costs.',
    quantityEffects: 'The part of the difference that comes from quantities.',
    priceEffects: 'The part of the difference that comes from prices and rates.',
    difference: 'How much more, or less, one unit of this product costs than one of the other.',
  },
  work(sheet, id) {
    const [productId = '', otherId = ''] = id.split('@');
    const [mine, other] = [sheet.row('product', productId), sheet.row('product', otherId)];
    const names = {
      before: `Full cost of ${other?.name ?? 'the other product'}`,
      now: 'Full cost',
      subject: mine?.name ?? 'this product',
    };
    const output = mine?.outputUnit ?? 'each';
    if (mine === undefined || other === undefined || other.outputUnit !== output)
      return incomparable(sheet, names.subject, output, other);
    return comparedCards(names, money(sheet).per(unit(output)), unitItems(sheet, otherId), unitItems(sheet, productId));
  },
};

function incomparable(
  sheet: Sheet,
  subject: string,
  output: string,
  other: { readonly name: string; readonly outputUnit: string } | undefined,
): CardComparison {
  const reason =
    other === undefined
      ? figureGap('row-missing', null, { subject: 'the comparison' })
      : costingGap('other-output-unit', null, {
          subject,
          unit: unitWord(output),
          other: other.name,
          otherUnit: unitWord(other.outputUnit),
        });
  const none = missing({ name: 'Difference', subject, unit: money(sheet).per(unit(output)) }, reason);
  return { lines: [], before: none, now: none, quantityEffects: none, priceEffects: none, difference: none };
}
