import { fieldsOf, newId, type StoredRow } from '@nuvar/book';
import type { ProductSale } from '@nuvar/core';
import { createOf } from '../../book/operations.js';
import { useAll, useEdit, useMayEdit, useRow, useRowsOf, useSettings } from '../../book/use-book.js';
import { isRefusal, readField } from '../../controls/fields/read-field.js';
import { TypedInput } from '../../controls/fields/typed-input.js';
import { useView } from '../../engine/use-view.js';
import { Amount } from '../../figures/amount.js';
import { PriceStrip, scaleOf, StripLegend } from '../../figures/price-strip.js';
import { ScreenLink } from '../../figures/screen-link.js';

/** Where a product is worth selling: its channels under each other on one scale, the one that leaves most first. */
export function InChannels({ product }: { readonly product: StoredRow<'product'> }) {
  const sales = useView('productSales', product.id);
  const { currency } = useSettings();
  if (sales === undefined) return null;
  const scale = scaleOf(sales.map(({ strip }) => strip));
  return (
    <>
      <StripLegend />
      <div className="overflow-x-auto">
        <table className="table mt-2">
          <thead>
            <tr>
              <th scope="col">Channel</th>
              <th scope="col" className="text-right">
                Price, {currency}
              </th>
              <th scope="col" className="w-56">
                Before tax, one scale
              </th>
              <th scope="col" className="text-right">
                Leaves, {currency}
              </th>
              <th scope="col" className="text-right">
                Profit, {currency}
              </th>
              <th scope="col" className="text-right">
                Margin, %
              </th>
              <th scope="col" className="text-right">
                A month, {currency}
              </th>
            </tr>
          </thead>
          <tbody>
            {sales.map((sale) => (
              <SaleRow key={sale.pointId} sale={sale} scale={scale} />
            ))}
            <Unpriced product={product} />
          </tbody>
        </table>
      </div>
      <Turns sales={sales} />
    </>
  );
}

const useChannelName = (channelId: string) => useRow('channel', channelId)?.name ?? '';

function SaleRow({ sale, scale }: { readonly sale: ProductSale; readonly scale: number }) {
  const name = useChannelName(sale.channelId);
  return (
    <tr>
      <th scope="row">
        <ScreenLink to="sell" row={sale.pointId} search="?side=channels">
          {name}
        </ScreenLink>
      </th>
      <td className="text-right">
        <Amount figure={sale.price} digits={2} />
      </td>
      <td>
        <PriceStrip strip={sale.strip} scale={scale} height={14} />
      </td>
      <td className="text-right">
        <Amount figure={sale.contribution} digits={2} />
      </td>
      <td className="text-right">
        <Amount figure={sale.profit} digits={2} />
      </td>
      <td className="text-right">
        <Amount figure={sale.margin} digits={1} />
      </td>
      <td className="text-right">
        <Amount figure={sale.contributionPerMonth} digits={2} />
      </td>
    </tr>
  );
}

/** The channels in which the product has no price yet: type one, and it is sold there. */
function Unpriced({ product }: { readonly product: StoredRow<'product'> }) {
  const channels = useAll('channel');
  const points = useRowsOf('pricePoint', 'productId', product.id);
  const edit = useEdit();
  const mayEdit = useMayEdit();
  const { locale, pricesIncludeTax, currency } = useSettings();
  const spec = fieldsOf('pricePoint').find(({ name }) => name === 'price');
  const open = channels.filter(({ id }) => !points.some(({ channelId }) => channelId === id));
  const setPrice = (channelId: string, text: string): string | null => {
    if (spec === undefined || text.trim() === '') return null;
    const reading = readField(spec, text, locale);
    if (isRefusal(reading)) return reading.refusal;
    const row = { productId: product.id, channelId, taxInside: pricesIncludeTax, price: reading.value };
    return edit([createOf('pricePoint', newId(), row)])[0]?.sentence ?? null;
  };
  return open.map(({ id, name }) => (
    <tr key={id} className="text-soft">
      <th scope="row">{name}</th>
      <td className="text-right">
        <TypedInput
          label={`Price in ${name}`}
          value=""
          numeric
          placeholder="no price"
          readOnly={!mayEdit}
          commit={(text) => setPrice(id, text)}
        />
      </td>
      <td colSpan={5}>
        {currency} {pricesIncludeTax ? 'with tax' : 'before tax'}: type a price to see what is left
      </td>
    </tr>
  ));
}

/** Between the best channel and each other one: what it leaves more, and where the order turns. */
function Turns({ sales }: { readonly sales: readonly ProductSale[] }) {
  const best = useChannelName(sales[0]?.channelId ?? '');
  const { currency } = useSettings();
  const others = sales.filter(({ against }) => against !== null);
  if (others.length === 0) return null;
  return (
    <>
      <h3 className="mt-4 text-section">Against {best}</h3>
      <table className="table">
        <thead>
          <tr>
            <th scope="col">Channel</th>
            <th scope="col" className="text-right">
              {best} leaves more, {currency}
            </th>
            <th scope="col" className="text-right">
              The order turns at units a month
            </th>
            <th scope="col" className="text-right">
              and at one price before tax of, {currency}
            </th>
          </tr>
        </thead>
        <tbody>
          {others.map((sale) => (
            <TurnRow key={sale.pointId} sale={sale} />
          ))}
        </tbody>
      </table>
    </>
  );
}

function TurnRow({ sale: { channelId, against } }: { readonly sale: ProductSale }) {
  const name = useChannelName(channelId);
  if (against === null) return null;
  return (
    <tr>
      <th scope="row">{name}</th>
      <td className="text-right">
        <Amount figure={against.difference} digits={2} />
      </td>
      <td className="text-right">
        <Amount figure={against.unitsAtSwitch} digits={0} />
      </td>
      <td className="text-right">
        <Amount figure={against.priceAtSwitch} digits={2} />
      </td>
    </tr>
  );
}
