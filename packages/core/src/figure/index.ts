export { figureKey, isFigure, isPartial, isWhole, type Figure, type Operation, type PublishedOf } from './figure.js';
export { folded } from './folded.js';
export { gap, GAPS, gapSentence, isStated, type Gap, type GapCode, type Place } from './gap.js';
export { constant, emptyInput, input, missing, ofMissingRow } from './leaves.js';
export {
  choice,
  difference,
  largest,
  percentOf,
  product,
  quotient,
  rounded,
  shaped,
  shareOf,
  sum,
  wholeOf,
  type Called,
} from './operations.js';
export { sameValue } from './same-value.js';
export { runningSum } from './running-sum.js';
export { slopes, type Slope } from './slopes.js';
export { stillMadeOf, type CalledOf } from './still-made-of.js';
