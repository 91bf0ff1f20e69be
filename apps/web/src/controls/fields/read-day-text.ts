import { readDay } from '@nuvar/core';
import { dayOrder, dayText } from '../../figures/format.js';
import { today } from '../../state/today.js';

/** Reads a day as it was typed, by how the country of the book writes days; without a year it is one of this year. */
export function readDayText(text: string, locale: string): { value: string; shown: string } | { refusal: string } {
  const day = readDay(text, dayOrder(locale), Number(today().slice(0, 4)));
  return day === null
    ? { refusal: `"${text.slice(0, 40)}" is not a day that can be read. Type it as ${dayText(today(), locale)}.` }
    : { value: day, shown: dayText(day, locale) };
}
