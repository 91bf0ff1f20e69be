import { problem, ProblemError } from '@nuvar/book';
import { keepsToLimits, type JsonLimits } from './json-shape.js';

/** Small bodies: a few texts. */
export const SMALL: JsonLimits = { depth: 4, values: 200 };
/** A change: operations, of which each has a row of some twenty fields. */
export const OF_A_CHANGE: JsonLimits = { depth: 6, values: 1_000_000 };
/** A book file: rows by kind. */
export const OF_A_BOOK_FILE: JsonLimits = { depth: 6, values: 6_000_000 };

const UTF_8 = new TextDecoder('utf-8', { fatal: true });

/** Parses a JSON body that keeps to its limits. Throws `malformed-request` or `too-large`. */
export function readJson(bytes: Uint8Array, limits: JsonLimits): unknown {
  if (!keepsToLimits(bytes, limits))
    throw new ProblemError([
      problem('too-large', { values: { limit: `${limits.values} values, ${limits.depth} deep` } }),
    ]);
  try {
    return JSON.parse(UTF_8.decode(bytes)) as unknown;
  } catch {
    throw new ProblemError([problem('malformed-request', { values: { detail: 'it is not JSON in UTF-8' } })]);
  }
}
