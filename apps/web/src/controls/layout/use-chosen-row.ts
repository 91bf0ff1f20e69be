import { useCallback } from 'react';
import { useNavigate, useParams } from 'react-router';
import { useAddress } from '../../book/place.js';
import type { ScreenId } from '../../book/screens.js';
import { useKeptSearch } from '../grid/use-filter.js';

interface ChosenRow {
  /** The row that the address names. */
  readonly chosen: string | undefined;
  readonly choose: (row: { readonly id: string }) => void;
  readonly chooseById: (id: string) => void;
}

/** Which row of a list has its detail shown. It stands in the address, so that it can be shared. */
export function useChosenRow(screen: ScreenId): ChosenRow {
  const { rowId: chosen } = useParams();
  const navigate = useNavigate();
  const address = useAddress();
  const search = useKeptSearch();
  const chooseById = useCallback(
    (id: string) => void navigate(`${address(screen, id)}${search}`, { replace: chosen !== undefined }),
    [navigate, address, screen, search, chosen],
  );
  const choose = useCallback(
    ({ id }: { readonly id: string }) => id !== chosen && chooseById(id),
    [chosen, chooseById],
  );
  return { chosen, choose, chooseById };
}
