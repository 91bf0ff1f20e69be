import { fieldsOf, fieldValue, isKind, isLedger, KIND_NAMES, type Kind, ledgerKind } from '@nuvar/book';
import { useCallback, useEffect } from 'react';
import type { Place } from '@nuvar/core';
import { useLocation } from 'react-router';
import { model } from './model.js';
import { placePath, screenPath, type PlaceOfRow, type ScreenId } from './screens.js';
import { useBookPath } from './use-book.js';

/** A field of a row; the kind may come from a newer server, and is then one that this page does not know. */
interface AnyPlace {
  readonly kind: string;
  readonly id: string;
  readonly field: string;
}

/** Gives the address of a screen of the open book, with the row whose detail it is to show. */
export function useAddress(): (screen: ScreenId, row?: string) => string {
  const book = useBookPath();
  return useCallback((screen, row) => `${book}${screenPath(screen, row)}`, [book]);
}

const HAVE_PARTS = new Set([
  ...['frozenCard', 'supplierPrice', 'feeRule', 'pricePoint'],
  ...['mixProduct', 'mixResource', 'mixTotal'],
]);
/** Rows that point to a product, and yet stand by themselves. */
const STAND_ALONE = new Set<Kind>(['pricePoint', 'decision']);

/** What a row belongs to: of the references that go with it the one that is filled, of a bill line always the product. */
function ownerOf(kind: Kind, id: string): Pick<PlaceOfRow, 'owner' | 'isOfMaterial'> {
  const row: object | undefined = model.rows.row(kind, id);
  if (STAND_ALONE.has(kind)) return { owner: id, isOfMaterial: false };
  if (isLedger(kind) && row !== undefined) {
    const { group, groupKind } = ledgerKind(kind);
    return { owner: String(fieldValue(row, group)), isOfMaterial: groupKind === 'material' };
  }
  const belongsTo = fieldsOf(kind).find(
    ({ name, goesWithTarget }) => goesWithTarget === true && row !== undefined && fieldValue(row, name) !== null,
  );
  const owner = row && belongsTo && fieldValue(row, belongsTo.name);
  // A line of a saved card and a break of a price are edited where that which they belong to is.
  // So are the bands and sizes of a fee, and what belongs to a price.
  const isOfPart = belongsTo?.target !== undefined && HAVE_PARTS.has(belongsTo.target);
  if (isOfPart && typeof owner === 'string') return ownerOf(belongsTo.target as Kind, owner);
  return { owner: typeof owner === 'string' ? owner : id, isOfMaterial: belongsTo?.target === 'material' };
}

/** Gives the address of a place, with the field to go to named in it. */
export function usePlaceHref(): (place: AnyPlace) => string {
  const book = useBookPath();
  return useCallback(
    ({ kind, id, field }) =>
      isKind(kind) ? `${book}${placePath(kind, id, { field, ...ownerOf(kind, id) }) ?? ''}` : book,
    [book],
  );
}

/** The kind of the row that a cell names ("id.field"); undefined where the book has no such row. */
export function kindNamed(name: string): Kind | undefined {
  const [id = ''] = name.split('.');
  return KIND_NAMES.find((each) => model.rows.row(each, id) !== undefined);
}

/** The field that a cell names, where its row has it. */
export function placeNamed(name: string): Place | null {
  const [id = '', field = ''] = name.split('.');
  const kind = kindNamed(name);
  return kind !== undefined && fieldsOf(kind).some((spec) => spec.name === field) ? { kind, id, field } : null;
}

/** What an address brings along for the field that is to have the cursor. */
export interface ArrivalState {
  /** The first field of the screen, or of the detail that it shows. */
  readonly arriveAt?: 'screen' | 'detail';
}

const FIRST_FIELD = ':is(input:not([type=search], [type=checkbox], [type=radio]), select):enabled';
const FIRST: Readonly<Record<NonNullable<ArrivalState['arriveAt']>, string>> = {
  screen: `main ${FIRST_FIELD}`,
  detail: `main [data-detail] ${FIRST_FIELD}`,
};

/** Brings the field that the address names into view and puts the cursor there; or the first one, where that is asked for. */
export function useGoToPlace(): void {
  const { search, key, state } = useLocation();
  const arriveAt = (state as ArrivalState | null)?.arriveAt;
  useEffect(() => {
    const at = new URLSearchParams(search).get('at');
    const wanted = at !== null ? `[data-place="${CSS.escape(at)}"]` : arriveAt && FIRST[arriveAt];
    if (wanted === undefined) return;
    let tries = 0;
    const look = () => {
      const found = document.querySelector<HTMLElement>(wanted);
      if (found !== null) {
        found.scrollIntoView({ block: 'center' });
        found.focus();
      } else if (tries++ < 20) {
        timer = setTimeout(look, 100);
      }
    };
    let timer = setTimeout(look, 0);
    return () => clearTimeout(timer);
  }, [search, key, arriveAt]);
}
