import { defineGaps, gapMaker } from '../figure/index.js';

/** What figures of this room still lack, and the results that it states in words. */
export const PLANNING_GAPS = defineGaps({
  asking: {
    'no-candidate-price': 'no price to compare yet',
    'no-stock-day': 'no month yet at whose beginning the finished stock of {subject} was counted',
    'planned-without-price': '{subject} is planned in a channel in which it has no price',
    'no-yearly-need': 'how much {subject} is needed in a year? Nothing that is planned needs it',
    'no-mix-contribution': 'what does a unit of {subject} leave? Choose a channel, or type its contribution',
    'no-mix-price': '{subject} has no price in {channel}',
    'no-mix-revenue': 'what does a unit of {subject} bring? Choose a channel, or type its net revenue',
    'no-mix-cost': 'what does a unit of {subject} cost? Type its variable cost',
    'no-mix-supply': 'how much of {subject} is there in the period of the plan?',
    'no-extra-price': 'what does extra {subject} cost?',
    'no-decision-cost': 'how much is "{subject}" a month?',
    'no-decision-price': 'which price is asked or offered for a unit of {subject}?',
    'no-order-units': 'how many of {subject} are ordered?',
    'no-hour-earns': 'what does a scarce hour earn otherwise? {subject} frees or takes some',
    'no-mix-total': 'how many units does "{subject}" stand for?',
  },
  stated: {
    'no-break-even-in-steps': 'no break-even: none lies inside its own step of the fixed cost',
    'step-without-break-even': 'no break-even in this step',
    'never-breaks-even': 'never breaks even: a sale leaves nothing towards the fixed cost',
    'loses-each-sale': 'never breaks even: each sale loses {loss}',
    'breaks-even-at-any-volume':
      'breaks even at any volume: there is no fixed cost to cover, and a sale leaves nothing',
  },
});

/** Makes a gap of this room: by its code, the place that would settle it, and the values that its sentence names. */
export const planningGap = gapMaker(PLANNING_GAPS);
