import type { StoredRow } from '@nuvar/book';
import { useMemo, useState } from 'react';
import { today } from '../../state/today.js';
import { createOf, updateOf } from '../../book/operations.js';
import { useAll, useMayEdit, useSettings } from '../../book/use-book.js';
import { fieldColumn } from '../../controls/grid/field-column.js';
import { Grid } from '../../controls/grid/grid.js';
import { figureColumn, type Column, type GridWriter } from '../../controls/grid/grid-model.js';
import { ListAndDetail } from '../../controls/layout/list-and-detail.js';
import { copyInBook, removalInBook } from '../../controls/grid/rows-writer.js';
import { useChosenRow } from '../../controls/layout/use-chosen-row.js';
import { useListFilter } from '../../controls/grid/use-filter.js';
import { QuickEstimate } from './quick-estimate.js';
import { holdsAll, wordsOf } from '../../controls/fields/words.js';
import { ShipmentDetail } from './shipment-detail.js';
import { STATE_WORDS } from './shipment-words.js';
import { BuyPage } from '../buy-page.js';

type Shipment = StoredRow<'shipment'>;

const nameOf = ({ name }: Shipment) => name;
const matchesShipment = ({ name, state, origin }: Shipment, words: string) =>
  holdsAll(`${name} ${state} ${origin}`, wordsOf(words));

/** Buy: what was or is to be bought together, and what each item of it costs at the door. */
export function ShipmentsScreen() {
  const { chosen, choose, chooseById } = useChosenRow('shipments');
  const { locale, currency } = useSettings();
  const shipments = useAll('shipment');
  const mayEdit = useMayEdit();
  const [isEstimating, setEstimating] = useState(false);
  const filter = useListFilter('Filter shipments', matchesShipment);
  const columns = useMemo(() => shipmentColumns(locale, currency), [locale, currency]);
  const writer = useMemo(() => shipmentWriter(currency), [currency]);
  const shown = chosen ?? shipments[0]?.id;
  return (
    <BuyPage>
      <ListAndDetail
        wide="detail"
        narrow="28rem"
        list={
          <Grid
            title="Shipments"
            rows={shipments}
            columns={columns}
            writer={writer}
            nameOf={nameOf}
            selected={shown}
            onSelect={choose}
            onCreate={chooseById}
            filter={filter}
            tools={
              <>
                {mayEdit && (
                  <button type="button" className="link link-primary" onClick={() => setEstimating(true)}>
                    Quick estimate
                  </button>
                )}
              </>
            }
            empty="Goods bought together: what each item costs at your door, with freight, customs and everything else. Type a description into the empty row, or start with a quick estimate."
          />
        }
        detail={shown === undefined ? null : <ShipmentDetail key={shown} id={shown} />}
      />
      {isEstimating && <QuickEstimate onMade={chooseById} onClose={() => setEstimating(false)} />}
    </BuyPage>
  );
}

function shipmentColumns(locale: string, currency: string): Column<Shipment, Partial<Shipment>>[] {
  const figure = (member: 'landed' | 'onTopPercent', header: string, digits: number) =>
    figureColumn({
      id: member,
      header,
      view: 'shipment',
      of: ({ id }: Shipment) => id,
      pick: (view) => view[member],
      digits,
    });
  return [
    fieldColumn<Shipment>('shipment', 'name', locale, { header: 'Shipment', placeholder: 'New shipment' }),
    fieldColumn<Shipment>('shipment', 'state', locale, { words: STATE_WORDS }),
    figure('landed', `Landed, ${currency}`, 2),
    figure('onTopPercent', 'On top, %', 1),
  ];
}

const shipmentWriter = (currency: string): GridWriter<Shipment, Partial<Shipment>> => ({
  update: (row, patch) => updateOf('shipment', row, patch),
  create: (id, patch) =>
    patch.name === undefined ? null : [createOf('shipment', id, { currency, date: today(), ...patch })],
  remove: ({ id }) => removalInBook('shipment', id),
  duplicate: (row) => copyInBook('shipment', row),
});
