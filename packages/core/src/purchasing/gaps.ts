import { defineGaps, gapMaker } from '../figure/index.js';

/** What figures of this room still lack, and the results that it states in words. */
export const PURCHASING_GAPS = defineGaps({
  asking: {
    'no-price': 'no price yet for {subject}',
    'no-standard-price': 'no standard price set yet for {subject}',
    'no-exchange-rate': 'no exchange rate yet from {currency} to {bookCurrency} on {day}',
    'no-pack-conversion':
      '{subject} is bought by the {from} and costed by the {to}; add a unit conversion between them',
    'no-conversion-amount': 'how many {equalUnit} are {quantity} {unit} of {subject}?',
    'no-line-quantity': 'no quantity yet for {subject} in {shipment}',
    'no-line-price': 'no price yet for {subject} in {shipment}',
    'no-line-measure': 'no {measure} yet for {subject}, and its quantity does not say it in {unit}',
    'no-common-unit': '{subject} is in {from} and cannot be counted together with what is in {to}',
    'no-charge-amount': 'no amount yet for {charge}',
    'no-charge': 'no {charge} yet for {shipment}; enter 0 where there is none',
    'no-charge-in-price': 'the price of {subject} holds {charge}, and how much of it is not stated',
    'no-delivery-term': 'no delivery term yet for {subject}',
    'no-specific-duty': 'no amount yet for the specific duty on {subject}',
    'no-duty-rate': 'no duty rate yet for {subject}',
    'rule-fits-no-more': 'the rule "{rule}" no longer fits this shipment; enter {charge} or remove it',
    'rule-in-another-currency': 'the rule "{rule}" is in a different currency from {charge}',
    'no-brackets': 'no brackets yet for the rule "{rule}"',
    'brackets-overlap': 'two brackets of the rule "{rule}" have the same limit',
    'beyond-brackets': 'the rule "{rule}" has no bracket for so much',
    'no-formula': 'the formula of the rule "{rule}" cannot be used: {reason}',
    'formula-divides-by-zero': 'the formula of the rule "{rule}" divides by zero',
    'no-goods': 'no lines yet in {subject}',
    'no-goods-value': 'the goods of {subject} cost nothing, so nothing is a percentage of them',
    'basis-not-positive': '{charge} cannot be shared by {basis}: together these lines have none: {lines}',
    'paid-more-than-owed': 'more was paid for {subject} than is owed; enter the rest as a payment for what it is for',
    'part-of-price-not-stated':
      'how much of the price of {shipment} is {charge}? It does not belong to the customs value',
    'percentage-in-third-currency': '{charge} is a percentage of {one}; put it in {one} or {other}',
  },
  stated: {},
});

/** Makes a gap of this room: by its code, the place that would settle it, and the values that its sentence names. */
export const purchasingGap = gapMaker(PURCHASING_GAPS);
