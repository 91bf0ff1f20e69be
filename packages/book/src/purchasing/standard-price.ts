import { Day, DecimalText, Reference, Row } from '../fields/index.js';

/** What a base unit of a material is set to cost from a day on, whatever suppliers ask: its standard price. */
export class StandardPrice extends Row {
  @Reference('material', { label: 'Material', goesWithTarget: true })
  materialId!: string;

  @Day({ label: 'From' })
  validFrom!: string;

  /** Per base unit, in the book's currency. */
  @DecimalText({ label: 'Standard price', from: '0', to: '1000000000', nullable: true })
  price: string | null = null;
}
