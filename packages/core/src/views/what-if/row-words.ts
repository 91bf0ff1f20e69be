import {
  dayText,
  fieldsOf,
  fieldValue,
  isOfField,
  type Kind,
  labelOfField,
  labelOfKind,
  NAMED_KINDS,
  type Override,
  type StoredRow,
  subjectOf,
  valueWords,
} from '@nuvar/book';
import { overriddenValue, type RowsBelow } from '../../sheet/index.js';

/** A difference between two states of a book in words: of what, which field, and what it is on both sides. */
export interface DifferenceWords {
  readonly kind: Kind;
  readonly id: string;
  /** Empty where a whole row is added or removed. */
  readonly field: string;
  readonly how: Override['how'];
  /** What the row is called, and what kind of row it is. */
  readonly subject: string;
  readonly kindLabel: string;
  readonly fieldLabel: string;
  readonly before: string;
  readonly after: string;
}

/** A difference in words. `below` are the rows before it, `above` those in which a row that was added is named. */
export function overrideWords(override: Override, below: RowsBelow, above: RowsBelow, locale: string): DifferenceWords {
  const { kind, id, how } = override;
  const nameOf = namesIn([above, below]);
  const base = below.row(kind, id) as StoredRow | undefined;
  const row = base ?? (above.row(kind, id) as StoredRow | undefined) ?? addedRow(override);
  const field = isOfField(override) ? override.field : '';
  const words = (value: unknown) => valueWords(kind, field, value, nameOf, locale);
  const before = base === undefined ? undefined : fieldValue(base, field);
  return {
    kind,
    id,
    field,
    how,
    subject: row === undefined ? 'no longer in the book' : toldApart(kind, row, nameOf, locale),
    kindLabel: labelOfKind(kind),
    fieldLabel: field === '' ? '' : labelOfField(kind, field),
    before: field === '' ? '' : words(before),
    after: isOfField(override) ? words(overriddenValue(override, before)) : '',
  };
}

/** What a row is called, with what else tells it apart from others of its kind: what it belongs to, and from which day on it counts. */
function toldApart(kind: Kind, row: object, nameOf: (id: string) => string | undefined, locale: string): string {
  const subject = subjectOf(kind, row, nameOf);
  const owners = fieldsOf(kind)
    .filter(({ goesWithTarget }) => goesWithTarget === true)
    .flatMap(({ name }) => nameOf(String(fieldValue(row, name))) ?? [])
    .filter((owner) => owner !== subject);
  const from = fieldValue(row, 'validFrom') ?? fieldValue(row, 'startsOn');
  const since = typeof from === 'string' ? [`from ${dayText(from, locale)}`] : [];
  return [...(subject === '' ? [] : [subject]), ...owners, ...since].join(', ');
}

const addedRow = (override: Override) => (override.how === 'create' ? override.row : undefined);

/** The name of a row by its id, in whichever of these states of a book it is found first. */
export function namesIn(states: readonly RowsBelow[]): (id: string) => string | undefined {
  return (id) => {
    for (const rows of states)
      for (const kind of NAMED_KINDS) {
        const row = rows.row(kind, id) as object | undefined;
        if (row !== undefined) return String(fieldValue(row, 'name'));
      }
    return undefined;
  };
}
