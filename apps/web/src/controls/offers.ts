/** Something that can be picked while typing; `typed` is what picking it stands for, its label unless said. */
export interface Offer {
  readonly value: string;
  readonly label: string;
  readonly typed?: string;
}

const MOST_OFFERED = 12;

/** More letters than any name has are not looked for. */
const MOST_LETTERS = 200;

/** Options that fit what was typed: those first that begin with it, then those that hold all its words. */
export function offersFor<Option extends { readonly label: string }>(
  options: readonly Option[],
  typed: string,
): Option[] {
  const wanted = typed.slice(0, MOST_LETTERS).trim().toLowerCase();
  if (wanted === '') return options.slice(0, MOST_OFFERED);
  const words = wanted.split(/\s+/);
  const fitting = options.filter((option) => words.every((word) => option.label.toLowerCase().includes(word)));
  const begins = (option: Option) => (option.label.toLowerCase().startsWith(wanted) ? 0 : 1);
  return fitting.sort((one, other) => begins(one) - begins(other)).slice(0, MOST_OFFERED);
}
