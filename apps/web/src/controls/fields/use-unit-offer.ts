import { newId } from '@nuvar/book';
import { createOf } from '../../book/operations.js';
import { useEdit, useSettings } from '../../book/use-book.js';
import { typedQuantity, unknownUnitSentence } from './known-units.js';
import type { Refusal } from './use-refusal.js';

/** A unit that was typed and is not in the book, and the way to add it. */
export interface UnitOffer {
  readonly unit: string;
  /** Adds it to the units of the book; returns a sentence where it cannot be one. */
  readonly add: () => string | null;
}

/** Offers to add the unit for want of which a text was refused; null where it was refused for another reason. */
export function useUnitOffer(refused: Refusal['refused']): UnitOffer | null {
  const edit = useEdit();
  const { locale } = useSettings();
  const read = refused === null ? null : typedQuantity(refused.text, locale);
  if (refused === null || read === null || !('unknownUnit' in read)) return null;
  const unit = read.unknownUnit;
  if (refused.sentence !== unknownUnitSentence(unit)) return null;
  return { unit, add: () => edit([createOf('bookUnit', newId(), { name: unit })])[0]?.sentence ?? null };
}
