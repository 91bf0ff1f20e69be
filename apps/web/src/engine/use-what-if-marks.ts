import type { WhatIfMarks } from '@nuvar/core';
import { useAppSelector } from '../state/store.js';
import { useViewIn } from './use-view.js';
import { BASELINE } from './view-key.js';

/** What the what-if that is open changes; nothing while none is, or before it has been worked out. */
export function useWhatIfMarks(): WhatIfMarks | undefined {
  const whatIf = useAppSelector(({ book }) => book.whatIf);
  return useViewIn(BASELINE, 'whatIfMarks', whatIf) ?? undefined;
}

/** What the book says in a field ("row.field") that the open what-if changes; undefined in any other. */
export function useBookValue(place: string | undefined): string | undefined {
  const marks = useWhatIfMarks();
  return place === undefined ? undefined : marks?.fields[place];
}
