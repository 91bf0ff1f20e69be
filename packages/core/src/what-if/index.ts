export {
  BULK_TARGETS,
  BULK_WAYS,
  BULK_WITHIN,
  bulkOverrides,
  type BulkChange,
  type BulkPart,
  type BulkTarget,
  type BulkWay,
} from './bulk.js';
export { type BridgeOf } from './bridge-of.js';
export { bridge, type Bridge, type BridgePart, type Cause } from './bridge.js';
export { SUBSTITUTIONS, type Substitution } from './causes.js';
export { differenceWorking, type DifferenceWorking } from './difference-working.js';
export { goalSeek, type GoalFound, type Sought, type SoughtInput, type SoughtValue } from './goal-seek.js';
export { layWhatIf, type LaidWhatIf } from './lay-what-if.js';
export { mergeConflicts, mergeOperations, type MergeConflict } from './merge.js';
export {
  compareSides,
  MEASURES,
  type Measure,
  type MonthLine,
  type SideCell,
  type Sides,
  type Verdict,
} from './sides.js';
export { takeOver, type TakeOver } from './take-over.js';
export { twoInputs, type TriedValues } from './two-inputs.js';
export { addToWhatIf, movedSince, whatIfOperations, type ChangeNotes } from './what-if-operations.js';
