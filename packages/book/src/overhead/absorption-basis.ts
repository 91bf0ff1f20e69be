/** What overhead may be absorbed by. */
export const ABSORPTION_BASES = [
  'labour hours',
  'machine hours',
  'labour cost',
  'material cost',
  'prime cost',
  'production cost',
  'sales value',
  'units',
] as const;
export type AbsorptionBasis = (typeof ABSORPTION_BASES)[number];
