import { nameKey } from '@nuvar/book';
import type { InputColumn } from './grid-model.js';

interface Named {
  readonly id: string;
  readonly name: string;
}

interface RowChoiceOptions {
  readonly header: string;
  /** What stands where none is chosen, and may be chosen; absent where one has to be. */
  readonly none?: string;
}

/** A column that says which row of a list a row points to, chosen by its name. */
export function rowChoiceColumn<Row extends { readonly id: string }>(
  field: keyof Row & string,
  rows: readonly Named[],
  { header, none }: RowChoiceOptions,
): InputColumn<Row, Partial<Row>> {
  const nameOf = (row: Row) =>
    rows.find(({ id }) => id === (row as Record<string, unknown>)[field])?.name ?? none ?? '';
  const labels = [...(none === undefined ? [] : [none]), ...rows.map(({ name }) => name)];
  return {
    id: field,
    header,
    type: 'choice',
    place: ({ id }) => `${id}.${field}`,
    options: () => labels.map((label) => ({ value: label, label })),
    text: nameOf,
    read: (text) => {
      const wanted = nameKey(text.trim());
      if (none !== undefined && (wanted === '' || wanted === nameKey(none)))
        return { patch: { [field]: null } as Partial<Row>, shown: none };
      const found = rows.find(({ name }) => nameKey(name) === wanted);
      return found === undefined
        ? { refusal: `${header}: choose one of ${labels.slice(0, 8).join(', ')}.` }
        : { patch: { [field]: found.id } as Partial<Row>, shown: found.name };
    },
  };
}
