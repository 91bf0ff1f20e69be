import { linesOf } from '../../purchasing/index.js';
import { productsUsing } from '../../production/index.js';
import { landedSale } from '../../selling/index.js';
import type { Evaluation } from '../../sheet/index.js';
import { type FigureView, shown } from '../general/figure-view.js';

/** What a product that needs a material of a shipment leaves in a channel, with that material at its landed cost. */
export interface LandedSaleView extends Readonly<
  Record<'netRevenue' | 'fullCost' | 'profit' | 'margin' | 'markup' | 'units' | 'profitInAll', FigureView | null>
> {
  readonly lineId: string;
  readonly materialId: string;
  readonly productId: string;
  readonly product: string;
}

const MEMBERS = ['netRevenue', 'fullCost', 'profit', 'margin', 'markup', 'units', 'profitInAll'] as const;

/** The products of a channel that need what a shipment brings. The id is that of the shipment and the channel, "shipment@channel". */
export function landedSalesView(evaluation: Evaluation, id: string): LandedSaleView[] {
  const { sheet } = evaluation;
  const [shipmentId = '', channelId = ''] = id.split('@');
  return linesOf(sheet, shipmentId).flatMap(({ id: lineId, materialId }) =>
    productsUsing(sheet, materialId).flatMap((product): LandedSaleView[] => {
      const point = sheet.rowsOf('pricePoint', 'productId', product.id).find((each) => each.channelId === channelId);
      if (point === undefined || product.archived) return [];
      const key = `${lineId}@${point.id}`;
      const found = evaluation.read(landedSale, key);
      if (found.profit === null) return [];
      const figures = Object.fromEntries(
        MEMBERS.map((member) => [member, found[member] && shown(evaluation, landedSale, key, member)]),
      ) as Record<(typeof MEMBERS)[number], FigureView | null>;
      return [{ lineId, materialId, productId: product.id, product: product.name, ...figures }];
    }),
  );
}
