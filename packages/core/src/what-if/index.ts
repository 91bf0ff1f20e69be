export { layChanges, layWhatIf, type LaidWhatIf } from './lay-what-if.js';
export { addToWhatIf, movedSince, whatIfOperations, type ChangeNotes } from './what-if-operations.js';
export { takeOver, type TakeOver } from './take-over.js';
export { mergeConflicts, mergeOperations, type MergeConflict } from './merge.js';
