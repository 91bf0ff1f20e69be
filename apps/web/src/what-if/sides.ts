import { useAll } from '../book/use-book.js';
import { BASELINE, frozenNamed, whatIfNamed } from '../engine/view-key.js';
import { dayText } from '../figures/format.js';
import { useBaselinesQuery } from '../state/api.js';
import { useAppSelector } from '../state/store.js';

/** One side of a comparison: the book today, a what-if, a baseline that was frozen, or the book as of another day. */
export interface Side {
  /** The name of its evaluation. */
  readonly name: string;
  readonly label: string;
}

/** All sides that a comparison can have, but for other days, of which there are as many as one likes. */
export function useAllSides(): readonly Side[] {
  const bookId = useAppSelector(({ book }) => book.id) ?? '';
  const whatIfs = useAll('whatIf');
  const { data: baselines = [] } = useBaselinesQuery(bookId, { skip: bookId === '' });
  return [
    { name: BASELINE, label: 'The book' },
    ...whatIfs.map(({ id, name }) => ({ name: whatIfNamed(id), label: name })),
    ...baselines.map(({ id, name }) => ({ name: frozenNamed(id), label: `${name} (frozen)` })),
  ];
}

/** What a side is called. */
export function labelOfSide(name: string, all: readonly Side[], locale: string): string {
  const day = name.startsWith('day/') ? name.slice('day/'.length) : null;
  if (day !== null) return `The book on ${dayText(day, locale)}`;
  return all.find((side) => side.name === name)?.label ?? 'no longer there';
}

export const MOST_SIDES = 5;

/** The sides that an address names, the first of which the others are compared with. */
export function sidesOfAddress(text: string | null): readonly string[] {
  const sides = (text ?? '')
    .split(',')
    .filter((each) => /^(baseline|(whatIf|frozen)\/[0-9a-f-]{36}|day\/\d{4}-\d\d-\d\d)$/.test(each));
  return sides.length === 0 ? [BASELINE] : [...new Set(sides)].slice(0, MOST_SIDES);
}
