import { type Figure, largest, ofMissingRow, quotient } from '../../figure/index.js';
import type { Calculation } from '../../sheet/index.js';
import { KILOGRAM, parcel, perKilogramOf } from './parcel.js';

/** The weight that is charged for one unit. */
export interface ChargedParcel {
  readonly weight: Figure;
  /** Null where bulky parcels are charged by weight alone. */
  readonly byVolume: Figure | null;
  readonly charged: Figure;
}

/**
 * The weight of one unit that a carrier or a channel charges: the larger of its packed weight and of its volume weight = packed
 * length x width x height / so many cm³ per kg; the weight where no volume weight counts. The id is
 * "product@carrierTable.id" or "product@feeRule.id". Gaps: a side or a weight that is not stated.
 */
export const chargedParcel: Calculation<ChargedParcel> = {
  name: 'chargedParcel',
  meanings: {
    weight: 'The weight of one unit as it is packed for sale.',
    byVolume: 'What one unit weighs by its volume (volume weight).',
    charged: 'The weight that is charged for one unit: the larger of the two.',
  },
  work(sheet, id) {
    const [productId = '', source = ''] = id.split('@');
    const [kind = '', rowId = ''] = source.split('.');
    const row = kind === 'feeRule' || kind === 'carrierTable' ? sheet.row(kind, rowId) : undefined;
    const { weight, cubic } = sheet.read(parcel, productId);
    if (row === undefined) {
      const gone = ofMissingRow({ name: 'Weight charged', unit: KILOGRAM }, 'a carrier table');
      return { weight: gone, byVolume: null, charged: gone };
    }
    if (row.volumeDivisor === null) return { weight, byVolume: null, charged: weight };
    const { subject } = weight;
    const divisor = sheet.input(kind as 'feeRule' | 'carrierTable', row, 'volumeDivisor', {
      name: 'Volume weight',
      subject: row.name,
      unit: perKilogramOf(sheet, productId),
    });
    const byVolume = quotient({ name: 'Weight by volume', subject }, cubic, divisor);
    const note = 'the larger of weight and volume weight';
    return { weight, byVolume, charged: largest({ name: 'Weight charged', subject }, [weight, byVolume], note) };
  },
};
