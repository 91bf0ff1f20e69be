/** The elements of cost, in the fixed order in which every card, strip and report shows them. */
export const ELEMENTS = ['materials', 'packaging', 'labour', 'other'] as const;
export type Element = (typeof ELEMENTS)[number];

/** What each element is called by the trade. */
export const ELEMENT_LABELS: Record<Element, string> = {
  materials: 'Materials',
  packaging: 'Packaging',
  labour: 'Labour',
  other: 'Other costs',
};
