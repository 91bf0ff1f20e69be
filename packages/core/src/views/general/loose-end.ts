import type { Gap, Place } from '../../figure/index.js';

/** Something that keeps figures from being whole or right, with the place to settle it. */
export interface LooseEnd {
  readonly code: string;
  readonly sentence: string;
  readonly place: Place | null;
  /** The products whose figures it touches, by id. */
  readonly affects: readonly string[];
}

/** Adds a loose end; one that is there already touches more products. */
export type Add = (code: string, sentence: string, place: Place | null, affects: readonly string[]) => void;

/** Adds what figures still ask for. */
export type AddGaps = (gaps: readonly Gap[], affects: readonly string[]) => void;
