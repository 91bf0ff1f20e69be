import type { StoredRow } from '@nuvar/book';
import { useMemo } from 'react';
import { useRowsOf, useSettings } from '../../book/use-book.js';
import { fieldColumn } from '../../controls/grid/field-column.js';
import { Grid } from '../../controls/grid/grid.js';
import { rowsWriter } from '../../controls/grid/rows-writer.js';
import { dayText, typedText } from '../../figures/format.js';

type Point = StoredRow<'pricePoint'>;
type Dated = StoredRow<'datedPrice'>;
type Break = StoredRow<'quantityBreak'>;

/** Prices that hold from a day on, and prices for larger orders. */
export function ComingPrices({ point }: { readonly point: Point }) {
  const dated = useRowsOf('datedPrice', 'pricePointId', point.id);
  const breaks = useRowsOf('quantityBreak', 'pricePointId', point.id);
  const { locale, currency } = useSettings();
  const prices = useMemo(() => [...dated].sort((one, other) => (one.startsOn < other.startsOn ? -1 : 1)), [dated]);
  const quantities = useMemo(
    () => [...breaks].sort((one, other) => Number(one.fromQuantity) - Number(other.fromQuantity)),
    [breaks],
  );
  const dateColumns = useMemo(
    () => [
      fieldColumn<Dated>('datedPrice', 'startsOn', locale),
      fieldColumn<Dated>('datedPrice', 'price', locale, { header: `New price, ${currency}` }),
    ],
    [locale, currency],
  );
  const breakColumns = useMemo(
    () => [
      fieldColumn<Break>('quantityBreak', 'fromQuantity', locale),
      fieldColumn<Break>('quantityBreak', 'price', locale, { header: `Price each, ${currency}` }),
    ],
    [locale, currency],
  );
  const fixed = useMemo(() => ({ fixed: () => ({ pricePointId: point.id }), isCopied: false }), [point.id]);
  const dateWriter = useMemo(
    () => rowsWriter<Dated>('datedPrice', { needs: ['startsOn', 'price'], ...fixed }),
    [fixed],
  );
  const breakWriter = useMemo(
    () => rowsWriter<Break>('quantityBreak', { needs: ['fromQuantity', 'price'], ...fixed }),
    [fixed],
  );
  return (
    <div className="mt-5 grid gap-6 desk:grid-cols-2">
      <Grid
        title="Prices from a day on"
        rows={prices}
        columns={dateColumns}
        writer={dateWriter}
        nameOf={({ startsOn }) => `the price from ${dayText(startsOn, locale)}`}
        empty="Type a day and a price: from that day on it takes the place of the price above. Looking at the book as of that day shows its effect."
      />
      <Grid
        title="Prices by quantity"
        rows={quantities}
        columns={breakColumns}
        writer={breakWriter}
        nameOf={({ fromQuantity }) => `the price from ${typedText(fromQuantity, locale)} units`}
        empty="Type a quantity and a price: an order of so many has that price for all of its units."
      />
    </div>
  );
}
