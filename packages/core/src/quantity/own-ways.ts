import { UNIT_CODES, unitOfMeasure } from '@nuvar/book';

/** A conversion of an item's own, as far as finding a way needs it: which two units it joins. */
export interface OwnConversion {
  readonly unit: string;
  readonly equalUnit: string;
}

/** One own conversion on a way, and in which direction it is gone: from its unit to its equal, or back. */
export interface WayStep<Conversion extends OwnConversion> {
  readonly conversion: Conversion;
  readonly isForward: boolean;
}

/** What a unit measures. A unit of the book's own measures something of its own, until an item says what it is. */
const dimensionOf = (unit: string): string => unitOfMeasure(unit)?.dimension ?? `own ${unit}`;

/**
 * The shortest way from one unit to another through an item's own conversions, with standard factors between units of
 * one dimension: none are needed within a dimension, and null says that there is no way. Of ways of the same length the
 * one through earlier conversions.
 */
export function ownWay<Conversion extends OwnConversion>(
  from: string,
  to: string,
  own: readonly Conversion[],
): readonly WayStep<Conversion>[] | null {
  const [start, goal] = [dimensionOf(from), dimensionOf(to)];
  const ways = new Map<string, readonly WayStep<Conversion>[]>([[start, []]]);
  const open: string[] = [start];
  for (let at = open.shift(); at !== undefined && !ways.has(goal); at = open.shift()) {
    for (const step of stepsFrom(at, own)) {
      const next = dimensionOf(step.isForward ? step.conversion.equalUnit : step.conversion.unit);
      if (ways.has(next)) continue;
      ways.set(next, [...(ways.get(at) ?? []), step]);
      open.push(next);
    }
  }
  return ways.get(goal) ?? null;
}

function stepsFrom<Conversion extends OwnConversion>(
  dimension: string,
  own: readonly Conversion[],
): WayStep<Conversion>[] {
  return own.flatMap((conversion): WayStep<Conversion>[] => {
    if (dimensionOf(conversion.unit) === dimension) return [{ conversion, isForward: true }];
    return dimensionOf(conversion.equalUnit) === dimension ? [{ conversion, isForward: false }] : [];
  });
}

/** The codes of all units that can be reached from one, by standard factors and an item's own conversions. */
export function unitsWithin(unit: string, own: readonly OwnConversion[]): string[] {
  const codes = new Set([...UNIT_CODES, ...own.flatMap((conversion) => [conversion.unit, conversion.equalUnit])]);
  return [...codes].filter((code) => ownWay(unit, code, own) !== null);
}
