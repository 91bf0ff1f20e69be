import { unitOfMeasure, type FieldSpec } from '@nuvar/book';
import { isShortText, readNumber } from '@nuvar/core';
import { decimalSign, unitWords } from '../figures/format.js';
import { knownUnits, readUnit } from './known-units.js';

/** What was understood of a typed text: the value for the field and how it was read, or why not. */
export type FieldReading =
  { readonly value: string | number | boolean | null; readonly shown: string } | { readonly refusal: string };

export const isRefusal = <Reading extends object>(
  reading: Reading | { readonly refusal: string },
): reading is { readonly refusal: string } => 'refusal' in reading;

/** Reads what a person typed into a field, by what the field holds and how numbers are written in the country of the book. */
export function readField(spec: FieldSpec, text: string, locale: string): FieldReading {
  const tidy = text.trim();
  if (tidy === '' && spec.nullable) return { value: null, shown: '' };
  switch (spec.type) {
    case 'decimal':
    case 'integer':
      return readAmount(spec, tidy, locale);
    case 'choice':
    case 'unit':
      return readChoice(spec, tidy);
    case 'currency':
      return { value: tidy.toUpperCase(), shown: tidy.toUpperCase() };
    case 'flag': {
      const yes = ['yes', 'true', '1'].includes(tidy.toLowerCase());
      return { value: yes, shown: yes ? 'yes' : 'no' };
    }
    default:
      return { value: tidy, shown: tidy };
  }
}

function readAmount(spec: FieldSpec, text: string, locale: string): FieldReading {
  if (text === '') return { refusal: `${spec.label} cannot be empty.` };
  const read = readNumber(text, decimalSign(locale));
  if (read === null)
    return {
      refusal: `"${text.slice(0, 40)}" is not a number that can be read. Type it as 12.50, 3/4, 18.90/24 or 2 h 30.`,
    };
  const isTime = read.unit === 'min' || read.unit === 'h';
  if (read.unit !== null && !isTime) return { refusal: `${spec.label} takes a number without "${read.unit}".` };
  const value = spec.type === 'integer' ? Number(read.value) : read.value;
  return { value, shown: isTime ? `${read.value} minutes` : read.value };
}

function readChoice(spec: FieldSpec, text: string): FieldReading {
  if (spec.type === 'unit') {
    const known = readUnit(text);
    return known === undefined
      ? { refusal: `"${text.slice(0, 40)}" is not a unit that is known here.` }
      : { value: known, shown: unitWords(known) };
  }
  const found = spec.choices?.find((choice) => choice.toLowerCase() === text.toLowerCase());
  return found === undefined
    ? { refusal: `${spec.label} is one of: ${spec.choices?.join(', ')}.` }
    : { value: found, shown: found };
}

/** The units as choices, under the words that they are read by. */
export function unitChoices(codes: readonly string[]): { value: string; label: string }[] {
  return codes.map((code) => ({ value: code, label: unitWords(code) }));
}

/** A quantity with its unit, typed in one go: "450 g". The unit has to be one that can be reached here. */
export function readQuantity(
  text: string,
  locale: string,
  reachable: readonly string[],
): { value: string; unit: string | null } | { refusal: string } {
  const own = isShortText(text) ? inOwnUnit(text, locale) : null;
  const read = own ?? readNumber(text, decimalSign(locale));
  if (read === null) {
    return { refusal: `"${text.slice(0, 40)}" is not a quantity that can be read. Type it as 12.5, 3/4 or 450 g.` };
  }
  if (read.unit !== null && !reachable.includes(read.unit)) {
    return {
      refusal: `There is no way from ${unitWords(read.unit)} to ${unitWords(reachable[0] ?? '')} yet. State one under "Measured otherwise".`,
    };
  }
  return { value: read.value, unit: read.unit };
}

/** A quantity that ends in a unit of the book's own: "2 tray"; null where it does not. */
function inOwnUnit(text: string, locale: string): { value: string; unit: string } | null {
  const [, amount = '', word = ''] = /^\s*([\d.,/ ]+?)\s*([^\d\s.,/].*?)\s*$/.exec(text) ?? [];
  const unit = word === '' ? undefined : readUnit(word);
  const read = unit === undefined || unitOfMeasure(unit) !== undefined ? null : readNumber(amount, decimalSign(locale));
  return read === null || unit === undefined ? null : { value: read.value, unit };
}

/** A quantity in any unit: of a pack ("25 kg", "6 each"), or of what is not bound to a kind of unit yet. */
export const readAnyQuantity = (text: string, locale: string) => readQuantity(text, locale, knownUnits());
