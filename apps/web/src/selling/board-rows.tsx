import { fieldsOf, newId, type StoredRow } from '@nuvar/book';
import type { BoardCell, PriceStanding } from '@nuvar/core';
import { model } from '../book/model.js';
import { createOf, updateOf } from '../book/operations.js';
import { figureColumn, type Column, type GridWriter } from '../controls/grid/grid-model.js';
import { isRefusal, readField } from '../controls/fields/read-field.js';
import { useView } from '../engine/use-view.js';
import { typedText } from '../figures/format.js';
import { PriceStrip } from '../figures/price-strip.js';
import { ScreenLink } from '../figures/screen-link.js';

type Product = StoredRow<'product'>;
type Channel = StoredRow<'channel'>;

/** What the cells of the board show. */
export const BOARD_SHOWS = {
  price: 'Price',
  contribution: 'Each sale leaves',
  profit: 'Profit',
  margin: 'Margin',
  strip: 'Strip',
} as const;
export type BoardShow = keyof typeof BOARD_SHOWS;

/** What is typed into the row of a product: its price in one channel. */
export interface BoardPatch {
  readonly priced?: { readonly channelId: string; readonly price: string | null };
}

const pointOf = (productId: string, channelId: string) =>
  model.rows.rowsWith('pricePoint', 'productId', productId).find((point) => point.channelId === channelId);

/** The signs by which a cell says how its price stands; what is good has none. */
export const STANDING_SIGNS: Readonly<Partial<Record<PriceStanding, string>>> = {
  'loses each sale': '▼▼',
  'below full cost': '▼',
  'below target': '△',
};

function Standing({ productId, channelId }: { readonly productId: string; readonly channelId: string }) {
  const standing = useView('boardRow', productId)?.[channelId]?.standing;
  const sign = standing === undefined ? undefined : STANDING_SIGNS[standing];
  return (
    <span className="w-6 flex-none text-right text-note text-error" title={sign === undefined ? undefined : standing}>
      {sign}
      {sign !== undefined && <span className="sr-only"> {standing}</span>}
    </span>
  );
}

/** Prices are typed into the board as into a list; an empty one takes the product out of the channel only under Prices. */
export function boardWriter(pricesIncludeTax: boolean): GridWriter<Product, BoardPatch> {
  return {
    update: ({ id: productId }, { priced }) => {
      if (priced === undefined) return [];
      const { channelId, price } = priced;
      const point = pointOf(productId, channelId);
      if (point !== undefined) return updateOf('pricePoint', point, { price });
      return price === null
        ? []
        : [createOf('pricePoint', newId(), { productId, channelId, price, taxInside: pricesIncludeTax })];
    },
    create: () => null,
    remove: () => [],
  };
}

interface BoardOptions {
  readonly show: BoardShow;
  readonly locale: string;
  readonly scale: number;
}

/** The product, and a column for each channel. */
export function boardColumns(channels: readonly Channel[], options: BoardOptions): Column<Product, BoardPatch>[] {
  return [
    {
      id: 'name',
      header: 'Product',
      type: 'shown',
      text: ({ name }) => name,
      cell: ({ id, name }) => (
        <ScreenLink to="sell" row={id} search="?side=channels" className="block truncate hover:underline">
          {name}
        </ScreenLink>
      ),
    },
    ...channels.map((channel) => channelColumn(channel, options)),
  ];
}

function channelColumn(
  { id: channelId, name }: Channel,
  { show, locale, scale }: BoardOptions,
): Column<Product, BoardPatch> {
  const beside = ({ id }: Product) => <Standing productId={id} channelId={channelId} />;
  if (show === 'price') return { ...priceColumn(channelId, name, locale), beside };
  if (show === 'strip')
    return {
      id: channelId,
      header: name,
      type: 'shown',
      width: 120,
      beside,
      cell: ({ id }) => <BoardStrip pointId={pointOf(id, channelId)?.id ?? ''} scale={scale} />,
    };
  return {
    ...figureColumn({
      id: channelId,
      header: name,
      view: 'boardRow',
      of: ({ id }: Product) => id,
      pick: (view) => (view[channelId] as BoardCell | undefined)?.[show],
      digits: show === 'margin' ? 1 : 2,
    }),
    beside,
  };
}

const PRICE = fieldsOf('pricePoint').find(({ name }) => name === 'price');

function priceColumn(channelId: string, name: string, locale: string): Column<Product, BoardPatch> {
  return {
    id: channelId,
    header: name,
    type: 'number',
    // A channel without a price yet has a place of its own: what is refused there is refused in no other.
    place: ({ id }) => {
      const point = pointOf(id, channelId);
      return point === undefined ? `${id}.price-${channelId}` : `${point.id}.price`;
    },
    text: ({ id }) => typedText(pointOf(id, channelId)?.price ?? '', locale),
    stored: ({ id }) => pointOf(id, channelId)?.price ?? '',
    read: (text) => {
      if (PRICE === undefined) return { refusal: 'There are no prices.' };
      const reading = readField(PRICE, text, locale);
      if (isRefusal(reading)) return reading;
      return {
        patch: { priced: { channelId, price: reading.value as string | null } },
        shown: typedText(reading.shown, locale),
      };
    },
  };
}

function BoardStrip({ pointId, scale }: { readonly pointId: string; readonly scale: number }) {
  const strip = useView('strip', pointId);
  return pointId === '' || strip == null ? null : <PriceStrip strip={strip} scale={scale} height={12} />;
}
