import type { FeeRule, SizeTier } from './fee-rule.js';
import type { ChainStep } from './chain-step.js';
import type { Channel } from './channel.js';

type FeeTemplate = Partial<Omit<FeeRule, 'channelId' | 'position'>> & {
  readonly name: string;
  readonly sizes?: readonly Partial<Omit<SizeTier, 'ruleId' | 'position'>>[];
};

/** A kind of place to sell with typical figures: an example, to be checked against one's own contract. */
export interface ChannelTemplate {
  readonly name: string;
  /** When it is the right one, in a sentence. */
  readonly what: string;
  readonly channel: Partial<Omit<Channel, 'name'>>;
  readonly fees: readonly FeeTemplate[];
  readonly chain?: readonly Partial<Omit<ChainStep, 'channelId' | 'position'>>[];
}

const card: FeeTemplate = {
  name: 'Card payment',
  purpose: 'payment',
  takenOf: 'price and postage paid',
  percent: '1.9',
};
const perOrder = (name: string, amount: string): FeeTemplate => ({
  name,
  purpose: 'payment',
  takenOf: 'order',
  amount,
});

/** The channels that can be begun with. The figures are common practice, of no particular contract. */
export const CHANNEL_TEMPLATES: readonly ChannelTemplate[] = [
  {
    name: 'Own shop',
    what: 'customers come to you and pay by card',
    channel: { unitsPerOrder: '1.5' },
    fees: [{ ...card, takenOf: 'price paid', percent: '1.2' }],
  },
  {
    name: 'Own web shop',
    what: 'you take the orders, pack and send them',
    channel: {
      unitsPerOrder: '1.5',
      postageCharged: '4.95',
      returnsPercent: '3',
      returnHandling: '2',
      resaleablePercent: '80',
    },
    fees: [
      card,
      perOrder('Card payment, fixed', '0.25'),
      { name: 'Shop software', purpose: 'subscription', takenOf: 'month', amount: '29' },
      { name: 'Advertising', purpose: 'advertising', takenOf: 'price before tax', percent: '8' },
    ],
  },
  {
    name: 'Marketplace, sent by you',
    what: 'the marketplace takes the order, you pack and send it',
    channel: {
      unitsPerOrder: '1.2',
      postageCharged: '4.95',
      returnsPercent: '5',
      returnHandling: '2',
      resaleablePercent: '80',
    },
    fees: [
      { name: 'Commission', takenOf: 'price and postage paid', percent: '12', taxPercent: '0', givenBackPercent: '80' },
      { name: 'Payment', purpose: 'payment', takenOf: 'price and postage paid', percent: '3', amount: null },
      perOrder('Payment, fixed', '0.25'),
      { name: 'Listing', purpose: 'commission', takenOf: 'listing', amount: '0.20', spreadOver: '4' },
    ],
  },
  {
    name: 'Marketplace that sends',
    what: 'your goods lie in the store of the marketplace, which packs and sends them',
    channel: { unitsPerOrder: '1.2', returnsPercent: '6', resaleablePercent: '60', monthsInStore: '2' },
    fees: [
      { name: 'Commission', takenOf: 'price and postage paid', percent: '15', givenBackPercent: '80' },
      {
        name: 'Fulfilment',
        purpose: 'fulfilment',
        takenOf: 'size',
        volumeDivisor: '5000',
        sizes: [
          { name: 'Small parcel', longest: '35', middle: '25', shortest: '12', upToKilograms: '0.9', amount: '3.40' },
          { name: 'Standard parcel', longest: '45', middle: '34', shortest: '26', upToKilograms: '5', amount: '5.10' },
          { name: 'Large parcel', longest: '61', middle: '46', shortest: '46', upToKilograms: '12', amount: '8.60' },
        ],
      },
      { name: 'Storage', purpose: 'storage', takenOf: 'volume and month', amount: '0.026', fromMonth: 1, toMonth: 9 },
      {
        name: 'Storage before the holidays',
        purpose: 'storage',
        takenOf: 'volume and month',
        amount: '0.037',
        fromMonth: 10,
        toMonth: 12,
      },
    ],
  },
  {
    name: 'Market stall',
    what: 'you stand there on certain days',
    channel: { unitsPerOrder: '1.4' },
    fees: [
      { name: 'Stall', purpose: 'other', takenOf: 'day', amount: '45', spreadOver: '30' },
      { ...card, takenOf: 'price paid', percent: '1.7' },
    ],
  },
  {
    name: 'Retailer at a discount',
    what: 'a shop buys from you and sells on; your price here is what the shop pays',
    channel: { unitsPerOrder: '24' },
    fees: [{ name: 'Agent', purpose: 'commission', takenOf: 'price before tax', percent: '10' }],
    chain: [{ name: 'Retailer', basis: 'margin', percent: '50' }],
  },
  {
    name: 'Custom order',
    what: 'made to order for one customer, with no fees but the payment',
    channel: {},
    fees: [{ ...card, takenOf: 'price paid', percent: '1.2' }],
  },
];
