import { nameKey } from '@nuvar/book';
import { alike } from '../controls/fields/alike.js';
import { offersFor, type Offer } from '../controls/fields/offers.js';

interface Linkable {
  readonly id: string;
  readonly label: string;
  /** Other words by which it is found. */
  readonly words: string;
}

const MOST_OFFERED = 8;

/**
 * What can be meant by a text in a bill: items whose names hold it, best first; those that are spelt much like it or are
 * found by code, category or supplier; to make a new material of it; or to keep the text and link it later. Where a text
 * is being linked, what is spelt like it comes before a new material, for then it is likely meant.
 */
export function billOffers(items: readonly Linkable[]): (typed: string, isLinking: boolean) => Offer[] {
  const options = items.map(({ id, label }) => ({ value: id, label }));
  const find = alike(items, [{ name: 'label', weight: 3 }, 'words']);
  return (typed, isLinking) => {
    const text = typed.trim().replace(/^\+\s*/, '');
    if (text === '') return offersFor(options, '');
    const fitting = offersFor(options, text).slice(0, MOST_OFFERED);
    const others = find(text, MOST_OFFERED)
      .map(({ id, label }): Offer => ({ value: id, label }))
      .filter(({ value }) => !fitting.some((offer) => offer.value === value));
    const isThere = fitting.some(({ label }) => nameKey(label) === nameKey(text));
    const toMake: Offer[] = isThere
      ? []
      : [
          { value: 'new material', label: `New material "${text}"`, typed: `+${text}` },
          { value: 'text', label: `Keep "${text}" as text, link it later`, typed: text },
        ];
    return isLinking ? [...fitting, ...others, ...toMake] : [...fitting, ...toMake, ...others];
  };
}
