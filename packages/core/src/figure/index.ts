export { figureKey, isFigure, isPartial, isWhole, type Figure, type Operation, type PublishedOf } from './figure.js';
export { folded } from './folded.js';
export {
  defineGaps,
  gapMaker,
  gapSentence,
  type Gap,
  type GapDefinition,
  type GapDefinitions,
  type Place,
} from './gap.js';
export { FIGURE_GAPS, figureGap } from './gaps.js';
export { constant, emptyInput, input, missing, ofMissingRow, overridden } from './leaves.js';
export {
  apportionedShares,
  band,
  choice,
  difference,
  largest,
  percentOf,
  multiplied,
  quotient,
  rounded,
  shaped,
  shareOf,
  smallest,
  sum,
  wholeOf,
  type Bearer,
  type Called,
} from './operations.js';
export { formulaOf, type FormulaToken } from './operation-table.js';
export { sameValue } from './same-value.js';
export { runningSum } from './running-sum.js';
export { slopes, type Slope } from './slopes.js';
export { stillMadeOf, type CalledOf } from './still-made-of.js';
