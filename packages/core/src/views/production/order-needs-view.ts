import type { Figure } from '../../figure/index.js';
import { orderedMaterial, orderedProduct, orderNeeds } from '../../production/index.js';
import type { Calculation, Evaluation } from '../../sheet/index.js';
import { type FigureView, shown, shownAll } from '../general/figure-view.js';

/** What an order needs: whole batches of products and whole packs of materials, each with what is left over. */
export interface OrderNeedsView {
  readonly products: readonly ({ readonly id: string; readonly name: string } & Readonly<
    Record<'needed' | 'batches' | 'leftOver', FigureView>
  >)[];
  readonly materials: readonly {
    readonly id: string;
    readonly name: string;
    readonly needed: FigureView;
    readonly packs: FigureView | null;
    readonly leftOver: FigureView | null;
  }[];
}

/** An order of a product, exploded: "product@units". */
export function orderNeedsView(evaluation: Evaluation, id: string): OrderNeedsView {
  const { sheet } = evaluation;
  const { products, materials } = evaluation.read(orderNeeds, id);
  const ofMaterial = (materialId: string, member: 'needed' | 'packs' | 'leftOver') =>
    shown(evaluation, orderedMaterial as Calculation<Record<typeof member, Figure>>, `${id}@${materialId}`, member);
  return {
    products: products.map(({ productId }) => ({
      id: productId,
      name: sheet.row('product', productId)?.name ?? '',
      ...shownAll(evaluation, orderedProduct, `${id}@${productId}`, ['needed', 'batches', 'leftOver']),
    })),
    materials: materials.map(({ materialId, packs, leftOver }) => ({
      id: materialId,
      name: sheet.row('material', materialId)?.name ?? '',
      needed: ofMaterial(materialId, 'needed'),
      packs: packs && ofMaterial(materialId, 'packs'),
      leftOver: leftOver && ofMaterial(materialId, 'leftOver'),
    })),
  };
}
