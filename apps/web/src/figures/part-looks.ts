import type { StripPart } from '@nuvar/core';

type Part = StripPart | 'profit' | 'loss' | 'packaging' | 'landed' | 'productionOverhead' | 'nonProductionOverhead';

/** How the parts of a price and of a cost look, wherever they are drawn: docs/design.md gives the reasons. */
const LOOKS: Readonly<Record<Part, string>> = {
  materials: 'bg-(--materials)',
  packaging: 'bg-(--packaging)',
  landed: 'part-landed',
  labour: 'bg-(--labour)',
  other: 'bg-(--other)',
  equipment: 'bg-(--equipment)',
  overhead: 'part-overhead',
  productionOverhead: 'part-overhead',
  nonProductionOverhead: 'part-overhead opacity-60',
  fees: 'bg-(--fees)',
  profit: 'border border-b-4 border-primary bg-base-100',
  loss: 'part-loss',
};

/** The look of a part, by the name that it has in strips and cards. Its colour goes on paper as it is. */
export const partLook = (part: string): string => `[print-color-adjust:exact] ${LOOKS[part as Part] ?? ''}`;

/** The small square that shows the look of a part beside its words. */
export const partKey = (part: string): string => `mr-1.5 inline-block size-3 align-[-1px] ${partLook(part)}`;
