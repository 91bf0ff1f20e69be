/** More letters than any name has are not looked for. */
const MOST_LETTERS = 200;

/** What is looked for, as one text: cut where it is longer than any name, without capitals. */
export const wanted = (typed: string): string => typed.slice(0, MOST_LETTERS).trim().toLowerCase();

/** The words that are looked for. */
export const wordsOf = (typed: string): readonly string[] => wanted(typed).split(/\s+/);

/** True where a text holds all of these words, in any order. */
export function holdsAll(text: string, words: readonly string[]): boolean {
  const held = text.toLowerCase();
  return words.every((word) => held.includes(word));
}
