import type { StoredRow } from '@nuvar/book';
import { useMemo } from 'react';
import { useRow, useRowsOf, useSettings } from '../../book/use-book.js';
import { nextPosition } from '../../book/operations.js';
import { fieldColumn } from '../../controls/grid/field-column.js';
import { Fields } from '../../controls/fields/fields.js';
import { Grid } from '../../controls/grid/grid.js';
import { RowField } from '../../controls/fields/row-field.js';
import { rowsWriter } from '../../controls/grid/rows-writer.js';
import { Sides, useSide } from '../../controls/layout/sides.js';
import { DetailHeading } from '../../figures/detail-heading.js';
import { ChannelFees } from './channel-fees.js';
import { PackingAndPostage } from '../dispatch/packing-and-postage.js';

type Channel = StoredRow<'channel'>;

/** The sides of a channel; which one is shown stands in the address. */
const SIDES = {
  fees: 'Fees',
  dispatch: 'Packing and postage',
  returns: 'Returns',
  chain: 'Sellers after you',
} as const;

/** One channel: what it takes, how orders leave, what comes back, and who sells on. */
export function ChannelDetail({ id }: { readonly id: string }) {
  const channel = useRow('channel', id);
  if (channel === undefined) return null;
  return (
    <section aria-label={channel.name}>
      <DetailHeading>{channel.name}</DetailHeading>
      <div className="mt-2 mb-3">
        <Sides sides={SIDES} label="Channel details" />
      </div>
      <ChannelSide channel={channel} />
    </section>
  );
}

function ChannelSide({ channel }: { readonly channel: Channel }) {
  switch (useSide(SIDES)) {
    case 'fees':
      return <ChannelFees channel={channel} />;
    case 'dispatch':
      return <PackingAndPostage channel={channel} />;
    case 'returns':
      return <Returns channel={channel} />;
    case 'chain':
      return <Chain channel={channel} />;
  }
}

/** What comes back, and what becomes of it. */
function Returns({ channel: { id, returnsPercent } }: { readonly channel: Channel }) {
  const { currency } = useSettings();
  return (
    <>
      <Fields className="max-w-xl">
        <RowField kind="channel" id={id} field="returnsPercent" suffix="% of the units dispatched" />
        <RowField kind="channel" id={id} field="returnHandling" suffix={`${currency} each`} />
        <RowField kind="channel" id={id} field="refundsPostage" />
        <RowField kind="channel" id={id} field="resaleablePercent" suffix="% of what comes back" />
        <RowField kind="channel" id={id} field="scrapWorth" suffix={`${currency} each`} />
      </Fields>
      <p className="mt-2 max-w-xl text-soft">
        {returnsPercent === '0'
          ? 'Nothing comes back. A rate here counts in every price of this channel; a price can have a rate of its own.'
          : 'Each sale bears its share: the refund, the handling, and what cannot be sold as new, less the fees that are given back.'}
      </p>
    </>
  );
}

type Step = StoredRow<'chainStep'>;
const BASIS_WORDS = { margin: 'margin, of the price asked', markup: 'markup, on the price paid' };

/** Who sells on what is sold here: what each of them adds until it reaches the shelf. */
function Chain({ channel: { id, name } }: { readonly channel: Channel }) {
  const steps = useRowsOf('chainStep', 'channelId', id);
  const { locale } = useSettings();
  const columns = useMemo(
    () => [
      fieldColumn<Step>('chainStep', 'name', locale, { placeholder: 'Distributor, retailer' }),
      fieldColumn<Step>('chainStep', 'basis', locale, { words: BASIS_WORDS }),
      fieldColumn<Step>('chainStep', 'percent', locale, { header: '%' }),
    ],
    [locale],
  );
  const writer = useMemo(
    () =>
      rowsWriter<Step>('chainStep', {
        needs: 'name',
        fixed: (before) => ({ channelId: id, position: nextPosition('chainStep', steps, before) }),
      }),
    [id, steps],
  );
  return (
    <Grid
      title="Sellers after you"
      rows={steps}
      columns={columns}
      writer={writer}
      nameOf={(step) => step.name}
      empty={`${name} sells to whoever uses it. Where others sell on, type them in their order, each with its margin or markup: the price shows what stands on the shelf.`}
    />
  );
}
