/**
 * Follows the components of a product and returns the first way that leads back to it, from the product to itself,
 * or null where there is none. Every product is visited once.
 */
export function findLoop(start: string, componentsOf: (productId: string) => readonly string[]): string[] | null {
  const visited = new Set<string>();
  const search = (productId: string, path: readonly string[]): string[] | null => {
    for (const component of componentsOf(productId)) {
      if (component === start) return [...path, component];
      if (visited.has(component)) continue;
      visited.add(component);
      const found = search(component, [...path, component]);
      if (found !== null) return found;
    }
    return null;
  };
  return search(start, [start]);
}
