import type { Figure } from './figure.js';

/** Every input that a figure depends on, each once: what would have to be changed to change it. */
export function inputsOf(figure: Figure): Figure[] {
  const found = new Map<string, Figure>();
  const visited = new Set<Figure>();
  const visit = (each: Figure) => {
    if (visited.has(each)) return;
    visited.add(each);
    if (each.operation === 'input' && each.place) found.set(`${each.place.id}/${each.place.field}`, each);
    each.parts.forEach(visit);
  };
  visit(figure);
  return [...found.values()];
}
