export { PRICE_LIST_FIELDS, type ColumnMapping, type PriceListField } from './fields.js';
export { guessColumns, type GuessedTable } from './guess-columns.js';
export { priceListOperations } from './price-list-operations.js';
export { readPriceList, unknownUnitWords, type ListOutcome, type ListReading, type ListRow } from './price-list.js';
