import { compared, decimal, ZERO } from '../../number/index.js';
import { chargesOf, paymentRoom } from '../../purchasing/index.js';
import { type Evaluation, money } from '../../sheet/index.js';
import { type FigureView, shown, shownAll } from '../general/figure-view.js';

type Owed = Readonly<Record<'owed' | 'paid' | 'left', FigureView>> & { readonly chargeId: string };

/** What is owed, paid and left, and what each payment can be at most. */
export interface PaymentsView {
  /** Of the goods (an empty id), and of each charge in another currency or of which something was paid. */
  readonly owed: readonly Owed[];
  readonly most: Readonly<Record<string, FigureView>>;
  /** The most that is left of anything: no new payment can be more, whatever it is for. Null while something is not known. */
  readonly mostOfAny: string | null;
}

export function paymentsView(evaluation: Evaluation, shipmentId: string): PaymentsView {
  const { sheet } = evaluation;
  const all = ['', ...chargesOf(sheet, shipmentId).map(({ id }) => id)].map((chargeId): Owed => ({
    chargeId,
    ...shownAll(evaluation, paymentRoom, `${shipmentId}@${chargeId}`, ['owed', 'paid', 'left']),
  }));
  const payments = sheet.rowsOf('shipmentPayment', 'shipmentId', shipmentId);
  const paidFor = new Set(payments.map(({ chargeId }) => chargeId ?? ''));
  const inBook = money(sheet).text;
  const lefts = all.map(({ left }) => (left.gaps.length > 0 ? null : left.amount));
  const known = lefts.flatMap((left) => (left === null ? [] : [decimal(left)]));
  return {
    owed: all.filter(({ chargeId, owed }) => chargeId === '' || paidFor.has(chargeId) || owed.unit !== inBook),
    most: Object.fromEntries(
      payments.map(({ id, chargeId }) => [
        id,
        shown(evaluation, paymentRoom, `${shipmentId}@${chargeId ?? ''}@${id}`, 'left'),
      ]),
    ),
    mostOfAny:
      known.length < lefts.length
        ? null
        : known.reduce((most, left) => (compared(left, most) > 0 ? left : most), ZERO).toFixed(),
  };
}
