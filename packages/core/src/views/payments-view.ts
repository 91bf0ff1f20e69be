import { chargesOf, paymentRoom } from '../purchasing/index.js';
import type { Evaluation } from '../sheet/index.js';
import { type FigureView, shown, shownAll } from './figure-view.js';

/** What is owed, paid and left of the goods (an empty id) and of each charge, and what each payment can be at most. */
export interface PaymentsView {
  readonly owed: readonly (Readonly<Record<'owed' | 'paid' | 'left', FigureView>> & { readonly chargeId: string })[];
  readonly most: Readonly<Record<string, FigureView>>;
}

export function paymentsView(evaluation: Evaluation, shipmentId: string): PaymentsView {
  const { sheet } = evaluation;
  return {
    owed: ['', ...chargesOf(sheet, shipmentId).map(({ id }) => id)].map((chargeId) => ({
      chargeId,
      ...shownAll(evaluation, paymentRoom, `${shipmentId}@${chargeId}`, ['owed', 'paid', 'left']),
    })),
    most: Object.fromEntries(
      sheet
        .rowsOf('shipmentPayment', 'shipmentId', shipmentId)
        .map(({ id, chargeId }) => [
          id,
          shown(evaluation, paymentRoom, `${shipmentId}@${chargeId ?? ''}@${id}`, 'left'),
        ]),
    ),
  };
}
