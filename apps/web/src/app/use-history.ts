import { useEffect } from 'react';
import { useHistoryInfiniteQuery, type HistoryEntry } from '../state/api.js';
import { useAppSelector } from '../state/store.js';

interface BookHistory {
  /** The latest first. */
  readonly entries: readonly HistoryEntry[];
  readonly isAway: boolean;
  readonly hasOlder: boolean;
  readonly showOlder: () => void;
}

/** The history of the open book, asked for again whenever the book has come to another revision. */
export function useHistory(): BookHistory {
  const bookId = useAppSelector(({ book }) => book.id) ?? '';
  const revision = useAppSelector(({ book }) => book.revision);
  const { data, isError, hasNextPage, fetchNextPage, refetch, isUninitialized } = useHistoryInfiniteQuery(bookId, {
    skip: bookId === '',
  });
  useEffect(() => {
    if (!isUninitialized) void refetch();
    // eslint-disable-next-line react-hooks/exhaustive-deps -- only another revision is a reason
  }, [revision]);
  return {
    entries: data?.pages.flat() ?? [],
    isAway: isError,
    hasOlder: hasNextPage,
    showOlder: () => void fetchNextPage(),
  };
}
