import { fieldsOf, fieldValue, type FieldSpec, type Kind, type StoredRow } from '@nuvar/book';
import { useMemo } from 'react';
import { useAppSelector } from '../../state/store.js';
import { updateOf } from '../../book/operations.js';
import { useAll, useEdit, useMayEdit, useRow, useSettings } from '../../book/use-book.js';
import { dayText, typedText, unitWords } from '../../figures/format.js';
import { BookValue } from './book-value.js';
import { DayInput } from './day-input.js';
import { isRefusal, readField, readInUnit, type FieldReading } from './read-field.js';
import { knownUnits } from './known-units.js';
import { SelectInput } from './select-input.js';
import { TypedInput } from './typed-input.js';
import { Field, TrialMark } from './fields.js';

interface RowFieldProps {
  readonly kind: Kind;
  readonly id: string;
  readonly field: string;
  /** In place of the label that the row class gives. */
  readonly label?: string;
  /** Stands behind the field: a unit or a period. */
  readonly suffix?: string;
  /** The code of the unit in which the field counts or measures: it may be typed along, or another one that fits. */
  readonly unit?: string;
  /** Words for the choices of the field. */
  readonly words?: Readonly<Record<string, string>>;
  readonly placeholder?: string;
  /** The control with its label close behind it, for a few ticks in one line. */
  readonly isBare?: boolean;
  /** True where the label stands elsewhere: it is only said to those who hear it. */
  readonly isNameless?: boolean;
}

/** One field of a row with its label, edited where it stands. What control it gets follows from what the row class says. */
export function RowField({
  kind,
  id,
  field,
  label,
  suffix,
  unit,
  words,
  placeholder,
  isBare,
  isNameless,
}: RowFieldProps) {
  const spec = useMemo(() => fieldsOf(kind).find((each) => each.name === field), [kind, field]);
  const row = useRow(kind, id);
  const override = useAppSelector(({ book }) => book.trial.find((each) => each.id === id && each.field === field));
  const { locale } = useSettings();
  if (row === undefined || spec === undefined) return null;
  const name = label ?? spec.label;
  const baseline = fieldValue(row, field);
  const control = (
    <BookValue place={`${id}.${field}`}>
      <FieldControl kind={kind} row={row} spec={spec} name={name} unit={unit} words={words} placeholder={placeholder} />
    </BookValue>
  );
  if (isNameless) return control;
  if (isBare)
    return (
      <label className="flex items-center gap-1">
        {control} {name}
      </label>
    );
  return (
    <Field label={name}>
      {control}
      {suffix !== undefined && <span className="text-soft whitespace-nowrap">{suffix}</span>}
      {override !== undefined && (
        <TrialMark>
          tried: {typedText(String(override.value), locale)} instead of{' '}
          {typedText(String(baseline ?? 'nothing'), locale)}
        </TrialMark>
      )}
    </Field>
  );
}

interface ControlProps {
  readonly kind: Kind;
  readonly row: StoredRow;
  readonly spec: FieldSpec;
  readonly name: string;
  readonly unit: string | undefined;
  readonly words: Readonly<Record<string, string>> | undefined;
  readonly placeholder: string | undefined;
}

function FieldControl({ kind, row, spec, name, unit, words, placeholder }: ControlProps) {
  const edit = useEdit();
  const mayEdit = useMayEdit();
  const { locale } = useSettings();
  const value = fieldValue(row, spec.name);
  const place = `${row.id}.${spec.name}`;
  const write = (next: unknown): string | null => edit(updateOf(kind, row, { [spec.name]: next }))[0]?.sentence ?? null;
  switch (spec.type) {
    case 'flag':
      return (
        <input
          type="checkbox"
          className="checkbox checkbox-xs"
          aria-label={name}
          data-place={place}
          checked={value === true}
          disabled={!mayEdit}
          onChange={(event) => write(event.target.checked)}
        />
      );
    case 'choice':
    case 'unit': {
      const choices = spec.type === 'unit' ? knownUnits() : (spec.choices ?? []);
      const said = choices.map((choice) => ({ value: choice, label: words?.[choice] ?? unitWords(choice) }));
      const options = spec.nullable ? [{ value: '', label: words?.[''] ?? 'not chosen' }, ...said] : said;
      return (
        <SelectInput
          label={name}
          place={place}
          value={String(value ?? '')}
          options={options}
          commit={(next) => write(next === '' && spec.nullable ? null : next)}
          disabled={!mayEdit}
        />
      );
    }
    case 'reference':
      return (
        <ReferenceControl
          kind={spec.target as Kind}
          name={name}
          place={place}
          value={value}
          nullable={spec.nullable}
          empty={words?.[''] ?? 'not chosen'}
          write={write}
          disabled={!mayEdit}
        />
      );
    default: {
      const read = (typed: string) =>
        unit === undefined ? readField(spec, typed, locale) : readInUnit(spec, typed, locale, unit);
      const field = {
        label: name,
        place,
        readOnly: !mayEdit,
        placeholder,
        preview: (typed: string) => previewOf(spec, read(typed), typed, locale),
        commit: (typed: string) => {
          const reading = read(typed);
          return isRefusal(reading) ? reading.refusal : write(reading.value);
        },
      };
      const text = value === null || value === undefined ? '' : String(value);
      if (spec.type === 'day') return <DayInput {...field} value={dayText(text, locale)} day={text} />;
      const isNumber = spec.type === 'decimal' || spec.type === 'integer';
      return (
        <TypedInput {...field} value={spec.type === 'decimal' ? typedText(text, locale) : text} numeric={isNumber} />
      );
    }
  }
}

/** How a number is read, said only where it differs from what was typed. */
function previewOf(spec: FieldSpec, reading: FieldReading, typed: string, locale: string): string | null {
  if (spec.type !== 'decimal' && spec.type !== 'integer' && spec.type !== 'day') return null;
  if (typed.trim() === '') return null;
  if (isRefusal(reading)) return null;
  const shown = typedText(reading.shown, locale);
  return shown === typed.trim() ? null : `= ${shown}`;
}

interface ReferenceProps {
  readonly kind: Kind;
  readonly name: string;
  readonly place: string;
  readonly value: unknown;
  readonly nullable: boolean;
  /** What is said where none is chosen. */
  readonly empty: string;
  readonly disabled: boolean;
  readonly write: (next: unknown) => string | null;
}

function ReferenceControl({ kind, name, place, value, nullable, empty, write, disabled }: ReferenceProps) {
  const rows = useAll(kind);
  const options = rows.map((row) => ({ value: row.id, label: String(fieldValue(row, 'name')) }));
  const all = nullable || value === null ? [{ value: '', label: empty }, ...options] : options;
  return (
    <SelectInput
      label={name}
      place={place}
      value={String(value ?? '')}
      options={all}
      disabled={disabled}
      commit={(next) => write(next === '' ? null : next)}
    />
  );
}
