import { fieldValue, isKind, type Kind } from '@nuvar/book';
import { useCallback, useEffect } from 'react';
import { useLocation } from 'react-router';
import { model } from './model.js';
import { useBookPath } from './use-book.js';

export interface Place {
  readonly kind: string;
  readonly id: string;
  readonly field: string;
}

/** The address of the screen on which a field of a row stands. */
function pathOf({ kind, id, field }: Place): string {
  const row: object | undefined = isKind(kind) ? model.rows.row(kind, id) : undefined;
  const owner = String((row && (fieldValue(row, 'materialId') ?? fieldValue(row, 'productId'))) ?? id);
  switch (kind as Kind) {
    case 'material':
    case 'supplierPrice':
    case 'standardPrice':
      return `/buy/${owner}`;
    case 'supplier':
      return '/buy';
    case 'equipment':
    case 'equipmentRun':
      return '/make/equipment';
    case 'labourGrade':
      return `/make/grades`;
    case 'product':
    case 'labourStep':
    case 'otherCost':
    case 'equipmentUse':
    case 'recoveredScrap':
    case 'typedCost':
      return `/make/${owner}`;
    case 'billLine':
      return `/make/${String(row && fieldValue(row, 'productId'))}`;
    case 'itemConversion':
      return row && fieldValue(row, 'materialId') !== null ? `/buy/${owner}` : `/make/${owner}`;
    case 'candidateBatch':
    case 'frozenCard':
      return `/make/${owner}`;
    case 'exchangeRate':
    case 'bookUnit':
      return '/settings';
    case 'runningCost':
      return '/run';
    case 'channel':
      return '/sell/channels';
    case 'pricePoint':
      return `/sell/${owner}`;
    case 'candidatePrice':
      return `/plan/${owner}`;
    case 'settings':
      if (field === 'electricityPerKilowattHour') return '/make/equipment';
      return field.startsWith('openDays') || field === 'normalLabourHoursPerMonth' ? '/run' : '/settings';
    default:
      return '';
  }
}

const ABOUT = new Set(['name', 'kind', 'outputUnit', 'category', 'code', 'gtin', 'tags', 'archived', 'note']);

/** The side of a material or a product on which a field stands, as the address names it; empty for the first. */
function sideOf({ kind, id, field }: Place): string {
  if (kind === 'candidateBatch') return '&side=batches';
  if (kind === 'frozenCard') return '&side=earlier';
  const row = kind === 'itemConversion' ? model.rows.row(kind, id) : undefined;
  const ofMaterial = kind === 'material' || row?.materialId != null;
  if (field === 'conversions' || kind === 'itemConversion') return ofMaterial ? '&side=units' : '&side=about';
  return (kind === 'material' || kind === 'product') && ABOUT.has(field) ? '&side=about' : '';
}

/** Gives the address of a place, with the field to go to named in it. */
export function usePlaceHref(): (place: Place) => string {
  const book = useBookPath();
  return useCallback((place) => `${book}${pathOf(place)}?at=${place.id}.${place.field}${sideOf(place)}`, [book]);
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
