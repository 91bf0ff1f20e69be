import type { ShipmentView } from '@nuvar/core';
import { Amount } from '../../figures/amount.js';

/** How much of a pallet or container a shipment fills, and by which of room and payload it is full first. */
export function LoadTable({ view }: { readonly view: ShipmentView }) {
  return (
    <>
      <p className="mt-2">
        Together <Amount figure={view.weight} withUnit inWords /> and <Amount figure={view.volume} withUnit inWords />.
      </p>
      <table className="table mt-1.5 max-w-xl">
        <thead>
          <tr>
            <th scope="col">Carrier</th>
            <th scope="col" className="text-right">
              Room, %
            </th>
            <th scope="col" className="text-right">
              Payload, %
            </th>
            <th scope="col" className="text-right">
              Carriers
            </th>
            <th scope="col">Full first by</th>
          </tr>
        </thead>
        <tbody>
          {view.loads.map(({ code, label, byVolume, byWeight, carriers, fullBy }) => (
            <tr key={code}>
              <th scope="row" className="font-normal">
                {label.charAt(0).toUpperCase() + label.slice(1)}
              </th>
              <td className="text-right">
                <Amount figure={byVolume} digits={1} />
              </td>
              <td className="text-right">
                <Amount figure={byWeight} digits={1} />
              </td>
              <td className="text-right">
                <Amount figure={carriers} digits={2} />
              </td>
              <td>{fullBy ?? ''}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="text-note text-soft">
        Usual inner sizes and payloads; the plate on the door of a container says what holds for it.
      </p>
    </>
  );
}
