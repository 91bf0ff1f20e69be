import { compareDecimalText, type StoredRow } from '@nuvar/book';
import type { PaymentsView } from '@nuvar/core';
import { useMemo } from 'react';
import { today } from '../../state/today.js';
import { updateOf } from '../../book/operations.js';
import { useRowsOf, useSettings } from '../../book/use-book.js';
import { fieldColumn } from '../../controls/grid/field-column.js';
import { Grid } from '../../controls/grid/grid.js';
import type { Column, GridWriter, InputColumn } from '../../controls/grid/grid-model.js';
import { isRefusal } from '../../controls/fields/read-field.js';
import { rowsWriter } from '../../controls/grid/rows-writer.js';
import { useView } from '../../engine/use-view.js';
import { Amount } from '../../figures/amount.js';
import { dayText, typedText } from '../../figures/format.js';
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
  const payments = useView('payments', shipment.id);
  const columns = useMemo(
    () => paymentColumns({ charges, payments, locale, currency }),
    [charges, payments, locale, currency],
  );
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
      {payments && <Owed payments={payments} nameOf={nameOfCharge(charges)} />}
      {view?.exchangeDifference && (
        <p className="mt-2">
          Exchange difference at settlement: <Amount figure={view.exchangeDifference} digits={2} withUnit />, a gain
          where positive. It goes to profit or loss and is no cost of the goods.
        </p>
      )}
    </>
  );
}

const nameOfCharge = (charges: readonly StoredRow<'shipmentCharge'>[]) => (chargeId: string | null) => {
  const charge = charges.find(({ id }) => id === chargeId);
  return charge === undefined ? GOODS : (CHARGE_LABELS[charge.type] ?? charge.type);
};

interface OwedProps {
  readonly payments: PaymentsView;
  readonly nameOf: (chargeId: string | null) => string;
}

/** What is owed, paid and left, each in its own currency. */
function Owed({ payments, nameOf }: OwedProps) {
  return (
    <table className="table mt-3 w-auto" aria-label="Owed and paid">
      <thead>
        <tr>
          <th scope="col">For</th>
          {['Owed', 'Paid', 'Left to pay'].map((label) => (
            <th key={label} scope="col" className="text-right">
              {label}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {payments.owed.map(({ chargeId, owed, paid, left }) => (
          <tr key={chargeId}>
            <th scope="row" className="font-normal">
              {nameOf(chargeId)}
            </th>
            {[owed, paid, left].map((figure) => (
              <td key={figure.key} className="text-right">
                <Amount figure={figure} digits={2} withUnit />
              </td>
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  );
}

interface ColumnsOf {
  readonly charges: readonly StoredRow<'shipmentCharge'>[];
  readonly payments: PaymentsView | undefined;
  readonly locale: string;
  readonly currency: string;
}

function paymentColumns({ charges, payments, locale, currency }: ColumnsOf): Column<Payment, Patch>[] {
  const nameOf = nameOfCharge(charges);
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
    amountColumn(payments, locale),
    fieldColumn<Payment>('shipmentPayment', 'rate', locale, {
      header: `Rate, ${currency} for one`,
      placeholder: 'rate of the book',
    }),
    fieldColumn<Payment>('shipmentPayment', 'timing', locale),
  ];
}

/** An amount that is no more than is still owed: what goes beyond it is a payment for something else. */
function amountColumn(payments: PaymentsView | undefined, locale: string): InputColumn<Payment, Patch> {
  const amount = fieldColumn<Payment>('shipmentPayment', 'amount', locale);
  return {
    ...amount,
    read: (text, row) => {
      const reading = amount.read(text, row);
      const room = row === null ? undefined : payments?.most[row.id];
      const most = row === null ? payments?.mostOfAny : room?.gaps.length === 0 ? room.amount : null;
      const typed = isRefusal(reading) ? null : reading.patch.amount;
      if (typed == null || most == null || compareDecimalText(typed, most) <= 0) return reading;
      return {
        refusal: `No more than ${typedText(most, locale)} is owed. Enter the rest as a payment of its own for what it is for.`,
      };
    },
  };
}
