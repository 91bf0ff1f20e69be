/** All of some by what they have in common. */
export function groupedBy<Of>(all: readonly Of[], by: (one: Of) => number): ReadonlyMap<number, readonly Of[]> {
  const groups = new Map<number, Of[]>();
  for (const one of all) {
    const group = groups.get(by(one));
    if (group === undefined) groups.set(by(one), [one]);
    else group.push(one);
  }
  return groups;
}
