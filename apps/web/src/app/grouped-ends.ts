import type { LooseEnd } from '@nuvar/core';

/** The loose ends of one kind. */
export interface EndGroup {
  readonly code: string;
  readonly ends: readonly LooseEnd[];
  /** How many products they touch together. */
  readonly affects: number;
}

/** Loose ends by kind: that kind first which touches most products; among equals in the order in which they come. */
export function groupedEnds(ends: readonly LooseEnd[]): EndGroup[] {
  const byCode = new Map<string, LooseEnd[]>();
  for (const end of ends) {
    const known = byCode.get(end.code);
    if (known === undefined) byCode.set(end.code, [end]);
    else known.push(end);
  }
  const groups = [...byCode].map(([code, of]) => ({
    code,
    ends: of,
    affects: new Set(of.flatMap(({ affects }) => affects)).size,
  }));
  // What was refused is in nobody's figures, and stands first.
  const rank = ({ code, affects }: EndGroup) => (code === 'refused-text' ? Number.POSITIVE_INFINITY : affects);
  return groups.sort((one, other) => (rank(one) === rank(other) ? 0 : rank(other) - rank(one)));
}
