import type { Kind } from '@nuvar/book';
import type { Figure } from '../figure/index.js';
import type { Evaluation } from '../sheet/index.js';

/** A field, and the values that it is given in turn, as decimal texts. */
export interface TriedValues {
  readonly kind: Kind;
  readonly id: string;
  readonly field: string;
  readonly values: readonly string[];
}

/**
 * One figure over two inputs: for each value of the first (a row) and each of the second (a column), all other inputs being as
 * they are. Null where there is no such figure.
 */
export function twoInputs(
  evaluation: Evaluation,
  key: string,
  down: TriedValues,
  across: TriedValues,
): readonly (readonly (Figure | null)[])[] {
  const fork = evaluation.fork([]);
  const set = ({ kind, id, field }: TriedValues, value: string) => ({ kind, id, field, how: 'set' as const, value });
  try {
    return down.values.map((one) =>
      across.values.map((other) => {
        fork.lay([set(down, one), set(across, other)]);
        return fork.figure(key);
      }),
    );
  } finally {
    fork.end();
  }
}
