import type { FieldSpec } from '@nuvar/book';
import { convert, readNumber, readPower } from '@nuvar/core';
import { decimalSign, manyUnits, typedText, unitWords } from '../../figures/format.js';
import { readDayText } from './read-day-text.js';
import { readUnit, typedQuantity, unknownUnitSentence } from './known-units.js';

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
    case 'day':
      return readDayText(tidy, locale);
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
  const sign = decimalSign(locale);
  if (spec.measuredIn === 'kW') return readPowerField(spec, text, locale);
  const read = readNumber(text, sign);
  if (read === null) {
    const worded = typedQuantity(text, locale);
    if (worded !== null && 'unknownUnit' in worded)
      return { refusal: `${spec.label} takes a number without "${worded.unknownUnit}".` };
    return {
      refusal: `"${text.slice(0, 40)}" is not a number that can be read. Type it as ${typedText('12.50', locale)}, 3/4, ${typedText('18.90', locale)}/24 or 2 h 30.`,
    };
  }
  const isTime = read.unit === 'min' || read.unit === 'h';
  if (read.unit !== null && !isTime) return { refusal: `${spec.label} takes a number without "${read.unit}".` };
  const value = spec.type === 'integer' ? Number(read.value) : read.value;
  return { value, shown: isTime ? `${read.value} minutes` : read.value };
}

/**
 * Reads an amount of something that is counted or measured in a unit: "12", "12 kg", or in another unit that fits, which is
 * converted.
 */
export function readInUnit(spec: FieldSpec, text: string, locale: string, unit: string): FieldReading {
  const read = text.trim() === '' ? null : typedQuantity(text, locale);
  if (read === null) return readField(spec, text, locale);
  if ('unknownUnit' in read) return { refusal: unknownUnitSentence(read.unknownUnit) };
  const value = read.unit === null || read.unit === unit ? read.value : convert(read.value, read.unit, unit);
  return value === null
    ? { refusal: `${spec.label} is in ${manyUnits(unit)}: ${unitWords(read.unit ?? '')} cannot be converted to it.` }
    : readField(spec, typedText(value.toString(), locale), locale);
}

/** A power as it stands on a type plate; the field holds it in kilowatts. */
function readPowerField({ label }: FieldSpec, text: string, locale: string): FieldReading {
  const value = readPower(text, decimalSign(locale));
  return value === null
    ? {
        refusal: `${label} cannot be read from "${text.slice(0, 40)}". Type it as ${typedText('1.5', locale)} or 115 W.`,
      }
    : { value, shown: /[^\d.,\s]/.test(text) ? `${value} kW` : value };
}

function readChoice(spec: FieldSpec, text: string): FieldReading {
  if (spec.type === 'unit') {
    const known = readUnit(text);
    return known === undefined
      ? { refusal: unknownUnitSentence(text.slice(0, 40)) }
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

/** A quantity with its unit, typed in one go: "450 g", "6 each", "2 trays"; without a unit where none was typed. */
export function readAnyQuantity(
  text: string,
  locale: string,
): { value: string; unit: string | null } | { refusal: string } {
  const read = typedQuantity(text, locale);
  if (read === null)
    return {
      refusal: `"${text.slice(0, 40)}" is not a quantity that can be read. Type it as ${typedText('12.5', locale)}, 3/4 or 450 g.`,
    };
  return 'unknownUnit' in read ? { refusal: unknownUnitSentence(read.unknownUnit) } : read;
}
