import { unitOfMeasure } from '@nuvar/book';
import fc from 'fast-check';
import { expect, it } from 'vitest';
import { idOf, partsOf } from '../sheet/index.js';
import { evaluated, workshop } from '../testing/evaluated.js';
import { VIEWS } from '../views/index.js';

/** Any text that a name, a unit or a category can be, with the marks that join ids and units among it. */
const texts = fc
  .oneof(
    fc.string({ unit: 'grapheme', minLength: 1, maxLength: 12 }),
    fc.string({
      unit: fc.constantFrom('@', '|', '%', '·', '^', '.', ',', '/', 'a', '1', ' ', '-'),
      minLength: 1,
      maxLength: 8,
    }),
  )
  .map((text) => text.trim())
  // Control characters and halves of letters are refused before they reach a book.
  .filter((text) => text !== '' && !/[\p{Cc}\p{Cs}\p{Cn}\p{Zl}\p{Zp}]/u.test(text));

interface Words {
  readonly product: string;
  readonly material: string;
  readonly channel: string;
  readonly category: string;
  readonly unit: string;
}

const isKnownUnit = (unit: string) => unitOfMeasure(unit) !== undefined;

/** Not a unit of measure, which would be converted. */
const isOfItsOwn = (unit: string) => !isKnownUnit(unit);

/** What the workshop comes to under some words: price, board, overview and loose ends, and the figures by their keys. */
function figuresUnder({ product, material, channel, category, unit }: Words) {
  const {
    rows,
    point,
    product: productId,
  } = workshop({
    product: { name: product, outputUnit: unit, category },
    material: { name: material },
    channel: { name: channel },
    fees: [{ takenOf: 'month', amount: '30', category }, { percent: '8' }],
    more: (book) => void (isKnownUnit(unit) || book.add('bookUnit', { name: unit })),
  });
  const evaluation = evaluated(rows);
  VIEWS.overview(evaluation, 'book');
  VIEWS.looseEnds(evaluation, 'book');
  VIEWS.boardRow(evaluation, productId);
  const keys = [
    ...['profit', 'contribution'].map((member) => `pricePoint/${point}/${member}`),
    `setPrice/${point}/netRevenue`,
    `fullCost/${productId}/fullCost`,
  ];
  return keys.map((key) => evaluation.figure(key)?.amount?.toFixed() ?? null);
}

it('what things are called changes no figure', () => {
  const plain = figuresUnder({
    product: 'Thing',
    material: 'Stuff',
    channel: 'Shop',
    category: 'Tableware',
    unit: 'each',
  });
  expect(plain).not.toContain(null);
  const words = fc.record({
    product: texts,
    material: texts,
    channel: texts,
    category: texts,
    unit: texts.filter(isOfItsOwn),
  });
  fc.assert(
    fc.property(words, (each) => {
      expect(figuresUnder(each)).toEqual(plain);
    }),
    {
      numRuns: 150,
      examples: [[{ product: 'A@B', material: '50 %', channel: 'x|y', category: 'A@B|C%', unit: 'box|12' }]],
    },
  );
});

it('an id gives back its parts, whatever stands in them', () => {
  const anything = fc.array(fc.string({ unit: 'binary' }), { minLength: 1, maxLength: 4 });
  fc.assert(
    fc.property(anything, anything, (parts, others) => {
      expect(partsOf(idOf(...parts))).toEqual(parts);
      expect(idOf(...parts) === idOf(...others)).toBe(JSON.stringify(parts) === JSON.stringify(others));
    }),
  );
});
