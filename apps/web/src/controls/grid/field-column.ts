import { fieldsOf, fieldValue, type Kind } from '@nuvar/book';
import { dayText, typedText } from '../../figures/format.js';
import type { InputColumn } from './grid-model.js';
import { isRefusal, readField } from '../fields/read-field.js';

interface FieldColumnOptions {
  readonly header?: string;
  /** Words for the choices of the field. */
  readonly words?: Readonly<Record<string, string>>;
  readonly placeholder?: string;
}

/** A column that shows one field of the rows of a kind; what it takes follows from what the row class says. */
export function fieldColumn<Row extends { readonly id: string }>(
  kind: Kind,
  field: keyof Row & string,
  locale: string,
  options: FieldColumnOptions = {},
): InputColumn<Row, Partial<Row>> {
  const found = fieldsOf(kind).find((each) => each.name === field);
  if (found === undefined) throw new RangeError(`A ${kind} has no field "${field}".`);
  const { words, placeholder } = options;
  const spec = { ...found, label: options.header ?? found.label };
  const isNumber = spec.type === 'decimal' || spec.type === 'integer';
  const inWords = (value: unknown) => words?.[String(value)] ?? String(value);
  const choices = spec.type === 'flag' ? ['true', 'false'] : (spec.choices ?? []);
  const labels = words ?? (spec.type === 'flag' ? { true: 'yes', false: 'no' } : {});
  const offered = choices.map((value) => ({ value: labels[value] ?? value, label: labels[value] ?? value }));
  return {
    id: field,
    header: spec.label,
    type: isNumber
      ? 'number'
      : spec.type === 'choice' || spec.type === 'flag'
        ? 'choice'
        : spec.type === 'day'
          ? 'day'
          : 'text',
    ...(placeholder === undefined ? {} : { placeholder }),
    stored: (row) => {
      const value = fieldValue(row, field);
      return value === null || value === undefined ? '' : spec.type === 'choice' ? inWords(value) : String(value);
    },
    place: (row) => `${row.id}.${field}`,
    options: () => offered,
    text: (row) => {
      const value = fieldValue(row, field);
      if (value === null || value === undefined) return '';
      if (spec.type === 'flag') return value === true ? (labels.true ?? 'yes') : (labels.false ?? 'no');
      if (spec.type === 'day') return dayText(String(value), locale);
      return spec.type === 'decimal' ? typedText(String(value), locale) : inWords(value);
    },
    read: (text) => {
      const meant = choices.find((value) => labels[value]?.toLowerCase() === text.trim().toLowerCase()) ?? text;
      const reading = readField(spec, meant, locale);
      if (isRefusal(reading))
        return spec.type === 'choice'
          ? { refusal: `${spec.label} is one of: ${offered.map(({ label }) => label).join(', ')}.` }
          : reading;
      return {
        patch: { [field]: reading.value } as Partial<Row>,
        shown: isNumber
          ? typedText(reading.shown, locale)
          : spec.type === 'day'
            ? reading.shown
            : inWords(reading.value),
      };
    },
  };
}
