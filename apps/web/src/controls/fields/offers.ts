import { holdsAll, wanted, wordsOf } from './words.js';

/** Something that can be picked while typing; `typed` is what picking it stands for, its label unless said. */
export interface Offer {
  readonly value: string;
  readonly label: string;
  readonly typed?: string;
}

const MOST_OFFERED = 12;

/** Options that fit what was typed: those first that begin with it, then those that hold all its words. */
export function offersFor<Option extends { readonly label: string }>(
  options: readonly Option[],
  typed: string,
): Option[] {
  const text = wanted(typed);
  if (text === '') return options.slice(0, MOST_OFFERED);
  const words = wordsOf(typed);
  const fitting = options.filter((option) => holdsAll(option.label, words));
  const begins = (option: Option) => (option.label.toLowerCase().startsWith(text) ? 0 : 1);
  return fitting.sort((one, other) => begins(one) - begins(other)).slice(0, MOST_OFFERED);
}
