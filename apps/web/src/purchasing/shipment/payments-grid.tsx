import type { StoredRow } from '@nuvar/book';
import { useMemo } from 'react';
import { today } from '../../state/today.js';
import { updateOf } from '../../book/operations.js';
import { useRowsOf, useSettings } from '../../book/use-book.js';
import { fieldColumn } from '../../controls/field-column.js';
import { Grid } from '../../controls/grid.js';
import type { Column, GridWriter } from '../../controls/grid-model.js';
import { rowsWriter } from '../../controls/rows-writer.js';
import { useView } from '../../engine/use-view.js';
import { Amount } from '../../figures/amount.js';
import { dayText } from '../../figures/format.js';
import { CHARGE_LABELS } from './shipment-words.js';

type Payment = StoredRow<'shipmentPayment'>;
type Patch = Partial<Payment>;

const GOODS = 'Goods';

/** When goods and charges were paid, and at which rates: what was paid ahead keeps its rate, the rest makes a difference apart. */
export function PaymentsGrid({ shipment }: { readonly shipment: StoredRow<'shipment'> }) {
  const rows = useRowsOf('shipmentPayment', 'shipmentId', shipment.id);
  const charges = useRowsOf('shipmentCharge', 'shipmentId', shipment.id);
  const view = useView('shipment', shipment.id);
  const { locale, currency } = useSettings();
  const isSettled = shipment.state === 'settled';
  const columns = useMemo(() => paymentColumns(charges, locale, currency), [charges, locale, currency]);
  const writer = useMemo(
    (): GridWriter<Payment, Patch> => ({
      ...rowsWriter<Payment>('shipmentPayment', {
        needs: 'amount',
        fixed: () => ({ shipmentId: shipment.id, date: today() }),
      }),
      update: (row, patch) => updateOf('shipmentPayment', row, patch),
    }),
    [shipment.id],
  );
  return (
    <>
      <Grid
        title="Payments"
        rows={rows}
        columns={columns}
        {...(isSettled ? {} : { writer })}
        nameOf={({ date }) => `payment of ${dayText(date, locale)}`}
        empty="What is paid in another currency: ahead of the goods, or when the bill is settled, each at the rate of its day."
      />
      {view?.exchangeDifference && (
        <p className="mt-2">
          Exchange difference at settlement: <Amount figure={view.exchangeDifference} digits={2} withUnit />, a gain
          where positive. It goes to profit or loss and is no cost of the goods.
        </p>
      )}
    </>
  );
}

function paymentColumns(
  charges: readonly StoredRow<'shipmentCharge'>[],
  locale: string,
  currency: string,
): Column<Payment, Patch>[] {
  const nameOf = (chargeId: string | null) => {
    const charge = charges.find(({ id }) => id === chargeId);
    return charge === undefined ? GOODS : (CHARGE_LABELS[charge.type] ?? charge.type);
  };
  const offered = [null, ...charges.map(({ id }) => id)];
  return [
    { ...fieldColumn<Payment>('shipmentPayment', 'date', locale), blankText: dayText(today(), locale) },
    {
      id: 'of',
      header: 'For',
      type: 'choice',
      blankText: GOODS,
      place: ({ id }) => `${id}.chargeId`,
      options: () => offered.map((id) => ({ value: nameOf(id), label: nameOf(id) })),
      text: ({ chargeId }) => nameOf(chargeId),
      read: (text) => {
        const found = offered.find((id) => nameOf(id).toLowerCase() === text.trim().toLowerCase());
        return found === undefined
          ? { refusal: `For is one of: ${offered.map(nameOf).join(', ')}.` }
          : { patch: { chargeId: found }, shown: nameOf(found) };
      },
    },
    fieldColumn<Payment>('shipmentPayment', 'amount', locale),
    fieldColumn<Payment>('shipmentPayment', 'rate', locale, {
      header: `Rate, ${currency} for one`,
      placeholder: 'rate of the book',
    }),
    fieldColumn<Payment>('shipmentPayment', 'timing', locale),
  ];
}
