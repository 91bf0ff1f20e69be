import { newId, type DeliveryTerm, type StoredRow } from '@nuvar/book';
import type { ShipmentView } from '@nuvar/core';
import { useEdit, useMayEdit, useSettings } from '../../book/use-book.js';
import { Amount } from '../../figures/amount.js';
import { newCharge } from './new-charge.js';
import { CHARGE_LABELS } from './shipment-words.js';

type Stop = ShipmentView['stops'][number];

interface ShipmentWayProps {
  readonly shipment: StoredRow<'shipment'>;
  readonly stops: readonly Stop[];
  readonly onChoose: (chargeId: string) => void;
}

/**
 * The way of the goods from the seller's door to the buyer's, as a line of stops. The delivery term cuts it: what the
 * seller's price holds is drawn thin, what the buyer pays is drawn thick, and a stop that is still open asks for its charge.
 */
export function ShipmentWay({ shipment, stops, onChoose }: ShipmentWayProps) {
  const edit = useEdit();
  const mayEdit = useMayEdit();
  const { currency } = useSettings();
  const shown = stops.filter((stop) => isShown(stop, shipment.deliveryTerm));
  const add = ({ type, paidBy }: Stop) => {
    const id = newId();
    const problems = edit([newCharge(id, shipment.id, currency, { type, inPrice: paidBy === 'seller' })]);
    if (problems.length === 0) onChoose(id);
  };
  return (
    <figure className="my-2" aria-label="The way from the seller's door to yours">
      <ol className="flex flex-wrap gap-y-2">
        <li className="self-start px-2 font-semibold">{shipment.origin === '' ? 'Seller' : shipment.origin}</li>
        {shown.map((stop) => (
          <li key={stop.type} className="way-stop" data-paid-by={stop.paidBy ?? 'buyer'} data-missing={stop.isMissing}>
            <span className="way-mark" aria-hidden="true" />
            <span className="text-note text-soft">{CHARGE_LABELS[stop.type]}</span>
            <StopAmount
              stop={stop}
              shipmentId={shipment.id}
              add={mayEdit && shipment.state !== 'settled' ? add : null}
            />
          </li>
        ))}
        <li className="self-start px-2 font-semibold">{shipment.destination === '' ? 'Here' : shipment.destination}</li>
      </ol>
      {shipment.deliveryTerm !== null && (
        <figcaption className="text-note text-soft">
          Thin: in the seller’s price under {shipment.deliveryTerm.replace(' works', '')}. Thick: yours to pay.
        </figcaption>
      )}
    </figure>
  );
}

/** Without a term only what is charged; with one also the stops that matter. */
function isShown({ charges, isMissing, paidBy, type }: Stop, term: DeliveryTerm | null): boolean {
  if (charges.length > 0 || isMissing) return true;
  return term !== null && paidBy === 'seller' && ['freight', 'insurance', 'trucking', 'duty'].includes(type);
}

interface StopAmountProps {
  readonly stop: Stop;
  readonly shipmentId: string;
  /** Adds the charge of the stop; null for whoever only reads. */
  readonly add: ((stop: Stop) => void) | null;
}

function StopAmount({ stop, shipmentId, add }: StopAmountProps) {
  const place = `${shipmentId}.charge ${stop.type}`;
  if (stop.charges.length > 0)
    return (
      <span data-place={place} tabIndex={-1}>
        {stop.charges.map(({ id, inPrice, amount }) => (
          <span key={id ?? 'profile'} className="block">
            <Amount figure={amount} digits={2} />
            {inPrice && <span className="text-note text-soft"> in price</span>}
          </span>
        ))}
      </span>
    );
  const isSellers = stop.paidBy === 'seller';
  if (add === null) return <span className="text-soft">{isSellers ? 'in price' : 'open'}</span>;
  return (
    <button type="button" className="link link-primary" data-place={place} onClick={() => add(stop)}>
      {isSellers ? 'in price' : 'Add'}
    </button>
  );
}
