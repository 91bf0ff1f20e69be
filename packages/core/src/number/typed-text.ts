/** The most letters that a typed number, day, quantity or pack can have. */
const MOST_LETTERS = 200;

/**
 * True for a text that is short enough to be read as a number, a day or a quantity. What is longer was pasted by mistake:
 * it is none of these, and is not looked at, since patterns can take very long over long texts.
 */
export const isShortText = (text: string): boolean => text.length <= MOST_LETTERS;
