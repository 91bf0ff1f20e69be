import type { StoredRow } from '@nuvar/book';
import type { ShipmentView } from '@nuvar/core';
import { useState } from 'react';
import { useRow, useRowsOf, useSettings } from '../../book/use-book.js';
import { DocumentLinks } from '../../controls/layout/document-links.js';
import { Fields } from '../../controls/fields/fields.js';
import { RowField } from '../../controls/fields/row-field.js';
import { Sides, useSide } from '../../controls/layout/sides.js';
import { useView } from '../../engine/use-view.js';
import { Amount } from '../../figures/amount.js';
import { Gone } from '../../figures/empty.js';
import { GapList } from '../../figures/gap-list.js';
import { LeadFigure } from '../../figures/lead-figure.js';
import { ScreenLink } from '../../figures/screen-link.js';
import { Bills } from './bills.js';
import { ChargeGrid } from './charge-grid.js';
import { ChargeDetail } from './charge-shares.js';
import { CompareShipments } from './compare-shipments.js';
import { LandedGrid } from './landed-grid.js';
import { LandedSales } from './landed-sales.js';
import { LineGrid } from './line-grid.js';
import { LoadTable } from './load-table.js';
import { PaymentsGrid } from './payments-grid.js';
import { PostedBand } from './posted-band.js';
import { Received } from './received.js';
import { ShipmentRules } from './shipment-rules.js';
import { ShipmentWay } from './shipment-way.js';
import { STATE_WORDS, TERM_WORDS } from './shipment-words.js';
import { TermPrices } from './term-prices.js';
import { UseAsPrices } from './use-as-prices.js';

const SIDES = {
  goods: 'Goods and charges',
  landed: 'Landed cost',
  received: 'Received',
  bills: 'Bills',
  compare: 'Compare',
  load: 'Load',
  payments: 'Payments',
  about: 'Details',
};

type Shipment = StoredRow<'shipment'>;

/** One shipment: what it costs at the door, what came on top of the goods, and how that is shared over its lines. */
export function ShipmentDetail({ id }: { readonly id: string }) {
  const shipment = useRow('shipment', id);
  const view = useView('shipment', id);
  const { currency } = useSettings();
  if (shipment === undefined) {
    return (
      <section aria-label="Shipment">
        <Gone what="shipment" />
      </section>
    );
  }
  return (
    <section aria-label={shipment.name}>
      <h2 className="font-serif text-detail">{shipment.name}</h2>
      <LeadFigure figure={view?.landed} digits={2} unit={`${currency} landed`} inWords={false} />
      {view && (
        <p className="text-soft">
          Goods <Amount figure={view.goods} digits={2} />, on top <Amount figure={view.onTop} digits={2} />:{' '}
          <Amount figure={view.onTopPercent} digits={1} /> % of the goods.
          <Beside view={view} />
        </p>
      )}
      <Sides sides={SIDES} label="Shipment details" />
      <ShipmentSide shipment={shipment} />
    </section>
  );
}

/** What is paid and is no cost of the goods. */
function Beside({ view }: { readonly view: ShipmentView }) {
  const isThere = (amount: string | null) => amount !== null && Number(amount) !== 0;
  return (
    <>
      {isThere(view.expense.amount) && (
        <>
          {' '}
          To expense: <Amount figure={view.expense} digits={2} />.
        </>
      )}
      {isThere(view.recoveredInAll.amount) && (
        <>
          {' '}
          Recovered: <Amount figure={view.recoveredInAll} digits={2} />.
        </>
      )}{' '}
      Paid in all: <Amount figure={view.paid} digits={2} />.
      {view.againstEstimate && (
        <>
          {' '}
          Bills above estimates: <Amount figure={view.againstEstimate} digits={2} />.
        </>
      )}
    </>
  );
}

function ShipmentSide({ shipment }: { readonly shipment: Shipment }) {
  const view = useView('shipment', shipment.id);
  switch (useSide(SIDES)) {
    case 'landed':
      return (
        <>
          <LandedGrid shipmentId={shipment.id} />
          <p className="mt-2">
            <DocumentLinks label="Landed cost sheet" document="landed cost" of={shipment.id} />
          </p>
          <TermPrices shipmentId={shipment.id} />
          <LandedSales shipment={shipment} />
          <UseAsPrices shipment={shipment} />
        </>
      );
    case 'received':
      return <Received shipment={shipment} />;
    case 'bills':
      return <Bills shipmentId={shipment.id} />;
    case 'compare':
      return <CompareShipments key={shipment.id} shipment={shipment} />;
    case 'load':
      return view === undefined ? null : <LoadTable view={view} />;
    case 'payments':
      return <PaymentsGrid shipment={shipment} />;
    case 'about':
      return <AboutShipment shipment={shipment} />;
    default:
      return <GoodsAndCharges shipment={shipment} />;
  }
}

function GoodsAndCharges({ shipment }: { readonly shipment: Shipment }) {
  const { id } = shipment;
  const view = useView('shipment', id);
  const charges = useRowsOf('shipmentCharge', 'shipmentId', id);
  const [selected, setSelected] = useState<string | undefined>();
  const charge = charges.find((each) => each.id === selected);
  return (
    <>
      <Terms shipment={shipment} />
      {shipment.state === 'settled' && (
        <p className="text-soft mt-1.5">Settled: nothing of it can be changed. Choose another state to correct it.</p>
      )}
      <PostedBand key={`${shipment.id} ${shipment.postedOn ?? ''}`} shipment={shipment} />
      {view && <ShipmentWay shipment={shipment} stops={view.stops} onChoose={setSelected} />}
      {view && <GapList gaps={view.landed.gaps} />}
      <LineGrid shipment={shipment} />
      <div className="mt-4">
        <ChargeGrid shipment={shipment} selected={charge?.id} onSelect={(row) => setSelected(row.id)} />
      </div>
      <ShipmentRules shipment={shipment} />
      {charge && <ChargeDetail key={charge.id} charge={charge} />}
    </>
  );
}

/** From whom, under which term, in which currency and at which rate. */
function Terms({ shipment: { id, currency: buying } }: { readonly shipment: Shipment }) {
  const { currency } = useSettings();
  return (
    <Fields inTwo>
      <RowField kind="shipment" id={id} field="supplierId" words={{ '': 'no supplier' }} />
      <RowField kind="shipment" id={id} field="state" words={STATE_WORDS} />
      <RowField kind="shipment" id={id} field="deliveryTerm" words={TERM_WORDS} />
      <RowField kind="shipment" id={id} field="date" />
      <RowField kind="shipment" id={id} field="currency" />
      {buying !== currency && (
        <RowField kind="shipment" id={id} field="rate" suffix={`${currency} for one`} placeholder="rate of the book" />
      )}
    </Fields>
  );
}

function AboutShipment({ shipment: { id, customsProfileId, currency: buying } }: { readonly shipment: Shipment }) {
  const { currency } = useSettings();
  return (
    <>
      <Fields className="max-w-xl">
        <RowField kind="shipment" id={id} field="name" />
        <RowField kind="shipment" id={id} field="origin" placeholder="place or country" />
        <RowField kind="shipment" id={id} field="destination" placeholder="place" />
        <RowField kind="shipment" id={id} field="customsProfileId" words={{ '': 'no customs' }} />
        {customsProfileId !== null && buying !== currency && (
          <RowField
            kind="shipment"
            id={id}
            field="customsRate"
            suffix={`${currency} for one`}
            placeholder="as the shipment"
          />
        )}
        <RowField kind="shipment" id={id} field="ruleSet" placeholder="none" />
        <RowField kind="shipment" id={id} field="note" />
      </Fields>
      <p className="mt-2">
        <ScreenLink to="customs">Customs profiles</ScreenLink>
      </p>
    </>
  );
}
