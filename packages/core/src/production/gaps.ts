import { defineGaps, gapMaker } from '../figure/index.js';

/** What figures of this room still lack, and the results that it states in words. */
export const PRODUCTION_GAPS = defineGaps({
  asking: {
    'no-quantity': 'no quantity yet for {item} in {subject}',
    'no-conversion': '{item} in {subject} is in {from} and costed by the {to}; add a unit conversion between them',
    'no-sheet-size': 'no sheet length or width yet for {subject}, from which parts are cut',
    'no-part-size': 'no length or width yet for a part that is cut from {subject}',
    'part-does-not-fit': 'a part is larger than a sheet of {subject}',
    'not-linked': '"{text}" in {subject} is not linked to a material yet',
    'no-grade': 'no labour grade chosen yet for "{step}" of {subject}',
    'no-wage': 'no wage yet for {subject}',
    'no-paid-hours': 'no paid hours a year yet for {subject}, over which its pay, holidays and absences are spread',
    'no-hours-at-work': 'the holidays and absences of {subject} take up all the paid hours of its year',
    'no-time': 'no time yet for "{step}" of {subject}',
    'no-typed-hours': 'no labour hours yet for {subject}',
    'no-tariff': 'no electricity price yet, needed for {subject}',
    'no-equipment-cost': 'no power, wear or upkeep yet for {subject}',
    'no-purchase-price': 'no purchase price yet for {subject}; it is needed to work out its wear',
    'no-life': 'no life in hours yet for {subject}; it is needed to work out its wear',
    'no-hours-a-year': 'no hours a year yet for {subject}, over which what it costs in a year is spread',
    'no-floor-cost': 'no cost of a square metre of floor yet, needed for {subject}',
    'no-joint-cost': 'no joint cost yet for {subject}: choose the product that it is costed by, or enter it',
    'no-output-quantity': 'how much {output} comes out of {subject}?',
    'no-output-price': 'no {price} yet for {output} of {subject}',
    'joint-units-differ':
      '{output} is in {unit} and cannot be added to {otherUnit}, so {subject} cannot be split by quantity',
    'joint-basis-of-zero': 'the basis by which {subject} is split is zero',
    'joint-unit-of-product': '{output} comes out in {unit}, and {product} is counted by the {otherUnit}',
    'residual-above-price': 'the renet proceeds of {subject} is above its purchase price',
    'no-machine': 'no equipment chosen yet for {subject}',
    'no-run-size': 'no hours or space yet for {subject}',
    'no-use-amount': 'no time or space yet on {machine} for {subject}',
    'space-or-time': '{subject} uses {machine} by time or by space, which does not fit it',
    'no-scrap': 'no quantity or value yet for the by-product or scrap {subject}',
    'no-cost-amount': 'no amount yet for "{cost}" of {subject}',
    'nothing-in-it': '{subject} has no materials, labour or other costs yet',
    'component-loop': '{subject} contains itself',
    'too-many-levels': '{subject} has more than {most} levels of components, which are not worked out',
    'no-planned-units': 'no planned units per month yet for {subject}',
    'season-of-zero': 'every month of the season {subject} is zero',
  },
  stated: {
    'planned-elsewhere': 'the planned units of {subject} are counted at {channel}',
  },
});

/** Makes a gap of this room: by its code, the place that would settle it, and the values that its sentence names. */
export const productionGap = gapMaker(PRODUCTION_GAPS);
