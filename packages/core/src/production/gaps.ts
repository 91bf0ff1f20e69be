import { defineGaps, gapMaker } from '../figure/index.js';

/** What figures of this room still lack, and the results that it states in words. */
export const PRODUCTION_GAPS = defineGaps({
  asking: {
    'no-quantity': 'no quantity yet of {item} in {subject}',
    'no-conversion': 'no way yet from {from} to {to} for {item} in {subject}',
    'not-linked': '{subject} takes "{text}", which is not linked to a material yet',
    'no-grade': 'no labour grade chosen yet for "{step}" of {subject}',
    'no-wage': 'no wage yet for {subject}',
    'no-time': 'no time yet for "{step}" of {subject}',
    'no-typed-hours': 'how many hours of work are in one {subject}?',
    'no-tariff': 'no price of electricity yet, which {subject} needs',
    'no-equipment-cost': 'nothing is said yet about what an hour of {subject} costs',
    'no-purchase-price': 'what did {subject} cost when it was bought? Its life is known, so its wear can be counted',
    'no-life': 'how many hours will {subject} last? What it cost is known, so its wear can be counted',
    'residual-above-price': '{subject} is worth more at the end of its life than it cost',
    'no-machine': 'no machine chosen yet for {subject}',
    'no-run-size': 'no hours or space yet for {subject}',
    'no-use-amount': 'no time or space yet on {machine} for {subject}',
    'space-or-time': '{subject} takes time of a machine or space of a shared load: that does not go with {machine}',
    'no-scrap': 'no quantity or worth yet of what is won back: {subject}',
    'no-cost-amount': 'no amount yet for "{cost}" of {subject}',
    'nothing-in-it': 'nothing is said yet about what goes into {subject}',
    'component-loop': '{subject} contains itself',
    'too-many-levels': '{subject} stands on more than {most} levels of components, which are not worked out',
    'no-planned-units': 'no planned units per month yet for {subject}',
  },
  stated: {
    'planned-elsewhere': 'the planned units of {subject} are counted at {channel}',
  },
});

/** Makes a gap of this room: by its code, the place that would settle it, and the values that its sentence names. */
export const productionGap = gapMaker(PRODUCTION_GAPS);
