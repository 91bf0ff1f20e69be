import { Choice, DecimalText, Reference, Row, WholeNumber } from '../fields/index.js';

export const EQUIPMENT_USE_BASES = [
  'minutes per batch',
  'minutes per unit',
  'minutes per good unit',
  'space per unit',
] as const;
export type EquipmentUseBasis = (typeof EQUIPMENT_USE_BASES)[number];

/** One use of equipment by a product: time on a machine, or space in a run that it shares with others. */
export class EquipmentUse extends Row {
  @Reference('product', { label: 'Product', goesWithTarget: true })
  productId!: string;

  @WholeNumber({ label: 'Position', from: 0, to: 1_000_000 })
  position = 0;

  @Reference('equipment', { label: 'Equipment', goesWithTarget: false, nullable: true })
  equipmentId: string | null = null;

  @Reference('equipmentRun', { label: 'Shared load', goesWithTarget: false, nullable: true })
  runId: string | null = null;

  @Choice(EQUIPMENT_USE_BASES, { label: 'Basis' })
  basis: EquipmentUseBasis = 'minutes per batch';

  /** Minutes per batch, per started unit or per good unit, or the space that one started unit takes, as the basis says. */
  @DecimalText({ label: 'Amount', from: '0', to: '1000000', nullable: true })
  amount: string | null = null;
}
