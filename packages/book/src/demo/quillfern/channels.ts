import type { BookBuilder } from '../demo-book.js';
import { at, type Ids } from './ids.js';

type Fields = Readonly<Record<string, unknown>>;

/** What each place takes, in its order. */
const FEES: Readonly<Record<string, readonly Fields[]>> = {
  'Own web shop': [
    { name: 'Card payment', purpose: 'payment', takenOf: 'price and postage paid', percent: '2.9' },
    { name: 'Card payment, fixed', purpose: 'payment', takenOf: 'order', amount: '0.30' },
    { name: 'Packaging licence', purpose: 'packaging recovery', takenOf: 'packaging weight', amount: '0.62' },
  ],
  'Marketplace store': [
    { name: 'Commission', percent: '15', taxPercent: '20', givenBackPercent: '80', endsOn: '2027-01-31' },
    { name: 'Commission', percent: '16.5', taxPercent: '20', givenBackPercent: '80', startsOn: '2027-02-01' },
    { name: 'Advertising', purpose: 'advertising', takenOf: 'price before tax', percent: '4', taxPercent: '20' },
    { name: 'Fulfilment', purpose: 'fulfilment', takenOf: 'size', volumeDivisor: '5000', taxPercent: '20' },
    ...(
      [
        ['Storage', '0.026', 1, 9],
        ['Storage before the holidays', '0.037', 10, 12],
      ] as const
    ).map(([name, amount, fromMonth, toMonth]) => ({
      name,
      amount,
      fromMonth,
      toMonth,
      purpose: 'storage',
      takenOf: 'volume and month',
      taxPercent: '20',
    })),
  ],
  'Weekend market': [
    { name: 'Stall', purpose: 'other', takenOf: 'day', amount: '60', spreadOver: '34' },
    { name: 'Card payment', purpose: 'payment', percent: '1.7' },
  ],
  'Homeware shops': [{ name: 'Agent', takenOf: 'price before tax', percent: '8' }],
  'Studio shop': [{ name: 'Card payment', purpose: 'payment', percent: '1.2', minimum: '0.10' }],
};

/** The sizes by which the marketplace packs and sends. */
const SIZES = [
  { name: 'Small parcel', longest: '35', middle: '25', shortest: '12', upToKilograms: '0.9', amount: '3.40' },
  { name: 'Standard parcel', longest: '45', middle: '34', shortest: '26', upToKilograms: '5', amount: '5.10' },
  { name: 'Large parcel', longest: '61', middle: '46', shortest: '46', upToKilograms: '12', amount: '8.60' },
];

const CHANNELS: Readonly<Record<string, Fields>> = {
  'Own web shop': {
    unitsPerOrder: '1.6',
    postageCharged: '5.50',
    returnsPercent: '2',
    returnHandling: '2.40',
    resaleablePercent: '80',
  },
  'Marketplace store': { returnsPercent: '5', resaleablePercent: '60', monthsInStore: '2' },
  'Weekend market': { unitsPerOrder: '1.3' },
  'Homeware shops': { unitsPerOrder: '24' },
  'Studio shop': { unitsPerOrder: '1.4' },
};

/** Zone, weight up to, postage. */
const RATES: readonly (readonly [string, string, string])[] = [
  ['home', '1', '3.90'],
  ['home', '2', '4.60'],
  ['home', '5', '6.40'],
  ['home', '10', '9.20'],
  ['abroad', '2', '9.90'],
  ['abroad', '5', '14.50'],
  ['abroad', '10', '21.00'],
];

/** The places where the studio sells, with what they take, and how orders leave the studio. */
export function addChannels(book: BookBuilder, materials: Ids, gradeId: string): Ids {
  const channels = Object.fromEntries(
    Object.entries(CHANNELS).map(([name, fields]) => [name, book.add('channel', { name, ...fields })]),
  );
  for (const [name, fees] of Object.entries(FEES))
    fees.forEach((fee, position) => {
      const ruleId = book.add('feeRule', { channelId: at(channels, name), position, ...fee });
      if (fee.takenOf === 'size')
        SIZES.forEach((size, place) => book.add('sizeTier', { ruleId, position: place, ...size }));
    });
  addDispatch(book, channels, materials, gradeId);
  book.add('chainStep', { channelId: at(channels, 'Homeware shops'), name: 'Shop', basis: 'margin', percent: '40' });
  return channels;
}

function addDispatch(book: BookBuilder, channels: Ids, materials: Ids, gradeId: string): void {
  const tableId = book.add('carrierTable', { name: 'Parcel post', volumeDivisor: '5000', taxPercent: '20' });
  for (const [zone, upToKilograms, amount] of RATES) book.add('carrierRate', { tableId, zone, upToKilograms, amount });
  const channelId = at(channels, 'Own web shop');
  book.add('postageShare', { channelId, tableId, zone: 'home', percent: '88' });
  book.add('postageShare', { channelId, tableId, zone: 'abroad', percent: '12' });
  const pack = (line: Fields, position: number) => book.add('packingLine', { channelId, position, ...line });
  pack({ materialId: at(materials, 'Double-wall carton, large'), quantity: '1' }, 0);
  pack({ materialId: at(materials, 'Kraft paper'), quantity: '1.2', unit: 'm' }, 1);
  pack({ gradeId, quantity: '4', unit: 'min' }, 2);
  const shops = { channelId: at(channels, 'Homeware shops') };
  book.add('packingLine', { ...shops, materialId: at(materials, 'Double-wall carton, large'), quantity: '3' });
  book.add('packingLine', { ...shops, position: 1, gradeId, quantity: '15', unit: 'min' });
}
