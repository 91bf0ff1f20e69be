import type { LooseEnd } from '@nuvar/core';
import { Link } from 'react-router';
import { model } from '../book/model.js';
import { usePlaceHref } from '../book/place.js';

/** Loose ends with what they affect, and the place to settle each. */
export function LooseEndList({ ends }: { ends: readonly LooseEnd[] }) {
  const href = usePlaceHref();
  return (
    <ul className="ends">
      {ends.map((end) => (
        <li key={`${end.code}/${end.place?.id ?? ''}/${end.place?.field ?? ''}`}>
          <span>{end.sentence}.</span>
          <span className="flex gap-3 text-sm">
            {end.affects.length > 0 && (
              <span className="text-soft">
                touches {affected(end.affects.map((id) => model.rows.row('product', id)?.name ?? ''))}
              </span>
            )}
            {end.place && (
              <Link className="link" to={href(end.place)}>
                Settle it
              </Link>
            )}
          </span>
        </li>
      ))}
    </ul>
  );
}

function affected(names: readonly string[]): string {
  return names.length <= 2 ? names.join(' and ') : `${names.slice(0, 2).join(', ')} and ${names.length - 2} more`;
}
