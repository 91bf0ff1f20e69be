import { defineGaps, gapMaker } from '../figure/index.js';

/** What figures of this room still lack, and the results that it states in words. */
export const OVERHEAD_GAPS = defineGaps({
  asking: {
    'no-running-amount': 'no amount yet for {subject}',
    'no-months': 'over how many months is {subject} spread?',
    'no-start': 'from which day does {subject} count?',
    'no-steps': 'no steps yet for {subject}',
    'beyond-last-step': 'the plan goes beyond {last} {driver}, the last step of {subject}',
    'no-open-day': 'the calendar has no open day',
    'no-labour-hours': 'no labour hours yet to share the running costs by',
    'no-basis': 'there are no {basis} to share the overhead of {subject} by',
    'no-volume': 'no driver volume for {subject}: nothing planned uses it, and no practical volume is entered',
    'no-driver-units': 'how often is {subject} done for {product}?',
    'no-planned-output': 'no planned units of {product}, over which the monthly use of {subject} would be spread',
    'pool-without-department': 'the overhead of {subject} has no department and no apportionment basis',
    'pool-without-activity': 'part of {subject} is in no activity',
    'no-measure': 'how much {basis} does {subject} have?',
    'apportionment-of-zero': '{basis} is zero in every department, so {subject} cannot be apportioned by it',
    'service-unused': 'no department uses {subject} yet',
    'services-in-a-circle': '{subject} serve only each other, so their cost reaches no production department',
    'no-department': '{subject} has labour or machine hours in no department',
    'no-practical-minutes': 'how many minutes can the resources of {subject} work in a month?',
    'no-minutes': 'how many minutes does {subject} take?',
    'no-income': 'no income wanted yet for {subject}',
    'no-billable-hours': 'no billable hours are left for {subject}',
    'no-actual': 'no {what} yet for the month',
    'more-in-stock-than-absorbed': 'more overhead is said to be in stock than was absorbed in the month',
    'no-actual-basis': 'no actual {basis} yet for {subject}',
  },
  stated: {},
});

/** Makes a gap of this room: by its code, the place that would settle it, and the values that its sentence names. */
export const overheadGap = gapMaker(OVERHEAD_GAPS);
