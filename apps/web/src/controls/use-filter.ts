import { useCallback } from 'react';
import { useSearchParams } from 'react-router';

/** The words by which a list is narrowed. They stand in the address, so that it can be shared as it is seen. */
export function useFilter(): [filter: string, setFilter: (words: string) => void] {
  const [parameters, setParameters] = useSearchParams();
  const setFilter = useCallback(
    (words: string) => {
      setParameters(
        (known) => {
          const next = new URLSearchParams(known);
          if (words === '') next.delete('filter');
          else next.set('filter', words);
          return next;
        },
        { replace: true },
      );
    },
    [setParameters],
  );
  return [parameters.get('filter') ?? '', setFilter];
}

/** The part of the address that stays when another row of the list is chosen. */
export function useKeptSearch(): string {
  const filter = useSearchParams()[0].get('filter');
  return filter === null ? '' : `?filter=${encodeURIComponent(filter)}`;
}
