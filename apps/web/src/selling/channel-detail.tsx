import { readNumber } from '@nuvar/core';
import { useMemo, useState } from 'react';
import { useRow, useRowsOf, useSettings, useVersion } from '../book/use-book.js';
import { Grid } from '../controls/grid.js';
import { RowField } from '../controls/row-field.js';
import { useView } from '../engine/use-view.js';
import { Amount } from '../figures/amount.js';
import { DetailHeading } from '../figures/detail-heading.js';
import { dayText, decimalSign, typedText } from '../figures/format.js';
import {
  BAND_RULE_WORDS,
  bandColumns,
  bandWriter,
  type Fee,
  feeColumns,
  feeSentence,
  feeWriter,
  isOfPrice,
  moreFeeColumns,
} from './fee-rows.js';

/** The price that is tried until another is typed. */
const TRIED_FIRST = '20';

/** One channel: its fees in words and as rows, each with what it comes to at a price that is tried. */
export function ChannelDetail({ id }: { readonly id: string }) {
  const channel = useRow('channel', id);
  const fees = useRowsOf('feeRule', 'channelId', id);
  const bands = useVersion('feeBand');
  const { locale, currency, pricesIncludeTax } = useSettings();
  const [tried, tryPrice] = useState(TRIED_FIRST);
  const [chosen, choose] = useState<string | null>(null);
  const price = readNumber(tried, decimalSign(locale))?.value;
  const at = `${id}@${price ?? '0'}`;
  const view = useView('channel', at);
  const sorted = useMemo(() => [...fees].sort((one, other) => one.position - other.position), [fees]);
  const columns = useMemo(
    () => feeColumns(at, locale, currency),
    // eslint-disable-next-line react-hooks/exhaustive-deps -- whether a fee has bands is that of this version
    [at, locale, currency, bands],
  );
  const more = useMemo(() => moreFeeColumns(locale, currency), [locale, currency]);
  const writer = useMemo(() => feeWriter(id, fees), [id, fees]);
  if (channel === undefined) return null;
  const shown = sorted.find((fee) => fee.id === chosen) ?? sorted.find(isOfPrice);
  return (
    <section aria-label={channel.name}>
      <DetailHeading>{channel.name}</DetailHeading>
      <label className="mt-2 flex items-center gap-2">
        At a price of
        <input
          className="input w-24 text-right"
          inputMode="decimal"
          value={tried}
          aria-invalid={price === undefined}
          aria-label={`Price tried, ${currency}`}
          onChange={(event) => tryPrice(event.target.value)}
        />
        {currency} {pricesIncludeTax ? 'with tax' : 'before tax'}
      </label>
      {view && (
        <p className="mt-1">
          {channel.name} takes <Amount figure={view.fees} digits={4} />; of the price before tax{' '}
          <Amount figure={view.left} digits={4} /> {currency} is left.
        </p>
      )}
      <ul className="my-3 grid gap-1" aria-label="Fees in words">
        {sorted.map((fee) => (
          <li key={fee.id} className={view?.each[fee.id]?.isInForce === false ? 'text-soft' : ''}>
            {fee.name}: {feeSentence(fee, locale, (day) => dayText(day, locale))}
            {view?.each[fee.id]?.isInForce === false && ' (not on this day)'}
          </li>
        ))}
      </ul>
      <Grid
        title="Fees"
        rows={sorted}
        columns={columns}
        moreColumns={more}
        writer={writer}
        nameOf={({ name }) => name}
        selected={shown?.id}
        onSelect={({ id: feeId }) => choose(feeId)}
        onCreate={choose}
        empty="What does this place take? Type a name, then a percentage of the price, or an amount for each order, unit, listing, day or month. Nothing means it takes nothing."
      />
      {shown && isOfPrice(shown) && <Bands key={shown.id} fee={shown} />}
    </section>
  );
}

/** The bands of one fee, where its percentage goes by the price. */
function Bands({ fee }: { readonly fee: Fee }) {
  const bands = useRowsOf('feeBand', 'ruleId', fee.id);
  const { locale, currency } = useSettings();
  const sorted = useMemo(
    () => [...bands].sort((one, other) => Number(one.upTo ?? Infinity) - Number(other.upTo ?? Infinity)),
    [bands],
  );
  const columns = useMemo(() => bandColumns(locale, currency), [locale, currency]);
  const writer = useMemo(() => bandWriter(fee.id), [fee.id]);
  return (
    <div className="mt-5 max-w-xl" data-place={`${fee.id}.bands`} tabIndex={-1}>
      <Grid
        title={`Bands of ${fee.name}`}
        rows={sorted}
        columns={columns}
        writer={writer}
        nameOf={({ upTo }) => (upTo === null ? 'the last band' : `the band up to ${typedText(upTo, locale)}`)}
        empty="Where the percentage goes by the price: type each limit with its percentage, and a last band without a limit."
      />
      {bands.length > 0 && (
        <div className="mt-2 w-72">
          <RowField kind="feeRule" id={fee.id} field="bandRule" words={BAND_RULE_WORDS} />
        </div>
      )}
    </div>
  );
}
