/**
 * The unit of a figure: a product of powers of base units, such as EUR·kg⁻¹. Units are interned, so that two units are
 * the same exactly where they are the same object.
 */
export interface Unit {
  /** How it is read: "EUR per kg". Empty for a bare number. */
  readonly text: string;
  readonly powers: ReadonlyMap<string, number>;
  times(other: Unit): Unit;
  per(other: Unit): Unit;
}

const INTERNED = new Map<string, Unit>();
const BY_SYMBOL = new Map<string, Unit>();

/** The unit of one base symbol: a currency, a unit of measure, "batch", "month", "%". */
export function unit(symbol: string): Unit {
  const known = BY_SYMBOL.get(symbol);
  if (known !== undefined) return known;
  const made = intern(new Map([[symbol, 1]]));
  BY_SYMBOL.set(symbol, made);
  return made;
}

/** The unit of a bare number. */
export const NUMBER: Unit = intern(new Map());
export const PERCENT: Unit = unit('%');

function intern(powers: ReadonlyMap<string, number>): Unit {
  const sorted = [...powers].filter(([, power]) => power !== 0).sort(([one], [other]) => (one < other ? -1 : 1));
  const key = sorted.map(([symbol, power]) => `${symbol}^${power}`).join('·');
  const known = INTERNED.get(key);
  if (known !== undefined) return known;
  const made = makeUnit(new Map(sorted));
  INTERNED.set(key, made);
  return made;
}

function makeUnit(powers: ReadonlyMap<string, number>): Unit {
  const combined = [new Map<Unit, Unit>(), new Map<Unit, Unit>()] as const;
  const combine = (other: Unit, sign: 1 | -1): Unit => {
    const cache = combined[sign === 1 ? 0 : 1];
    const known = cache.get(other);
    if (known !== undefined) return known;
    const sum = new Map(powers);
    for (const [symbol, power] of other.powers) sum.set(symbol, (sum.get(symbol) ?? 0) + sign * power);
    const made = intern(sum);
    cache.set(other, made);
    return made;
  };
  return { text: unitText(powers), powers, times: (other) => combine(other, 1), per: (other) => combine(other, -1) };
}

function unitText(powers: ReadonlyMap<string, number>): string {
  const side = (sign: 1 | -1) =>
    [...powers]
      .filter(([, power]) => Math.sign(power) === sign)
      .map(([symbol, power]) => (Math.abs(power) === 1 ? symbol : `${symbol}^${Math.abs(power)}`))
      .join(' ');
  const [above, below] = [side(1), side(-1)];
  return below === '' ? above : `${above} per ${below}`.trim();
}

/** A unit of measure as it is read in a sentence: "each" is a piece. */
export function unitWord(code: string): string {
  return code === 'each' ? 'piece' : code;
}
