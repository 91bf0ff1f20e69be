import { useCallback, useMemo } from 'react';
import { useSearchParams } from 'react-router';
import type { ListFilter } from './grid-model.js';

/** The words by which a list is narrowed. They stand in the address, so that it can be shared as it is seen. */
export function useListFilter<Row>(label: string, matches: ListFilter<Row>['matches']): ListFilter<Row> {
  const [parameters, setParameters] = useSearchParams();
  const words = parameters.get('filter') ?? '';
  const onChange = useCallback(
    (next: string) =>
      setParameters(
        (known) => {
          const changed = new URLSearchParams(known);
          if (next === '') changed.delete('filter');
          else changed.set('filter', next);
          return changed;
        },
        { replace: true },
      ),
    [setParameters],
  );
  return useMemo(() => ({ label, words, onChange, matches }), [label, words, onChange, matches]);
}

/** What an address says of one row alone: a field to go to, a saved card. */
const OF_ONE_ROW = ['at', 'card', 'other'];

/** The part of the address that stays when another row of the list is chosen: the filter, and the side that is shown. */
export function useKeptSearch(): string {
  const kept = new URLSearchParams(useSearchParams()[0]);
  for (const name of OF_ONE_ROW) kept.delete(name);
  const search = kept.toString();
  return search === '' ? '' : `?${search}`;
}
