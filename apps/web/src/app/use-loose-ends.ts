import type { LooseEnd } from '@nuvar/core';
import { useMemo } from 'react';
import { kindNamed, placeNamed } from '../book/place.js';
import { useView } from '../engine/use-view.js';
import type { Refused } from '../state/book-slice.js';
import { useAppSelector } from '../state/store.js';

/**
 * Everything that keeps figures from being whole or right: what was typed and refused comes first, for it is in nobody's
 * figures; then what the book itself is short of. Undefined until the book has been looked at.
 */
export function useLooseEnds(): readonly LooseEnd[] | undefined {
  const ends = useView('looseEnds');
  const refused = useAppSelector(({ book }) => book.refused);
  return useMemo(() => {
    // A field whose row was removed has nothing left to be put right.
    const there = Object.values(refused).filter(
      ({ place }) => place.startsWith('new@') || kindNamed(place) !== undefined,
    );
    return ends && [...there.map(endOf), ...ends];
  }, [ends, refused]);
}

const endOf = ({ place, label, text, sentence }: Refused): LooseEnd => ({
  code: 'refused-text',
  sentence: `${label}: "${text.slice(0, 40)}" was not accepted. ${sentence.replace(/\.$/, '')}`,
  place: placeNamed(place),
  affects: [],
});
