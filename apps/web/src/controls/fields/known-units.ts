import { UNIT_CODES, unitNamed } from '@nuvar/book';
import { readQuantity, type TypedQuantity } from '@nuvar/core';
import { model } from '../../book/model.js';
import { decimalSign, regionOf } from '../../figures/format.js';

/** The units that the open book knows: those of everybody, and its own. */
export function knownUnits(): readonly string[] {
  const own = model.rows.all('bookUnit');
  return own.length === 0 ? UNIT_CODES : [...UNIT_CODES, ...own.map(({ name }) => name)];
}

/** The code of the unit that a text names, by its code or a word for it in the country of the book: "kg", "cup", "tray". */
export function readUnit(text: string): string | undefined {
  const tidy = text.trim();
  if (tidy === '') return undefined;
  const own = model.rows.rowsWith('bookUnit', 'name', tidy)[0];
  return own?.name ?? unitNamed(tidy, regionOf(model.rows.all('settings')[0]?.locale ?? ''));
}

/** A quantity with its unit, typed in one go: "450 g", "2 trays"; null where it is none. */
export const typedQuantity = (text: string, locale: string): TypedQuantity | null =>
  readQuantity(text, decimalSign(locale), readUnit);

/** What is said of a word that is no unit yet. */
export const unknownUnitSentence = (word: string) => `"${word}" is not a unit in this book yet.`;
