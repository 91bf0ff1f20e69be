import { fieldsOf, fieldValue, isKind, type Kind } from '@nuvar/book';
import { useCallback, useEffect } from 'react';
import { useLocation } from 'react-router';
import { model } from './model.js';
import { useBookPath } from './use-book.js';

export interface Place {
  readonly kind: string;
  readonly id: string;
  readonly field: string;
}

/** Where a row of a kind is edited: the path of the screen under that of the book, and the side of it where it has several. */
interface Screen {
  readonly path: (at: PlaceOfRow) => string;
  readonly side?: (at: PlaceOfRow) => string;
}

/** A field of a row, with what the row belongs to: the row itself where it belongs to nothing, or is not there yet. */
interface PlaceOfRow {
  readonly field: string;
  readonly owner: string;
  readonly isOfMaterial: boolean;
}

const ABOUT = new Set(['name', 'kind', 'outputUnit', 'category', 'code', 'gtin', 'tags', 'archived', 'note']);
const isAboutPlan = (field: string) => field.startsWith('openDays') || field === 'normalLabourHoursPerMonth';

const onMaterial: Screen = { path: ({ owner }) => `/buy/${owner}` };
const onProduct: Screen = { path: ({ owner }) => `/make/${owner}` };
const at = (path: string): Screen => ({ path: () => path });

/** The screen of every kind of row. A new kind has to be put here: the type asks for it. */
const SCREENS: Readonly<Record<Kind, Screen>> = {
  settings: {
    path: ({ field }) => {
      if (field === 'electricityPerKilowattHour') return '/make/equipment';
      return isAboutPlan(field) ? '/run' : '/settings';
    },
  },
  bookUnit: at('/settings'),
  exchangeRate: at('/settings'),
  supplier: at('/buy'),
  material: {
    ...onMaterial,
    side: ({ field }) => (field === 'conversions' ? 'units' : ABOUT.has(field) ? 'about' : ''),
  },
  supplierPrice: onMaterial,
  standardPrice: onMaterial,
  labourGrade: at('/make/grades'),
  equipment: at('/make/equipment'),
  equipmentRun: at('/make/equipment'),
  product: { ...onProduct, side: ({ field }) => (field === 'conversions' || ABOUT.has(field) ? 'about' : '') },
  itemConversion: {
    path: ({ owner, isOfMaterial }) => (isOfMaterial ? `/buy/${owner}` : `/make/${owner}`),
    side: ({ isOfMaterial }) => (isOfMaterial ? 'units' : 'about'),
  },
  billLine: onProduct,
  recoveredScrap: onProduct,
  labourStep: onProduct,
  equipmentUse: onProduct,
  otherCost: onProduct,
  typedCost: onProduct,
  candidateBatch: { ...onProduct, side: () => 'batches' },
  frozenCard: { ...onProduct, side: () => 'earlier' },
  frozenLine: { ...onProduct, side: () => 'earlier' },
  runningCost: at('/run'),
  channel: at('/sell/channels'),
  pricePoint: { path: ({ owner }) => `/sell/${owner}` },
  candidatePrice: { path: ({ owner }) => `/plan/${owner}` },
};

/** What a row belongs to: of the references that go with it the one that is filled, of a bill line always the product. */
function ownerOf(kind: Kind, id: string): Pick<PlaceOfRow, 'owner' | 'isOfMaterial'> {
  const row: object | undefined = model.rows.row(kind, id);
  const belongsTo = fieldsOf(kind).find(
    ({ name, goesWithTarget }) => goesWithTarget === true && row !== undefined && fieldValue(row, name) !== null,
  );
  const owner = row && belongsTo && fieldValue(row, belongsTo.name);
  if (belongsTo?.target === 'frozenCard' && typeof owner === 'string') return ownerOf('frozenCard', owner);
  return { owner: typeof owner === 'string' ? owner : id, isOfMaterial: belongsTo?.target === 'material' };
}

/** Gives the address of a place, with the field to go to named in it. */
export function usePlaceHref(): (place: Place) => string {
  const book = useBookPath();
  return useCallback(
    ({ kind, id, field }) => {
      if (!isKind(kind)) return book;
      const place = { field, ...ownerOf(kind, id) };
      const { path, side } = SCREENS[kind];
      const named = side?.(place) ?? '';
      return `${book}${path(place)}?at=${id}.${field}${named === '' ? '' : `&side=${named}`}`;
    },
    [book],
  );
}

/** Brings the field that the address names into view and puts the cursor there. */
export function useGoToPlace(): void {
  const { search, key } = useLocation();
  useEffect(() => {
    const at = new URLSearchParams(search).get('at');
    if (at === null) return;
    let tries = 0;
    const look = () => {
      const found = document.querySelector<HTMLElement>(`[data-place="${CSS.escape(at)}"]`);
      if (found !== null) {
        found.scrollIntoView({ block: 'center' });
        found.focus();
      } else if (tries++ < 20) {
        timer = setTimeout(look, 100);
      }
    };
    let timer = setTimeout(look, 0);
    return () => clearTimeout(timer);
  }, [search, key]);
}
