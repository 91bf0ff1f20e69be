export { isOfField, type FieldOverride, type Override, type RowOverride } from './override.js';
export {
  inOrderOfWhatIf,
  isOpenToWhatIfs,
  readOverride,
  readValue,
  WHAT_IF_WORDS,
  writtenOverride,
  type ReadOverride,
} from './what-if-change.js';
