import {
  IsBoolean,
  IsIn,
  IsInt,
  IsISO4217CurrencyCode,
  isISO4217CurrencyCode,
  Max,
  MaxLength,
  Min,
  ValidateBy,
  ValidateIf,
  type ValidationOptions,
} from 'class-validator';
import { isDay } from './day.js';
import { compareDecimalText, isDecimalText } from './decimal-text.js';
import { isGtin } from './gtin.js';
import { nameKey } from './name-key.js';
import { isRowId } from './row-id.js';

/**
 * What is known about a field beside its TypeScript type. One decorator states the validation and this description, so
 * that forms, storage, the JSON Schema and error sentences all read the same fact.
 */
export interface FieldSpec {
  readonly name: string;
  readonly label: string;
  readonly type: 'text' | 'decimal' | 'integer' | 'choice' | 'reference' | 'unit' | 'currency' | 'day' | 'flag';
  readonly nullable: boolean;
  readonly choices?: readonly string[];
  /** For a number: between which values it lies. */
  readonly bounds?: Bounds;
  /** For a number that people write with its unit: the unit in which the field holds it. */
  readonly measuredIn?: 'kW';
  /** For a reference: the kind of row that it points to, and whether this row goes when that one is removed. */
  readonly target?: string;
  readonly goesWithTarget?: boolean;
}

/** The values between which a number lies: the smallest and largest allowed, or those that it stays above and below. */
export interface Bounds {
  readonly from?: string;
  readonly to?: string;
  readonly above?: string;
  readonly below?: string;
}

interface FieldOptions {
  readonly label: string;
  readonly nullable?: boolean;
}

const SPECS = new Map<unknown, FieldSpec[]>();

/** The fields that a row class declares, its own after those it inherits. */
export function declaredFields(rowClass: { prototype: object }): readonly FieldSpec[] {
  const inherited = Object.getPrototypeOf(rowClass.prototype) as object | null;
  const above = inherited && inherited !== Object.prototype ? declaredFields({ prototype: inherited }) : [];
  return [...above, ...(SPECS.get(rowClass.prototype) ?? [])];
}

type Check = (options: ValidationOptions) => PropertyDecorator;

function field(
  spec: Omit<FieldSpec, 'name' | 'nullable'>,
  options: FieldOptions,
  checks: readonly Check[],
): PropertyDecorator {
  return (target, property) => {
    const nullable = options.nullable ?? false;
    SPECS.set(target, [...(SPECS.get(target) ?? []), { ...spec, name: String(property), nullable }]);
    if (nullable) ValidateIf((_row, value) => value !== null)(target, property);
    for (const check of checks) check({})(target, property);
  };
}

/** What a value has to be, and what is said where it is not. A later one of several may take the earlier ones for true. */
type Demand<Value> = readonly [message: string, passes: (value: Value) => boolean];

/**
 * A validation of several demands in turn, of which the first that is not met is told: one is quicker than many for the
 * tens of thousands of rows of a book file. The name says to the JSON Schema what the value is.
 */
function check<Value>(
  name: string,
  message: string,
  isRight: (value: unknown) => value is Value,
  ...more: readonly Demand<Value>[]
): Check {
  const sentenceFor = (value: unknown) => (isRight(value) ? more.find(([, passes]) => !passes(value))?.[0] : message);
  const validator = {
    validate: (value: unknown) => sentenceFor(value) === undefined,
    defaultMessage: (told?: { value: unknown }) => sentenceFor(told?.value) ?? message,
  };
  return (options) => ValidateBy({ name, validator }, options);
}

/**
 * Text that can be stored and sent: without the sign that ends texts in older programs, which the database refuses, and
 * without half a letter (a lone surrogate), which has no form in UTF-8.
 */
export const isPlainText = (value: unknown): value is string =>
  typeof value === 'string' && !value.includes('\0') && !/\p{Surrogate}/u.test(value);

/** A short name that has to be there. */
export const Name = ({ label, ...options }: FieldOptions) =>
  field({ type: 'text', label }, { label, ...options }, [
    check(
      'text',
      `${label} must be text.`,
      isPlainText,
      [`${label} cannot be empty.`, (value) => value.trim() !== ''],
      [`${label} cannot begin or end with a space.`, (value) => value === value.trim()],
      // A few letters stand for whole words, and the key of a name has to fit into an index.
      [`${label} is too long.`, (value) => value.length > 120 || nameKey(value).length <= 480],
    ),
    (more) => MaxLength(120, { ...more, message: `${label} can have at most 120 characters.` }),
  ]);

/** A longer text that may be empty. */
export const Text = (options: FieldOptions) => textOfAtMost(2000, '2,000', options);

/** A text that a whole row fits into, written out. */
export const LongText = (options: FieldOptions) => textOfAtMost(30_000, '30,000', options);

const textOfAtMost = (most: number, mostWords: string, options: FieldOptions) =>
  field({ type: 'text', label: options.label }, options, [
    check('text', `${options.label} must be text.`, isPlainText),
    (more) => MaxLength(most, { ...more, message: `${options.label} can have at most ${mostWords} characters.` }),
  ]);

/** A decimal string within stated bounds. */
export function DecimalText(options: FieldOptions & Bounds & Pick<FieldSpec, 'measuredIn'>): PropertyDecorator {
  const { label, nullable: _nullable, measuredIn, ...bounds } = options;
  const { from, to, above, below } = bounds;
  const demands: Demand<string>[] = [];
  const demand = (bound: string | undefined, words: string, fits: (order: number) => boolean) => {
    if (bound !== undefined)
      demands.push([`${label} ${words} ${bound}.`, (value) => fits(compareDecimalText(value, bound))]);
  };
  demand(from, 'cannot be less than', (order) => order >= 0);
  demand(to, 'cannot be more than', (order) => order <= 0);
  demand(above, 'must be more than', (order) => order > 0);
  demand(below, 'must be less than', (order) => order < 0);
  const message = `${label} must be a plain decimal such as "12.50".`;
  return field({ type: 'decimal', label, bounds, ...(measuredIn && { measuredIn }) }, options, [
    check('decimalText', message, isDecimalText, ...demands),
  ]);
}

/** A whole number within stated bounds. */
export const WholeNumber = (options: FieldOptions & { from: number; to: number }) =>
  field(
    { type: 'integer', label: options.label, bounds: { from: String(options.from), to: String(options.to) } },
    options,
    [
      (more) => IsInt({ ...more, message: `${options.label} must be a whole number.` }),
      (more) => Min(options.from, { ...more, message: `${options.label} cannot be less than ${options.from}.` }),
      (more) => Max(options.to, { ...more, message: `${options.label} cannot be more than ${options.to}.` }),
    ],
  );

/** One of a few named choices. */
export const Choice = (choices: readonly string[], options: FieldOptions) =>
  field({ type: 'choice', label: options.label, choices }, options, [
    (more) => IsIn([...choices], { ...more, message: `${options.label} must be one of: ${choices.join(', ')}.` }),
  ]);

/** A unit of measure: one that Nuvar knows, or by its name one of the book's own, which a rule of the book looks up. */
export const UnitCode = (options: FieldOptions) =>
  field({ type: 'unit', label: options.label }, options, [
    check('unit', `${options.label} must be a unit such as kg or each.`, isUnitText),
  ]);

const isUnitText = (value: unknown): value is string =>
  isPlainText(value) && value.length > 0 && value.length <= 40 && value === value.trim();

/** A Global Trade Item Number, or nothing. */
export const Gtin = (options: FieldOptions) =>
  field({ type: 'text', label: options.label }, options, [
    check('text', `${options.label} must be text.`, isPlainText, [
      `${options.label} has 8, 12, 13 or 14 digits, of which the last is a check digit; this one does not fit.`,
      (value) => value === '' || isGtin(value),
    ]),
  ]);

/** True for a code of ISO 4217, the same by which rows are held. */
export const isCurrencyCode = (text: string): boolean => isISO4217CurrencyCode(text);

/** A currency by its ISO 4217 code. */
export const CurrencyCode = (options: FieldOptions) =>
  field({ type: 'currency', label: options.label }, options, [
    check('text', `${options.label} must be text.`, isPlainText),
    (more) =>
      IsISO4217CurrencyCode({ ...more, message: `${options.label} must be a currency code such as EUR or USD.` }),
  ]);

/** A calendar day, "2026-03-31". */
export const Day = (options: FieldOptions) =>
  field({ type: 'day', label: options.label }, options, [
    check('day', `${options.label} must be a day such as 2026-03-31.`, isDay),
  ]);

/** Yes or no. */
export const Flag = (options: FieldOptions) =>
  field({ type: 'flag', label: options.label }, options, [
    (more) => IsBoolean({ ...more, message: `${options.label} must be yes or no.` }),
  ]);

/** Points to another row of the same book. */
export const Reference = (target: string, options: FieldOptions & { goesWithTarget: boolean }) =>
  field({ type: 'reference', label: options.label, target, goesWithTarget: options.goesWithTarget }, options, [
    check('rowId', `${options.label} must be the id of a row.`, isRowId),
  ]);
