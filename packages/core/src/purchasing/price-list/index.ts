export { PRICE_LIST_FIELDS, type ColumnMapping, type PriceListField } from './fields.js';
export { guessColumns, type GuessedTable } from './guess-columns.js';
export { priceListOperations } from './price-list-operations.js';
export { listNoteSentence, type ListNote } from './list-note.js';
export type { ListOutcome, ListReading, ListRow } from './list-row.js';
export { readPriceList, unknownUnitWords } from './price-list.js';
