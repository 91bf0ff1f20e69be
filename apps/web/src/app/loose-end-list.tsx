import { LOOSE_END_TITLES, type LooseEnd } from '@nuvar/core';
import { ChevronDown, ChevronRight } from 'lucide-react';
import { useState } from 'react';
import { Link } from 'react-router';
import { model } from '../book/model.js';
import { usePlaceHref } from '../book/place.js';
import { useSettings } from '../book/use-book.js';
import { counted, countText } from '../figures/format.js';
import { groupedEnds, type EndGroup } from './grouped-ends.js';

interface LooseEndListProps {
  readonly ends: readonly LooseEnd[];
  /** How many lines are shown; what is of one kind is one line. */
  readonly most?: number;
}

/** Loose ends with what they affect, and the place to settle each. Those of one kind are one line that opens. */
export function LooseEndList({ ends, most = Number.POSITIVE_INFINITY }: LooseEndListProps) {
  return (
    <ul>
      {groupedEnds(ends)
        .slice(0, most)
        .map((group) => (
          <Group key={group.code} group={group} />
        ))}
    </ul>
  );
}

/** So many of one kind are drawn at a time. */
const PAGE = 50;

function Group({ group: { code, ends, affects } }: { readonly group: EndGroup }) {
  const [shown, setShown] = useState(0);
  const { locale } = useSettings();
  const [first] = ends;
  if (first === undefined) return null;
  if (ends.length === 1) return <End end={first} />;
  const Mark = shown > 0 ? ChevronDown : ChevronRight;
  return (
    <li className="border-b border-base-300">
      <button
        type="button"
        className="flex w-full items-baseline gap-1.5 py-1.5 text-left hover:bg-base-200"
        aria-expanded={shown > 0}
        onClick={() => setShown(shown > 0 ? 0 : PAGE)}
      >
        <Mark size={14} className="self-center" aria-hidden="true" />
        <span className="grow">
          {LOOSE_END_TITLES[code] ?? first.sentence}
          {affects > 0 && (
            <span className="block text-note text-soft">affects {counted(affects, 'product', locale)}</span>
          )}
        </span>
        <span className="tabular-nums">{countText(ends.length, locale)}</span>
      </button>
      {shown > 0 && (
        <ul className="pl-5">
          {ends.slice(0, shown).map((end) => (
            <End key={`${end.place?.id ?? end.sentence}/${end.place?.field ?? ''}`} end={end} />
          ))}
        </ul>
      )}
      {shown > 0 && ends.length > shown && (
        <button type="button" className="btn btn-ghost ml-4" onClick={() => setShown(shown + PAGE)}>
          Show {countText(Math.min(PAGE, ends.length - shown), locale)} more
        </button>
      )}
    </li>
  );
}

function End({ end }: { readonly end: LooseEnd }) {
  const href = usePlaceHref();
  return (
    <li className="flex flex-col border-b border-base-300 py-1.5 last:border-b-0">
      <span>{/[.?]$/.test(end.sentence) ? end.sentence : `${end.sentence}.`}</span>
      <span className="flex gap-3 text-note">
        {end.affects.length > 0 && <span className="text-soft">affects {affected(end.affects)}</span>}
        {end.place && (
          <Link className="link link-primary" to={href(end.place)}>
            Fix
          </Link>
        )}
      </span>
    </li>
  );
}

function affected(ids: readonly string[]): string {
  const names = ids.slice(0, 2).map((id) => model.rows.row('product', id)?.name ?? '');
  return ids.length <= 2 ? names.join(' and ') : `${names.join(', ')} and ${ids.length - 2} more`;
}
