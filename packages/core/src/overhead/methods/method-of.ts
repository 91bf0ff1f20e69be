import { METHOD_TYPES, type MethodType, SERVICE_METHODS, type ServiceMethod } from '@nuvar/book';
import { type Calculation, type Sheet, WHOLE_BOOK } from '../../sheet/index.js';
import type { MethodRow } from './method.js';

/** The id of the method that every book has: one rate on labour hours at normal capacity. */
export const STANDARD_METHOD = 'standard';

const STANDARD: MethodRow = {
  id: STANDARD_METHOD,
  name: 'Single rate on productive hours',
  type: 'single rate',
  basis: 'labour hours',
  normalCapacity: null,
  capacity: 'normal',
  serviceMethod: 'reciprocal',
};

/** A method by its id, or in its standard form by its type; the standard method where there is none of that id. */
export function methodOf(sheet: Sheet, id: string): MethodRow {
  const row = sheet.row('costingMethod', id);
  if (row !== undefined) return row;
  const type = METHOD_TYPES.find((each) => each === id);
  return type === undefined ? STANDARD : { ...STANDARD, id: type, type, name: TYPE_NAMES[type] };
}

const TYPE_NAMES: Readonly<Record<MethodType, string>> = {
  'single rate': 'Single rate',
  'by department': 'By department',
  activities: 'By activity',
  'time-driven activities': 'By time',
};

/** How service departments pass on their cost: by the method of that id, or as the id itself says. */
export const serviceMethodOf = (sheet: Sheet, id: string): ServiceMethod =>
  SERVICE_METHODS.find((each) => each === id) ?? methodOf(sheet, id).serviceMethod;

const bookMethod: Calculation<string> = {
  name: 'methodOfTheBook',
  meanings: {},
  work: (sheet) => sheet.all('costingMethod').find(({ role }) => role === 'book')?.id ?? STANDARD_METHOD,
};

/** The id of the method by which all cards and prices of the book are worked out. */
export const methodOfTheBook = (sheet: Sheet): string => sheet.read(bookMethod, WHOLE_BOOK);
