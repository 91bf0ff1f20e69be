import type { RowOf } from '@nuvar/book';
import { type Figure, figureGap, missing, multiplied } from '../../figure/index.js';
import { unit, unitWord } from '../../quantity/index.js';
import type { Calculation, Sheet } from '../../sheet/index.js';
import { convertedFor } from '../converted.js';
import { purchasingGap } from '../gaps.js';
import { netOfTax } from '../input-tax.js';

/** What a line of a shipment is worth and how large it is: the bases by which charges are shared. */
export interface LineMeasures {
  /** In the buying currency. */
  readonly value: Figure;
  /** In the unit of the line. */
  readonly quantity: Figure;
  readonly weight: Figure;
  readonly volume: Figure;
}

/** The lines of a shipment in their order. */
export const linesOf = (sheet: Sheet, shipmentId: string): readonly RowOf<'shipmentLine'>[] =>
  sheet.rowsOf('shipmentLine', 'shipmentId', shipmentId);

/** What a line is called in a sentence: its material. */
export const lineName = (sheet: Sheet, { materialId }: RowOf<'shipmentLine'>): string =>
  sheet.row('material', materialId)?.name ?? 'this material';

/**
 * Value = quantity x price, in the buying currency, before the tax that is inside. Weight in kg and volume in m³ of the whole line: as stated, else what
 * the quantity is in that unit. Gaps: no quantity, no price, no weight or volume.
 */
export const lineMeasures: Calculation<LineMeasures> = {
  name: 'lineMeasures',
  meanings: {
    value: 'What the line costs at the seller, in the buying currency.',
    quantity: 'How much of the material the line is.',
    weight: 'What the whole line weighs.',
    volume: 'How much room the whole line takes.',
  },
  work(sheet, lineId) {
    const line = sheet.row('shipmentLine', lineId);
    const shipment = line && sheet.row('shipment', line.shipmentId);
    if (line === undefined || shipment === undefined) {
      const gone = (name: string, of: string) =>
        missing({ name, unit: unit(of) }, figureGap('row-missing', null, { subject: 'this line' }));
      return {
        value: gone('Value', 'EUR'),
        quantity: gone('Quantity', 'each'),
        weight: gone('Weight', 'kg'),
        volume: gone('Volume', 'm³'),
      };
    }
    const subject = lineName(sheet, line);
    const quantity = sheet.input('shipmentLine', line, 'quantity', {
      name: 'Quantity',
      subject,
      unit: unit(line.unit),
      whenEmpty: (place) => purchasingGap('no-line-quantity', place, { subject, shipment: shipment.name }),
    });
    const price = sheet.input('shipmentLine', line, 'price', {
      name: 'Price',
      subject,
      unit: unit(shipment.currency).per(unit(line.unit)),
      whenEmpty: (place) => purchasingGap('no-line-price', place, { subject, shipment: shipment.name }),
    });
    return {
      value: netOfTax(sheet, 'shipmentLine', line, multiplied({ name: 'Value', subject }, quantity, price)),
      quantity,
      weight: measured(sheet, line, subject, quantity, { field: 'weight', name: 'Weight', in: 'kg' }),
      volume: measured(sheet, line, subject, quantity, { field: 'volume', name: 'Volume', in: 'm³' }),
    };
  },
};

function measured(
  sheet: Sheet,
  line: RowOf<'shipmentLine'>,
  subject: string,
  quantity: Figure,
  measure: { readonly field: 'weight' | 'volume'; readonly name: string; readonly in: string },
): Figure {
  const leaf = { name: measure.name, subject, unit: unit(measure.in) };
  if (line[measure.field] !== null) return sheet.input('shipmentLine', line, measure.field, leaf);
  const item = { kind: 'material', id: line.materialId, name: subject } as const;
  const byQuantity = convertedFor(sheet, item, quantity, line.unit, measure.in);
  if (byQuantity !== null) return byQuantity;
  const place = { kind: 'shipmentLine', id: line.id, field: measure.field } as const;
  const values = { subject, measure: measure.name.toLowerCase(), unit: unitWord(measure.in) };
  return missing(leaf, purchasingGap('no-line-measure', place, values));
}
