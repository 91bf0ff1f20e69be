import { Choice, DecimalText, Name, Row, Text, UnitCode, WholeNumber } from '../fields/index.js';
import { PLANNING_BASES, type PlanningBasis } from './planning-basis.js';

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

  /** By which listed price it is planned; where empty, as the book says. */
  @Choice(PLANNING_BASES, { label: 'Planned at the', nullable: true })
  planningBasis: PlanningBasis | null = null;

  /** The months back from the day that count for the highest and the average; where empty, as the book says. */
  @WholeNumber({ label: 'Of the last months', from: 1, to: 120, nullable: true })
  planningMonths: number | null = null;

  /** What is put on top of the price, as a percentage of it; where empty, as the book says. */
  @DecimalText({ label: 'Buffer', from: '0', to: '1000', nullable: true })
  bufferPercent: string | null = null;

  @Text({ label: 'Note' })
  note = '';
}
