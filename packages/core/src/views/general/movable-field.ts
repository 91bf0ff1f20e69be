import { type FieldSpec, fieldsOf, isKind, type Kind } from '@nuvar/book';
import type { Figure } from '../../figure/index.js';
import { type Decimal, decimal, HUNDRED } from '../../number/index.js';

/** A field that holds a decimal, which can be tried with another value. */
export interface MovableField {
  readonly place: { readonly kind: Kind; readonly id: string; readonly field: string };
  readonly amount: Decimal;
  /** The most that it can be: its bound, and 100 % for what is a share of something; null for no limit. */
  readonly most: Decimal | null;
}

/** The field of an input, where it can be tried with another value; null where it is no decimal, or empty. */
export function movableField({ place, amount, unit }: Figure): MovableField | null {
  if (place?.id == null || !isKind(place.kind) || amount === null) return null;
  const spec = fieldsOf(place.kind).find(({ name }) => name === place.field);
  if (spec?.type !== 'decimal') return null;
  const most = mostOf(spec, amount, unit.text === '%');
  return { place: { kind: place.kind, id: place.id, field: place.field }, amount, most };
}

function mostOf({ bounds }: FieldSpec, amount: Decimal, isPercent: boolean): Decimal | null {
  const bound = bounds?.to === undefined ? null : decimal(bounds.to);
  return isPercent && amount.lte(HUNDRED) && (bound === null || bound.gt(HUNDRED)) ? HUNDRED : bound;
}
