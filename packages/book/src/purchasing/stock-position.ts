import { Day, DecimalText, Reference, Row, Text, UnitCode } from '../fields/index.js';

/**
 * What the stock ledger of a material has come to on a day. Nobody writes it: it is worked out of the movements, and bears
 * the id of its material.
 */
export class StockPosition extends Row {
  @Reference('material', { label: 'Material', goesWithTarget: true })
  materialId!: string;

  /** The day of the last movement that counts. */
  @Day({ label: 'Day' })
  day!: string;

  @UnitCode({ label: 'Unit' })
  unit!: string;

  @DecimalText({ label: 'Quantity in stock', from: '-1000000000000', to: '1000000000000' })
  quantity = '0';

  @DecimalText({ label: 'Stock value, moving average', from: '-1000000000000', to: '1000000000000' })
  averageValue = '0';

  /** Per base unit: the average, and where nothing is left the last one. */
  @DecimalText({ label: 'Moving average', from: '-1000000000000', to: '1000000000000', nullable: true })
  averageCost: string | null = null;

  @DecimalText({ label: 'Stock value, first in, first out', from: '-1000000000000', to: '1000000000000' })
  fifoValue = '0';

  /** Per base unit: what is used next, and where nothing is left what was used last. */
  @DecimalText({ label: 'Oldest cost', from: '-1000000000000', to: '1000000000000', nullable: true })
  oldestCost: string | null = null;

  /** Per base unit: what was used last. */
  @DecimalText({ label: 'Cost used last', from: '-1000000000000', to: '1000000000000', nullable: true })
  lastCost: string | null = null;

  /** The layers that are open, the oldest first, as JSON: of each the movement that opened it, what is left, and its cost. */
  @Text({ label: 'Open layers' })
  layers = '';

  /** What the stock is worth by the methods that value whole months, as JSON; empty but on the last day of a month on which something moved. */
  @Text({ label: 'Stock by whole months' })
  byMonth = '';
}
