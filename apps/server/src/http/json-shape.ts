/** How much a JSON text may hold. */
export interface JsonLimits {
  /** How many lists and objects may stand in one another. */
  readonly depth: number;
  /** How many values there may be in all. */
  readonly values: number;
}

const [QUOTE, BACKSLASH, COMMA] = [0x22, 0x5c, 0x2c];
const OPENING: readonly number[] = [0x5b, 0x7b];
const CLOSING: readonly number[] = [0x5d, 0x7d];

/**
 * True where a JSON text keeps to its limits, found by looking at each byte once: what is too deep or too much is refused
 * before anything is made of it. What is no JSON is left to the parser.
 */
export function keepsToLimits(text: Uint8Array, { depth: deepest, values: most }: JsonLimits): boolean {
  let depth = 0;
  let values = 1;
  for (let at = 0; at < text.length; at += 1) {
    const byte = text[at] as number;
    if (byte === QUOTE) at = endOfString(text, at);
    else if (byte === COMMA) values += 1;
    else if (OPENING.includes(byte)) {
      depth += 1;
      values += 1;
    } else if (CLOSING.includes(byte)) depth -= 1;
    if (depth > deepest || values > most) return false;
  }
  return true;
}

/** The place of the quote that ends a string, or the end of the text. */
function endOfString(text: Uint8Array, begin: number): number {
  let at = begin + 1;
  while (at < text.length && text[at] !== QUOTE) at += text[at] === BACKSLASH ? 2 : 1;
  return at;
}
