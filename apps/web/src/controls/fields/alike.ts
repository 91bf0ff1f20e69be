import Fuse, { type FuseOptionKey } from 'fuse.js';

/** As long as a name may be. */
const MOST_LETTERS = 120;

/** Finds what is spelt much like a text, best first; a letter wrong, missing or too many does not matter. */
export function alike<Item>(
  items: readonly Item[],
  keys: FuseOptionKey<Item>[],
): (text: string, most: number) => Item[] {
  let fuse: Fuse<Item> | null = null;
  return (text, most) => {
    fuse ??= new Fuse(items, { keys, threshold: 0.4, ignoreLocation: true, minMatchCharLength: 2 });
    return fuse.search(text.slice(0, MOST_LETTERS), { limit: most }).map(({ item }) => item);
  };
}
