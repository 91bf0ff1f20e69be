import { Choice, DecimalText, Name, Reference, Row, Text, UnitCode, WholeNumber } from '../fields/index.js';

/** What a carrier asks, by zone and weight. */
export class CarrierTable extends Row {
  @Name({ label: 'Carrier table' })
  name!: string;

  /** Cubic centimetres that count as a kilogram; empty where bulky parcels are charged by weight alone. */
  @DecimalText({ label: 'Volume weight, cm³ per kg', above: '0', to: '1000000', nullable: true })
  volumeDivisor: string | null = null;

  /** The tax on top of its rates; what of it is not recovered is a cost. Empty where there is none. */
  @DecimalText({ label: 'Tax on postage', from: '0', to: '100', nullable: true })
  taxPercent: string | null = null;
}

/** The price of a parcel to a zone, up to and with a weight. */
export class CarrierRate extends Row {
  @Reference('carrierTable', { label: 'Carrier table', goesWithTarget: true })
  tableId!: string;

  @Text({ label: 'Zone' })
  zone = '';

  @DecimalText({ label: 'Up to, kg', above: '0', to: '1000000' })
  upToKilograms!: string;

  @DecimalText({ label: 'Postage', from: '0', to: '1000000' })
  amount!: string;
}

/** The orders of a channel that go to a zone by the rates of a carrier. */
export class PostageShare extends Row {
  @Reference('channel', { label: 'Channel', goesWithTarget: true })
  channelId!: string;

  @Reference('carrierTable', { label: 'Carrier table', goesWithTarget: true })
  tableId!: string;

  @Text({ label: 'Zone' })
  zone = '';

  @DecimalText({ label: 'Of the orders, %', from: '0', to: '100' })
  percent = '100';
}

export const PACKED_PER = ['order', 'unit'] as const;
export type PackedPer = (typeof PACKED_PER)[number];

/** What is packed around an order or a unit to send it, and the work of packing. A selling cost, no part of stock value (IAS 2.16 d). */
export class PackingLine extends Row {
  @Reference('channel', { label: 'Channel', goesWithTarget: true })
  channelId!: string;

  @WholeNumber({ label: 'Position', from: 0, to: 1_000_000 })
  position = 0;

  @Reference('material', { label: 'Material', goesWithTarget: false, nullable: true })
  materialId: string | null = null;

  @Reference('labourGrade', { label: 'Labour grade', goesWithTarget: false, nullable: true })
  gradeId: string | null = null;

  @DecimalText({ label: 'Quantity', from: '0', to: '1000000', nullable: true })
  quantity: string | null = null;

  @UnitCode({ label: 'Unit' })
  unit = 'each';

  @Choice(PACKED_PER, { label: 'For each' })
  per: PackedPer = 'order';

  /** Only for products of this category; empty for all. */
  @Text({ label: 'Category' })
  category = '';
}
