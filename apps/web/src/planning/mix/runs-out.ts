import type { MixOutcomeView } from '@nuvar/core';
import { manyUnits, type Style } from '../../figures/format.js';
import { amountText } from './words.js';

/** What runs out first, and by how much; else what is the tightest. */
export function runsOut({ resources, first, totals }: MixOutcomeView, style: Style): string {
  const broken = totals.filter(({ isBroken }) => isBroken).map(({ name }) => `"${name}" does not hold.`);
  const tightest = first === null ? undefined : resources[first];
  if (tightest === undefined) return broken.join(' ');
  const short = resources.filter(({ isShort }) => isShort);
  if (!tightest.isShort)
    return [
      `It fits. ${tightest.name} is the tightest: ${amountText(tightest.filled ?? 0, style)} % is used.`,
      ...broken,
    ].join(' ');
  const lacking = (each: (typeof resources)[number]) =>
    `${amountText(Number(each.short.amount ?? 0), style)} ${manyUnits(each.unit)}`;
  const others = short.filter(({ id }) => id !== tightest.id);
  return [
    `${tightest.name} runs out first: ${lacking(tightest)} short.`,
    ...others.map((each) => `${each.name}: ${lacking(each)} short.`),
    ...broken,
  ].join(' ');
}
