import { Choice, DecimalText, FindableRow, Name, Reference, Text, UnitCode, WholeNumber } from '../fields/index.js';
import { PLANNING_BASES, type PlanningBasis } from './planning-basis.js';

export const MATERIAL_KINDS = ['ingredient', 'packaging', 'resale'] as const;
export type MaterialKind = (typeof MATERIAL_KINDS)[number];

export const LANDED_ADD_ON_BASES = ['percent', 'amount per base unit'] as const;
export type LandedAddOnBasis = (typeof LANDED_ADD_ON_BASES)[number];

/** Anything that is bought: an ingredient or component, packaging, or goods for resale. */
export class Material extends FindableRow {
  @Name({ label: 'Name' })
  name!: string;

  @Choice(MATERIAL_KINDS, { label: 'Kind' })
  kind: MaterialKind = 'ingredient';

  /** The unit in which its price is stated first, and to which its quantities are converted. */
  @UnitCode({ label: 'Base unit' })
  baseUnit = 'kg';

  /** By which listed price it is planned; where empty, as the book says. */
  @Choice(PLANNING_BASES, { label: 'Planning basis', nullable: true })
  planningBasis: PlanningBasis | null = null;

  /** The months back from the day that count for the highest and the average; where empty, as the book says. */
  @WholeNumber({ label: 'Months looked at', from: 1, to: 120, nullable: true })
  planningMonths: number | null = null;

  /** What is put on top of the price, as a percentage of it; where empty, as the book says. */
  @DecimalText({ label: 'Buffer', from: '0', to: '1000', nullable: true })
  bufferPercent: string | null = null;

  /** The supplier whose prices count first; where empty, anybody's. */
  @Reference('supplier', { label: 'Preferred supplier', goesWithTarget: false, nullable: true })
  preferredSupplierId: string | null = null;

  /** What it costs to get it here, on top of a listed price, until shipments say it. */
  @DecimalText({ label: 'Landed add-on', from: '0', to: '1000000', nullable: true })
  landedAddOn: string | null = null;

  @Choice(LANDED_ADD_ON_BASES, { label: 'Add-on basis' })
  landedAddOnBasis: LandedAddOnBasis = 'percent';

  /** In base units: once there is no more in stock, it is time to order. */
  @DecimalText({ label: 'Reorder level', from: '0', to: '1000000000', nullable: true })
  reorderLevel: string | null = null;

  /** In base units; where empty, it follows from the planned units of the products that it goes into. */
  @DecimalText({ label: 'Need in a year', above: '0', to: '1000000000000', nullable: true })
  yearlyNeed: string | null = null;

  /** Of a sheet or a board: its sides, and what the saw or the cutter takes between two parts. */
  @DecimalText({ label: 'Sheet length, mm', above: '0', to: '1000000', nullable: true })
  sheetLength: string | null = null;

  @DecimalText({ label: 'Sheet width, mm', above: '0', to: '1000000', nullable: true })
  sheetWidth: string | null = null;

  @DecimalText({ label: 'Cut width, mm', from: '0', to: '1000' })
  cutWidth = '0';

  /** The set of charge rules that its lines in shipments are given. */
  @Text({ label: 'Set of charge rules' })
  ruleSet = '';

  @Text({ label: 'Note' })
  note = '';
}
