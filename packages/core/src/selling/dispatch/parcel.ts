import type { RowOf } from '@nuvar/book';
import { constant, type Figure, isWhole, missing, multiplied, quotient } from '../../figure/index.js';
import { compared, type Decimal } from '../../number/index.js';
import { unit } from '../../quantity/index.js';
import { type Calculation, type Sheet } from '../../sheet/index.js';
import { sellingGap } from '../gaps.js';

export const CENTIMETRE = unit('cm');
export const KILOGRAM = unit('kg');
export const LITRE = unit('l');

type Measure = 'packedLength' | 'packedWidth' | 'packedHeight' | 'packedWeight' | 'packagingWeight';

/** One unit of a product as it is packed for sale. */
export interface Parcel {
  readonly sides: readonly [Figure, Figure, Figure];
  /** Cubic centimetres. */
  readonly cubic: Figure;
  readonly litres: Figure;
  readonly weight: Figure;
  readonly packaging: Figure;
}

/**
 * The packed measures of one unit: three sides in centimetres, volume = length x width x height in litres (1 l = 1,000 cm³),
 * weight and weight of packaging in kilograms. Gaps: what of it is not stated.
 */
export const parcel: Calculation<Parcel> = {
  name: 'parcel',
  meanings: {
    litres: 'The volume of one unit as it is packed for sale.',
    weight: 'The weight of one unit as it is packed for sale.',
    packaging: 'The weight of the packaging of one unit.',
  },
  work(sheet, productId) {
    const product = sheet.row('product', productId);
    const output = unit(product?.outputUnit ?? 'each');
    const stated = (field: Measure, name: string, of: typeof CENTIMETRE) => measured(sheet, product, field, name, of);
    const sides = [
      stated('packedLength', 'Packed length', CENTIMETRE),
      stated('packedWidth', 'Packed width', CENTIMETRE),
      stated('packedHeight', 'Packed height', CENTIMETRE),
    ] as const;
    const subject = product?.name ?? '';
    const cubic = multiplied(
      { name: 'Packed volume, cm³', subject },
      multiplied({ name: 'Packed base', subject }, sides[0], sides[1]),
      sides[2],
    );
    const inALitre = constant(
      'Cubic centimetres in a litre',
      '1000',
      cubic.unit.times(output).per(LITRE),
      'definition',
    );
    return {
      sides,
      cubic,
      litres: quotient({ name: 'Packed volume', subject }, cubic, inALitre),
      weight: stated('packedWeight', 'Packed weight', KILOGRAM.per(output)),
      packaging: stated('packagingWeight', 'Packaging weight', KILOGRAM.per(output)),
    };
  },
};

function measured(
  sheet: Sheet,
  product: RowOf<'product'> | undefined,
  field: Measure,
  name: string,
  of: typeof CENTIMETRE,
): Figure {
  const subject = product?.name ?? 'this product';
  if (product === undefined)
    return missing({ name, unit: of }, sellingGap('no-packed-measure', null, { name, subject }));
  return sheet.input('product', product, field, {
    name,
    subject,
    unit: of,
    whenEmpty: (place) => sellingGap('no-packed-measure', place, { name: name.toLowerCase(), subject }),
  });
}

/** The unit of a volume weight divisor: cubic centimetres that count as a kilogram of a unit of output. */
export const perKilogramOf = (sheet: Sheet, productId: string) => {
  const { cubic, weight } = sheet.read(parcel, productId);
  return cubic.unit.per(weight.unit);
};

const largestFirst = (amounts: readonly Decimal[]) => [...amounts].sort((one, other) => compared(other, one));

/** True where the sides of a unit lie within limits, both compared from the longest to the shortest; null without a side. */
export function fitsWithin(sides: readonly Figure[], limits: readonly (Figure | null)[]): boolean | null {
  if (!sides.every(isWhole)) return null;
  const own = largestFirst(sides.flatMap(({ amount }) => amount ?? []));
  const typed = limits.map((limit) => limit?.amount ?? null);
  const known = typed.flatMap((limit) => limit ?? []);
  const sorted = known.length === typed.length ? largestFirst(known) : typed;
  return own.every((side, place) => {
    const limit = sorted[place] ?? null;
    return limit === null || compared(side, limit) <= 0;
  });
}
