import type { GapView } from '@nuvar/core';
import { Link } from 'react-router';
import { usePlaceHref } from '../book/place.js';

/** What a figure still needs, each with the place to settle it. */
export function GapList({ gaps }: { gaps: readonly GapView[] }) {
  const href = usePlaceHref();
  if (gaps.length === 0) return null;
  return (
    <ul className="mt-2.5 border-l-3 border-error pl-2.5" aria-label="Still missing">
      {gaps.map((gap) => (
        <li key={`${gap.code}/${gap.place?.id ?? ''}/${gap.sentence}`}>
          {gap.sentence}
          {gap.place && !gap.stated && (
            <Link className="link link-primary ml-2" to={href(gap.place)}>
              Fix
            </Link>
          )}
        </li>
      ))}
    </ul>
  );
}
