import { type DecimalSign, isShortText, readNumber, withPlainSigns } from '../number/index.js';

/** What was understood of a typed quantity: its amount, and the unit that was typed with it, or the word that names none. */
export type TypedQuantity =
  { readonly value: string; readonly unit: string | null } | { readonly value: string; readonly unknownUnit: string };

/** A number, and a word behind it. */
const WITH_WORD = /^\s*([-\d][-\d.,'\s/x*×]*?)\s*(\p{L}[^\t\r\n]{0,39}?)\s*$/u;

/**
 * Reads a quantity as people type it: "450 g", "12 x 500 ml", "3/4 cup", "2 trays", "1 h 30". `unitOf` gives the code of
 * the unit that a word names, the book's own units included. A word that names none is given back, so that it can become
 * a unit; null where it is no number at all.
 *
 * @example readQuantity('3 slices', '.', () => undefined) → {"value":"3","unknownUnit":"slices"}
 */
export function readQuantity(
  text: string,
  sign: DecimalSign,
  unitOf: (word: string) => string | undefined,
): TypedQuantity | null {
  if (!isShortText(text)) return null;
  const [, amount = '', word = ''] = WITH_WORD.exec(withPlainSigns(text)) ?? [];
  const unit = word === '' ? undefined : unitOf(word);
  const number = word === '' ? null : readNumber(amount, sign);
  if (unit !== undefined && number !== null) return { value: number.value, unit };
  const whole = readNumber(text, sign);
  if (whole !== null) return { value: whole.value, unit: whole.unit };
  return number === null ? null : { value: number.value, unknownUnit: word };
}
