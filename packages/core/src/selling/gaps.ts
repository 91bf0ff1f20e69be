import { defineGaps, gapMaker } from '../figure/index.js';

/** What figures of this room still lack, and the results that it states in words. */
export const SELLING_GAPS = defineGaps({
  asking: {
    'no-fee-yet': 'no percentage or amount yet of the fee "{fee}"',
    'no-units-to-spread-over': 'no units yet that are sold in a {base} of "{fee}"',
    'no-packed-measure': 'no {name} of {subject} yet',
    'nothing-packed': 'a packing line of {subject} has neither a material nor a labour grade',
    'no-packing-quantity': 'no quantity yet of {name} in the packing of {subject}',
    'packing-unit': 'the packing has {name} in {unit}, which cannot be converted',
    'no-carrier-zone': '{subject} has no rates for the zone "{zone}"',
    'above-carrier-rates': 'an order is heavier than the last rate of {subject}, {weight} kg',
    'no-size': '"{fee}" has no size in which {subject} fits',
    'nothing-planned-in-channel': 'no units are planned in {subject} that a monthly fee could be spread over',
    'no-market-price': 'no highest price yet that customers pay for {subject}',
    'no-invested': 'nothing invested is stated yet for {subject}',
    'coupon-above-price': 'the coupon on {subject} is more than its price',
    'no-target': 'no target yet for {subject}',
  },
  stated: {
    'beyond-last-band': 'the bands of "{fee}" end below this price',
    'order-never-turns': 'never: the better one stays better',
    'margin-takes-all': 'a margin of 100 % or more has no price',
    'fee-of-a-product': '"{fee}" depends on the size or weight of a product',
    'price-is-typed': '{subject} has no target, so no price is suggested',
    'target-out-of-reach': 'no price reaches this target: the {margin} approaches {limit} % but never reaches it',
    'margin-is-always': 'no price reaches this target: the {margin} is {limit} % at any price',
    'amount-out-of-reach': 'no price reaches this: fees and returns take all that a higher price brings',
    'no-ending-reaches-target':
      'no price with the ending {ending} reaches this target; without an ending it would be {plain}',
    'any-price-reaches-target': 'any price reaches this target, so none is suggested',
    'any-price-up-to': 'any price up to {limit} reaches this target, so none is suggested',
    'discount-leaves-nothing': 'no price reaches this target: the discount takes all of it',
    'discount-eats-all': 'none: a sale leaves nothing',
    'each-unit-loses': 'none: each unit loses, however large the order',
    'earned-nothing-before': 'none are needed: a sale loses before the change and gains after it',
  },
});

/** Makes a gap of this room: by its code, the place that would settle it, and the values that its sentence names. */
export const sellingGap = gapMaker(SELLING_GAPS);
