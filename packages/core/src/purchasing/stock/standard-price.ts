import type { RowOf } from '@nuvar/book';
import { type Figure, missing } from '../../figure/index.js';
import { unit } from '../../quantity/index.js';
import { money, type Sheet } from '../../sheet/index.js';
import { purchasingGap } from '../gaps.js';

/** The newest standard price of a material that is valid on a day; undefined where there is none. */
export function standardPriceRow(sheet: Sheet, materialId: string, day: string): RowOf<'standardPrice'> | undefined {
  return sheet
    .rowsOf('standardPrice', 'materialId', materialId)
    .filter(({ validFrom }) => validFrom <= day)
    .reduce<RowOf<'standardPrice'> | undefined>(
      (so, row) => (so === undefined || row.validFrom >= so.validFrom ? row : so),
      undefined,
    );
}

/** The standard price per base unit on a day. Gap: none is set. */
export function standardPriceOn(sheet: Sheet, material: RowOf<'material'>, day: string): Figure {
  const subject = material.name;
  const leaf = { name: 'Standard price', subject, unit: money(sheet).per(unit(material.baseUnit)) };
  const row = standardPriceRow(sheet, material.id, day);
  const whenEmpty = () =>
    purchasingGap(
      'no-standard-price',
      { kind: 'standardPrice', id: row?.id ?? material.id, field: 'price' },
      { subject },
    );
  return row === undefined
    ? missing(leaf, whenEmpty())
    : sheet.input('standardPrice', row, 'price', { ...leaf, whenEmpty });
}
