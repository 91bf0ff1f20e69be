/** Text of which every letter has one capital and one small form: it needs no Unicode to be compared. */
const PLAIN = /^[\x20-\x7e]*$/;

/**
 * The form in which names are compared: two names with the same key are the same name. Compatible forms of a letter are
 * one (NFKC), and capitals do not count: each letter is folded to its capital and back, so that "ΟΔΟΣ" and "οδοσ",
 * "Straße" and "STRASSE" meet. The page, the rules and the database all compare by it; nobody folds names in SQL.
 *
 * @example nameKey('STRASSE') === nameKey('Straße') // true
 */
export function nameKey(text: string): string {
  if (PLAIN.test(text)) return text.toLowerCase();
  return text.normalize('NFKC').toUpperCase().toLowerCase().normalize('NFKC');
}
