import { fieldsOf, fieldValue, type FieldSpec, type Kind, type StoredRow } from '@nuvar/book';
import { useMemo } from 'react';
import { useAppSelector } from '../state/store.js';
import { updateOf } from '../book/operations.js';
import { useAll, useEdit, useMayEdit, useRow, useSettings } from '../book/use-book.js';
import { typedText, unitWords } from '../figures/format.js';
import { isRefusal, readField } from './read-field.js';
import { knownUnits } from './known-units.js';
import { SelectInput } from './select-input.js';
import { TypedInput } from './typed-input.js';

interface RowFieldProps {
  readonly kind: Kind;
  readonly id: string;
  readonly field: string;
  /** In place of the label that the row class gives. */
  readonly label?: string;
  /** Stands behind the field: a unit or a period. */
  readonly suffix?: string;
  /** Words for the choices of the field. */
  readonly words?: Readonly<Record<string, string>>;
  readonly placeholder?: string;
}

/** One field of a row with its label, edited where it stands. What control it gets follows from what the row class says. */
export function RowField({ kind, id, field, label, suffix, words, placeholder }: RowFieldProps) {
  const spec = useMemo(() => fieldsOf(kind).find((each) => each.name === field), [kind, field]);
  const row = useRow(kind, id);
  const override = useAppSelector(({ book }) => book.trial.find((each) => each.id === id && each.field === field));
  const { locale } = useSettings();
  if (row === undefined || spec === undefined) return null;
  const name = label ?? spec.label;
  const baseline = fieldValue(row, field);
  return (
    <div className="field">
      <span className="field-label" aria-hidden="true">
        {name}
      </span>
      <span className="field-control">
        <FieldControl kind={kind} row={row} spec={spec} name={name} words={words} placeholder={placeholder} />
        {suffix !== undefined && <span className="text-soft whitespace-nowrap">{suffix}</span>}
        {override !== undefined && (
          <span className="trial-mark">
            tried: {typedText(String(override.value), locale)} instead of{' '}
            {typedText(String(baseline ?? 'nothing'), locale)}
          </span>
        )}
      </span>
    </div>
  );
}

interface ControlProps {
  readonly kind: Kind;
  readonly row: StoredRow;
  readonly spec: FieldSpec;
  readonly name: string;
  readonly words: Readonly<Record<string, string>> | undefined;
  readonly placeholder: string | undefined;
}

function FieldControl({ kind, row, spec, name, words, placeholder }: ControlProps) {
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
          className="checkbox checkbox-sm"
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
      const text =
        value === null || value === undefined
          ? ''
          : spec.type === 'decimal'
            ? typedText(String(value), locale)
            : String(value);
      return (
        <TypedInput
          label={name}
          place={place}
          value={text}
          numeric={spec.type === 'decimal' || spec.type === 'integer'}
          type={spec.type === 'day' ? 'date' : 'text'}
          readOnly={!mayEdit}
          placeholder={placeholder}
          preview={(typed) => previewOf(spec, typed, locale)}
          commit={(typed) => {
            const reading = readField(spec, typed, locale);
            return isRefusal(reading) ? reading.refusal : write(reading.value);
          }}
        />
      );
    }
  }
}

/** How a number is read, said only where it differs from what was typed. */
export function previewOf(spec: FieldSpec, typed: string, locale: string): string | null {
  if (spec.type !== 'decimal' && spec.type !== 'integer') return null;
  if (typed.trim() === '') return null;
  const reading = readField(spec, typed, locale);
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
