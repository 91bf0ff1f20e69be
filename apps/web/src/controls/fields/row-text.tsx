import { fieldsOf, fieldValue, type Kind, type StoredRow } from '@nuvar/book';
import { useState } from 'react';
import { updateOf } from '../../book/operations.js';
import { useEdit, useMayEdit, useRow } from '../../book/use-book.js';

interface RowTextProps {
  readonly kind: Kind;
  readonly id: string;
  readonly field: string;
  readonly placeholder?: string;
  readonly lines?: number;
}

/** A text of several lines, edited where it stands: leaving it takes what was typed, Esc takes it back. */
export function RowText(props: RowTextProps) {
  const row = useRow(props.kind, props.id);
  if (row === undefined) return null;
  const stored = String(fieldValue(row, props.field) ?? '');
  return <StoredText key={stored} {...props} row={row} stored={stored} />;
}

interface StoredTextProps extends RowTextProps {
  readonly row: StoredRow;
  readonly stored: string;
}

function StoredText({ kind, id, field, placeholder, lines = 3, row, stored }: StoredTextProps) {
  const edit = useEdit();
  const mayEdit = useMayEdit();
  const [typed, type] = useState(stored);
  const [refusal, refuse] = useState<string | null>(null);
  const label = fieldsOf(kind).find(({ name }) => name === field)?.label ?? field;
  const take = () => {
    if (typed !== stored) refuse(edit(updateOf(kind, row, { [field]: typed }))[0]?.sentence ?? null);
  };
  return (
    <label className="mt-1 grid gap-0.5">
      <span className="text-soft">{label}</span>
      <textarea
        className="textarea w-full"
        rows={lines}
        value={typed}
        placeholder={placeholder}
        readOnly={!mayEdit}
        data-place={`${id}.${field}`}
        aria-invalid={refusal !== null}
        onChange={(event) => type(event.target.value)}
        onBlur={take}
        onKeyDown={(event) => {
          if (event.key !== 'Escape') return;
          type(stored);
          refuse(null);
        }}
      />
      {refusal !== null && (
        <span className="text-error" role="alert">
          {refusal}
        </span>
      )}
    </label>
  );
}
