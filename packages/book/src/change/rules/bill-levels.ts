/**
 * How the products of a bill stand above one another. A product without components has one level, one made of it two,
 * and so on; what contains itself, or leads into something that does, has none.
 */
export interface BillLevels {
  readonly levels: ReadonlyMap<string, number>;
  /** The products that contain themselves or something that does. */
  readonly looped: ReadonlySet<string>;
}

/** The most levels that a bill may have: more is a mistake, and would be worked out for ever. */
export const MOST_LEVELS = 100;

/**
 * The levels of products, from the products in whose bills each stands. Takes away, again and again, what has no
 * components left (Kahn's topological order): every line is looked at once.
 */
export function billLevels(usersOf: ReadonlyMap<string, Iterable<string>>): BillLevels {
  const components = new Map<string, number>();
  for (const [id, users] of usersOf) {
    if (!components.has(id)) components.set(id, 0);
    for (const user of users) components.set(user, (components.get(user) ?? 0) + 1);
  }
  const levels = new Map<string, number>();
  const ready = [...components].filter(([, left]) => left === 0).map(([id]) => id);
  for (const id of ready) levels.set(id, 1);
  for (let next = ready.pop(); next !== undefined; next = ready.pop()) {
    components.delete(next);
    for (const user of usersOf.get(next) ?? []) {
      levels.set(user, Math.max(levels.get(user) ?? 1, (levels.get(next) ?? 1) + 1));
      const left = (components.get(user) ?? 0) - 1;
      components.set(user, left);
      if (left === 0) ready.push(user);
    }
  }
  for (const id of components.keys()) levels.delete(id);
  return { levels, looped: new Set(components.keys()) };
}
