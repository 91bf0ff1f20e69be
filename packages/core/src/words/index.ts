export { LOOSE_END_TITLES } from './loose-end-titles.js';
export {
  differenceWords,
  endWords,
  inGoal,
  limitWords,
  listed,
  MIX_GOAL_WORDS,
  MIX_OUTCOME_WORDS,
  moneyDigits,
  type MixWriting,
  oneInWords,
  shortageWords,
  totalRule,
} from './mix-sentences.js';
export { mixReasons, type MixReason, rankingWords } from './mix-reasons.js';
export { CAUSE_WORDS, MEASURE_WORDS, MONTH_WORDS } from './side-words.js';
