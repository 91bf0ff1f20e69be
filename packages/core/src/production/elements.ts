/** The elements of cost, in the fixed order in which every card, strip and report shows them. */
export const ELEMENTS = ['materials', 'landed', 'packaging', 'labour', 'other', 'equipment'] as const;
export type Element = (typeof ELEMENTS)[number];

/** What each element is called by the trade. */
export const ELEMENT_LABELS: Record<Element, string> = {
  materials: 'Materials',
  landed: 'Landed add-on',
  packaging: 'Packaging',
  labour: 'Labour',
  other: 'Other costs',
  equipment: 'Equipment',
};

/** One value for each element. Written out, so that all such records have one shape. */
export function byElement<Value>(valueOf: (element: Element) => Value): Record<Element, Value> {
  return {
    materials: valueOf('materials'),
    landed: valueOf('landed'),
    packaging: valueOf('packaging'),
    labour: valueOf('labour'),
    other: valueOf('other'),
    equipment: valueOf('equipment'),
  };
}
