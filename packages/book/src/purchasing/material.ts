import { Choice, Name, Row, Text, UnitCode } from '../fields/index.js';

export const MATERIAL_KINDS = ['ingredient', 'packaging', 'resale'] as const;
export type MaterialKind = (typeof MATERIAL_KINDS)[number];

/** Anything that is bought: an ingredient or component, packaging, or goods for resale. */
export class Material extends Row {
  @Name({ label: 'Name' })
  name!: string;

  @Choice(MATERIAL_KINDS, { label: 'Kind' })
  kind: MaterialKind = 'ingredient';

  /** The unit in which its price is stated first, and to which its quantities are converted. */
  @UnitCode({ label: 'Base unit' })
  baseUnit = 'kg';

  @Text({ label: 'Note' })
  note = '';
}
