import type { Figure } from './figure.js';

/** What a figure is called, and the row it is of. */
export interface CalledOf {
  readonly name: string;
  readonly subject: string;
}

/**
 * The figure of last time, where it is called the same and made of the very same figures; else null. Who takes it over
 * spares the arithmetic, and whatever is made of it sees that nothing has moved. The caller makes both by one operation.
 */
export function stillMadeOf(
  before: Figure | null | undefined,
  { name, subject }: CalledOf,
  parts: readonly Figure[],
): Figure | null {
  if (before?.name !== name || before.subject !== subject || before.parts.length !== parts.length) return null;
  // Asked tens of thousands of times: a loop in place of `every` is a third of the time.
  for (let index = 0; index < parts.length; index += 1) if (parts[index] !== before.parts[index]) return null;
  return before;
}
