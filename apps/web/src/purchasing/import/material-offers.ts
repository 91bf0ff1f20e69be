import type { StoredRow } from '@nuvar/book';
import { alike } from '../../controls/fields/alike.js';

/** Something that may be meant: a material, with the words by which it can be found. */
export interface MaterialOffer {
  readonly id: string;
  readonly name: string;
}

const MOST_OFFERED = 5;

/** Finds materials that a text may mean, best first: by name, code and category, with letters wrong or missing. */
export function materialOffers(materials: readonly StoredRow<'material'>[]): (text: string) => MaterialOffer[] {
  const find = alike(materials, [{ name: 'name', weight: 3 }, 'code', 'category']);
  return (text) => {
    // Supplier's names hold more than ours: the words are also looked for one by one.
    const whole = find(text, MOST_OFFERED);
    const words = text.split(/[^\p{L}\d]+/u).filter((word) => word.length > 2);
    const byWord = words.flatMap((word) => find(word, MOST_OFFERED));
    const counted = new Map<string, { item: StoredRow<'material'>; hits: number }>();
    for (const item of byWord) counted.set(item.id, { item, hits: (counted.get(item.id)?.hits ?? 0) + 1 });
    const most = [...counted.values()].sort((one, other) => other.hits - one.hits).map(({ item }) => item);
    return [...new Map([...whole, ...most].map((item) => [item.id, { id: item.id, name: item.name }])).values()].slice(
      0,
      MOST_OFFERED,
    );
  };
}
