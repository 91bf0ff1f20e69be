import { Choice, DecimalText, Flag, Reference, Row, Text, UnitCode, WholeNumber } from '../fields/index.js';

export const BILL_LINE_BASES = ['batch', 'started unit', 'good unit'] as const;
export type BillLineBasis = (typeof BILL_LINE_BASES)[number];

/** Waste is a share of the input that is lost, or comes on top of the net quantity. */
export const LOSS_BASES = ['of the input', 'on top'] as const;
export type LossBasis = (typeof LOSS_BASES)[number];

/** A part takes its share of a sheet by how many whole parts fit, or by its area: the offcuts are used elsewhere. */
export const LAYOUTS = ['whole parts', 'area'] as const;
export type Layout = (typeof LAYOUTS)[number];

/** One line of a product's bill of materials: so much of a material, or of another product. */
export class BillLine extends Row {
  @Reference('product', { label: 'Product', goesWithTarget: true })
  productId!: string;

  @WholeNumber({ label: 'Position', from: 0, to: 1_000_000 })
  position = 0;

  @Reference('material', { label: 'Material', goesWithTarget: false, nullable: true })
  materialId: string | null = null;

  @Reference('product', { label: 'Component', goesWithTarget: false, nullable: true })
  componentId: string | null = null;

  /** What was typed, as long as it is not linked to a material or a component. */
  @Text({ label: 'Item' })
  text = '';

  /** Net quantity: what ends up in the product. */
  @DecimalText({ label: 'Quantity', from: '0', to: '1000000000', nullable: true })
  quantity: string | null = null;

  @UnitCode({ label: 'Unit' })
  unit!: string;

  @Choice(BILL_LINE_BASES, { label: 'Per' })
  basis: BillLineBasis = 'started unit';

  /** What is wasted on the way in: less than 100 % where it is a share of the input. */
  @DecimalText({ label: 'Waste %', from: '0', to: '1000' })
  lossPercent = '0';

  @Choice(LOSS_BASES, { label: 'Waste basis' })
  lossBasis: LossBasis = 'of the input';

  /** Of a part that is cut from a sheet or a board: its sides. The quantity then counts parts. */
  @DecimalText({ label: 'Part length, mm', above: '0', to: '1000000', nullable: true })
  partLength: string | null = null;

  @DecimalText({ label: 'Part width, mm', above: '0', to: '1000000', nullable: true })
  partWidth: string | null = null;

  /** False where the grain or the pattern says how a part lies. */
  @Flag({ label: 'May be turned' })
  partMayTurn = true;

  @Choice(LAYOUTS, { label: 'Counted by' })
  partLayout: Layout = 'whole parts';
}
