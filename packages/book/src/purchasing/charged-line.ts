import { Reference, Row } from '../fields/index.js';

/** One of the lines that alone bear a charge. A charge without any is borne by all lines of its shipment. */
export class ChargedLine extends Row {
  @Reference('shipmentCharge', { label: 'Charge', goesWithTarget: true })
  chargeId!: string;

  @Reference('shipmentLine', { label: 'Line', goesWithTarget: true })
  lineId!: string;
}
