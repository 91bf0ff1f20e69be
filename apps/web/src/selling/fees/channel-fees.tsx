import { decimalSign, dayText, typedText } from '../../figures/format.js';
import { readNumber } from '@nuvar/core';
import { useMemo, useState } from 'react';
import type { StoredRow } from '@nuvar/book';
import { model } from '../../book/model.js';
import { useRowsOf, useSettings, useUnarchived, useVersion } from '../../book/use-book.js';
import { Grid } from '../../controls/grid/grid.js';
import { RowField } from '../../controls/fields/row-field.js';
import { useView } from '../../engine/use-view.js';
import { Amount } from '../../figures/amount.js';
import { ComingFees } from './coming-fees.js';
import {
  bandColumns,
  bandRuleWords,
  bandWriter,
  type Fee,
  feeColumns,
  feeSentence,
  feeWriter,
  isBanded,
  isOfSize,
  moreFeeColumns,
  sizeColumns,
  sizeWriter,
} from './fee-rows.js';

/** The price that is tried until another is typed. */
const TRIED_FIRST = '20';

/** What a channel takes: its fees in words and as rows, each with what it comes to at a price that is tried. */
export function ChannelFees({ channel }: { readonly channel: StoredRow<'channel'> }) {
  const { id, name } = channel;
  const fees = useRowsOf('feeRule', 'channelId', id);
  const products = useUnarchived('product');
  const bands = useVersion('feeBand', 'sizeTier');
  const { locale, currency, pricesIncludeTax } = useSettings();
  const [tried, tryPrice] = useState(TRIED_FIRST);
  // What sizes and weights come to is seen of a product that is sold here.
  const sold = useRowsOf('pricePoint', 'channelId', id).find(({ price: asked }) => asked !== null);
  const [productId, chooseProduct] = useState(sold?.productId ?? '');
  const [chosen, choose] = useState<string | null>(null);
  const price = readNumber(tried, decimalSign(locale))?.value;
  const at = [id, price ?? '0', ...(productId === '' ? [] : [productId])].join('@');
  const view = useView('channel', at);
  const sorted = useMemo(() => [...fees].sort((one, other) => one.position - other.position), [fees]);
  const columns = useMemo(
    () => feeColumns(at, locale, currency),
    // eslint-disable-next-line react-hooks/exhaustive-deps -- whether a fee has bands is that of this version
    [at, locale, currency, bands],
  );
  const more = useMemo(() => moreFeeColumns(locale, currency), [locale, currency]);
  const writer = useMemo(() => feeWriter(id, fees), [id, fees]);
  const hasMore = (fee: Fee) => isOfSize(fee) || model.rows.rowsWith('feeBand', 'ruleId', fee.id).length > 0;
  const shown = sorted.find((fee) => fee.id === chosen) ?? sorted.find(hasMore);
  return (
    <>
      <p className="flex flex-wrap items-center gap-2">
        <label className="flex items-center gap-2">
          At a price of
          <input
            className="input w-24 text-right"
            inputMode="decimal"
            value={tried}
            aria-invalid={price === undefined}
            aria-label={`Price tried, ${currency}`}
            onChange={(event) => tryPrice(event.target.value)}
          />
        </label>
        {currency} {pricesIncludeTax ? 'with tax' : 'before tax'} for
        <select
          className="select w-52"
          aria-label="Product tried"
          value={productId}
          onChange={(event) => chooseProduct(event.target.value)}
        >
          <option value="">any product</option>
          {products.map((product) => (
            <option key={product.id} value={product.id}>
              {product.name}
            </option>
          ))}
        </select>
      </p>
      {view && (
        <p className="mt-1">
          {name} takes <Amount figure={view.fees} digits={4} />; of the price before tax{' '}
          <Amount figure={view.left} digits={4} /> {currency} is left, before packing, postage and returns.
          {view.perMonth && (
            <>
              {' '}
              Besides, it takes <Amount figure={view.perMonth} digits={2} /> {currency} a month by the month, day or
              listing: a fixed cost, which counts in break-even and profit and in no contribution.
            </>
          )}
        </p>
      )}
      {sorted.length > 0 && (
        <ul className="my-3 grid gap-1" aria-label="Fees in words">
          {sorted.map((fee) => (
            <li key={fee.id} className={view?.each[fee.id]?.isInForce === false ? 'text-soft' : ''}>
              {fee.name}: {feeSentence(fee, locale, (day) => dayText(day, locale))}
              {view?.each[fee.id]?.isInForce === false && ' (not on this day)'}
            </li>
          ))}
        </ul>
      )}
      <Grid
        title="Fees"
        rows={sorted}
        columns={columns}
        moreColumns={more}
        writer={writer}
        nameOf={(fee) => fee.name}
        selected={shown?.id}
        onSelect={({ id: feeId }) => choose(feeId)}
        onCreate={choose}
        empty="What does this place take? Type a name, then a percentage of the price, or an amount for each order, unit, listing, day or month. Nothing means it takes nothing."
      />
      {shown && isBanded(shown) && <Bands key={shown.id} fee={shown} />}
      {shown && isOfSize(shown) && <Sizes key={shown.id} fee={shown} />}
      <ComingFees channelId={id} />
    </>
  );
}

/** The bands of one fee, where it goes by the price or by the weight. */
function Bands({ fee }: { readonly fee: Fee }) {
  const bands = useRowsOf('feeBand', 'ruleId', fee.id);
  const { locale, currency } = useSettings();
  const sorted = useMemo(
    () => [...bands].sort((one, other) => Number(one.upTo ?? Infinity) - Number(other.upTo ?? Infinity)),
    [bands],
  );
  const columns = useMemo(() => bandColumns(fee, locale, currency), [fee, locale, currency]);
  const writer = useMemo(() => bandWriter(fee.id), [fee.id]);
  return (
    <div className="mt-5 max-w-xl" data-place={`${fee.id}.bands`} tabIndex={-1}>
      <Grid
        title={`Bands of ${fee.name}`}
        rows={sorted}
        columns={columns}
        writer={writer}
        nameOf={({ upTo }) => (upTo === null ? 'the last band' : `the band up to ${typedText(upTo, locale)}`)}
        empty="Where it goes by bands: type each limit with what is taken up to it, and a last band without a limit."
      />
      {bands.length > 0 && (
        <div className="mt-2 w-72">
          <RowField kind="feeRule" id={fee.id} field="bandRule" words={bandRuleWords(fee)} />
        </div>
      )}
    </div>
  );
}

/** The sizes of one fee, from the smallest: the first one in which a unit fits counts. */
function Sizes({ fee }: { readonly fee: Fee }) {
  const sizes = useRowsOf('sizeTier', 'ruleId', fee.id);
  const { locale, currency } = useSettings();
  const columns = useMemo(() => sizeColumns(locale, currency), [locale, currency]);
  const writer = useMemo(() => sizeWriter(fee.id, sizes), [fee.id, sizes]);
  return (
    <div className="mt-5 max-w-3xl" data-place={`${fee.id}.sizes`} tabIndex={-1}>
      <Grid
        title={`Sizes of ${fee.name}`}
        rows={sizes}
        columns={columns}
        writer={writer}
        nameOf={({ name }) => name}
        empty="Type the sizes from the smallest to the largest: the first one in which a unit fits is charged. The packed size of a product stands under Make, Details."
      />
    </div>
  );
}
