import { WHAT_IF_WORDS } from '@nuvar/book';
import type { WhatIfChangeView } from '@nuvar/core';
import { Link } from 'react-router';
import { usePlaceHref } from '../book/place.js';
import { RowField } from '../controls/fields/row-field.js';
import { useFirstRows } from '../figures/first-rows.js';

interface ChangeTableProps {
  readonly changes: readonly WhatIfChangeView[];
  readonly left: ReadonlySet<string>;
  /** Null where nobody may choose. */
  readonly toggle: ((id: string) => void) | null;
}

/** The changes of a what-if: what, from, to, and why, each with a tick to take it over. */
export function ChangeTable({ changes, left, toggle }: ChangeTableProps) {
  const { rows, more } = useFirstRows(changes);
  return (
    <>
      <table className="table w-auto" aria-label="Changes of the what-if">
        <thead>
          <tr>
            {toggle !== null && <th />}
            <th scope="col">What</th>
            <th scope="col" className="text-right">
              In the book
            </th>
            <th scope="col" className="text-right">
              In the what-if
            </th>
            <th scope="col">Why</th>
          </tr>
        </thead>
        <tbody>
          {rows.map((change) => (
            <tr key={change.id}>
              {toggle !== null && (
                <td>
                  <input
                    type="checkbox"
                    className="checkbox checkbox-xs"
                    aria-label={`Take over: ${change.subject}, ${change.fieldLabel}`}
                    checked={!left.has(change.id)}
                    onChange={() => toggle(change.id)}
                  />
                </td>
              )}
              <What change={change} />
              <Values change={change} />
              <td>
                <RowField kind="whatIfChange" id={change.id} field="note" label="Why" isNameless />
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {more}
    </>
  );
}

/** What is changed, with the way to it; and what stands against it. */
function What({ change }: { readonly change: WhatIfChangeView }) {
  const addressOf = usePlaceHref();
  const { place } = change;
  const to = place?.id == null ? null : addressOf({ kind: place.kind, id: place.id, field: place.field });
  const name = `${change.subject} (${change.kindLabel})`;
  return (
    <td>
      {to === null ? (
        name
      ) : (
        <Link className="link" to={to}>
          {name}
        </Link>
      )}
      {change.fieldLabel !== '' && <>: {change.fieldLabel.toLowerCase()}</>}
      {change.bulk !== '' && <span className="block text-note text-soft">{change.bulk}</span>}
      {change.isReplaced && <span className="block text-note text-soft">A later change of the same field counts.</span>}
      {change.refusal !== null && (
        <span className="block text-note text-error" role="alert">
          {change.refusal}
        </span>
      )}
      {change.moved !== null && (
        <span className="block text-note text-soft">
          The book said {change.moved.was} when this was changed, and says {change.moved.now} now.
        </span>
      )}
    </td>
  );
}

function Values({ change: { how, before, after, by } }: { readonly change: WhatIfChangeView }) {
  if (how === 'create' || how === 'remove')
    return (
      <td className="text-right" colSpan={2}>
        {WHAT_IF_WORDS[how]}
      </td>
    );
  return (
    <>
      <td className="text-right text-soft">
        <s>{before}</s>
      </td>
      <td className="text-right">
        <strong>{after}</strong>
        {by !== '' && (
          <span className="block text-note text-soft">
            {WHAT_IF_WORDS[how]} {by}
          </span>
        )}
      </td>
    </>
  );
}
