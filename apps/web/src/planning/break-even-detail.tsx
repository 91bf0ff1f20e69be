import { compareDecimalText, type StoredRow } from '@nuvar/book';
import { useMemo } from 'react';
import { useSearchParams } from 'react-router';
import { nextPosition } from '../book/operations.js';
import { model } from '../book/model.js';
import { useRow, useRowsOf, useSettings } from '../book/use-book.js';
import { fieldColumn } from '../controls/grid/field-column.js';
import { Grid } from '../controls/grid/grid.js';
import { figureColumn, type Column } from '../controls/grid/grid-model.js';
import { rowsWriter } from '../controls/grid/rows-writer.js';
import { useView } from '../engine/use-view.js';
import { Amount } from '../figures/amount.js';
import { typedText, unitWords } from '../figures/format.js';
import { AtSetPrice } from './at-set-price.js';
import type { PricedSale } from '../selling/price/priced-sales.js';
import { BreakEvenChart } from './break-even-chart.js';
import { Gone } from '../figures/empty.js';
import { ScreenLink } from '../figures/screen-link.js';

type Row = StoredRow<'candidatePrice'>;
const AGAINST = {
  ofBook: 'all fixed costs, from this product alone',
  ofShare: 'its own share of the fixed costs',
  ofCash: 'all that is paid in cash',
} as const;
type Against = keyof typeof AGAINST;

/** How a choice stands in the address; the first one needs no word there. */
const ADDRESS_WORDS: Readonly<Record<Against, string | null>> = { ofBook: null, ofShare: 'share', ofCash: 'cash' };
const CHOICES = Object.keys(AGAINST) as Against[];

/** The break-even of one product in one channel at candidate prices side by side, kept in the book. */
export function BreakEvenDetail({ sale }: { readonly sale: PricedSale }) {
  const productId = sale.product.id;
  const product = useRow('product', productId);
  const point = useRow('pricePoint', sale.pointId);
  const ofProduct = useRowsOf('candidatePrice', 'productId', productId);
  const [parameters, setParameters] = useSearchParams();
  const asked = parameters.get('against');
  const against = CHOICES.find((choice) => ADDRESS_WORDS[choice] === asked) ?? 'ofBook';
  const { locale, currency } = useSettings();
  const channelId = point?.channelId;
  const candidates = useMemo(() => ofProduct.filter((row) => row.channelId === channelId), [ofProduct, channelId]);
  const taxInside = useSettings().pricesIncludeTax;
  const inside = point?.taxInside ?? taxInside;
  const columns = useMemo((): Column<Row, Partial<Row>>[] => {
    const figure = (id: string, header: string, name: 'units' | 'unitsPerOpenDay' | 'revenue', digits: number) =>
      figureColumn({
        id,
        header,
        view: 'candidate',
        of: (row: Row) => row.id,
        pick: (view) => view[against][name],
        digits,
      });
    return [
      fieldColumn<Row>('candidatePrice', 'price', locale, {
        header: `Price, ${currency}`,
        placeholder: 'another price',
      }),
      figureColumn({
        id: 'contribution',
        header: `Each sale leaves, ${currency}`,
        view: 'candidate',
        of: (row: Row) => row.id,
        pick: (view) => view.contribution,
        digits: 2,
      }),
      figure('units', 'Units a month', 'units', 0),
      figure('perDay', 'Units an open day', 'unitsPerOpenDay', 1),
      figure('revenue', `Net revenue, ${currency}`, 'revenue', 2),
    ];
  }, [locale, currency, against]);
  const writer = useMemo(
    () =>
      rowsWriter<Row>('candidatePrice', {
        needs: 'price',
        fixed: (before) => ({
          productId,
          channelId,
          position: nextPosition(
            'candidatePrice',
            model.rows.rowsWith('candidatePrice', 'productId', productId),
            before,
          ),
        }),
      }),
    [productId, channelId],
  );
  if (product === undefined) {
    return (
      <section aria-label="Break-even">
        <Gone what="product" />
      </section>
    );
  }
  if (channelId === undefined) {
    return (
      <section aria-label={product.name}>
        <h2 className="font-serif text-detail">{product.name}</h2>
        <p>
          To say how many must be sold, set a first price.{' '}
          <ScreenLink to="sell" row={productId}>
            Set its price
          </ScreenLink>
        </p>
      </section>
    );
  }
  const unit = unitWords(product.outputUnit);
  const others = candidates.filter(({ price }) => !isSamePrice(price, point?.price));
  const prices = point === undefined || point.price === null ? candidates : [point, ...others];
  return (
    <section aria-label={product.name}>
      <header className="flex items-baseline gap-4">
        <h2 className="font-serif text-detail">{product.name}</h2>
        <span className="text-soft">in {sale.channel}</span>
      </header>
      <p className="mb-1">How many must be sold in a month before you make a profit (break-even)?</p>
      <fieldset className="flex flex-wrap items-center gap-x-5 gap-y-1">
        <legend className="text-soft">To cover</legend>
        {CHOICES.map((choice) => (
          <label key={choice} className="flex items-center gap-2">
            <input
              type="radio"
              className="radio radio-xs"
              name="against"
              checked={against === choice}
              onChange={() =>
                setParameters(
                  (known) => {
                    const word = ADDRESS_WORDS[choice];
                    if (word === null) known.delete('against');
                    else known.set('against', word);
                    return known;
                  },
                  { replace: true },
                )
              }
            />
            {AGAINST[choice]}
          </label>
        ))}
      </fieldset>
      {point !== undefined && point.price !== null && (
        <AtSetPrice pointId={point.id} against={against} unit={unit} currency={currency} />
      )}
      <FixedCost against={against} priceId={prices[0]?.id} currency={currency} />
      <Grid
        title={`Prices to compare${inside ? ', including sales tax' : ', before sales tax'}`}
        rows={candidates}
        columns={columns}
        writer={writer}
        nameOf={(row) => `price ${typedText(row.price ?? '', locale)}`}
        empty="Type another price into the empty row to see how many must be sold at it."
      />
      <p className="text-soft text-note">
        Units are rounded up: a part of a {unit} cannot be sold. An open day counts the exact units.
      </p>
      {prices.length > 0 && <BreakEvenChart prices={prices} against={against} unit={unit} />}
    </section>
  );
}

/** The set price is drawn once, where it is compared with itself. */
const isSamePrice = (one: string | null, other: string | null | undefined): boolean =>
  one !== null && other != null && compareDecimalText(one, other) === 0;

interface FixedCostProps {
  readonly against: Against;
  readonly priceId: string | undefined;
  readonly currency: string;
}

function FixedCost({ against, priceId, currency }: FixedCostProps) {
  const view = useView('candidate', priceId ?? '');
  const figure = priceId === undefined ? undefined : view?.[against].fixedCost;
  if (figure === undefined) return null;
  return (
    <p className="mt-1 mb-3">
      {against === 'ofCash' ? 'Cash to cover: ' : 'Fixed cost to cover: '}
      <Amount figure={figure} digits={2} className="font-semibold" /> {currency} a month
      {against === 'ofCash' && <CashBeside currency={currency} />}
    </p>
  );
}

/** What of the fixed costs is not paid in cash, and what is paid back on loans. */
function CashBeside({ currency }: { readonly currency: string }) {
  const view = useView('cashCosts', 'book');
  if (view === undefined) return null;
  return (
    <span className="block text-soft">
      Without <Amount figure={view.notPaid} digits={2} /> {currency} that is not paid in cash:{' '}
      <ScreenLink to="run">running costs</ScreenLink> that are said not to be, and wear over years. With{' '}
      <Amount figure={view.repayments} digits={2} /> {currency} of{' '}
      <ScreenLink to="settings">loan repayments</ScreenLink>.
    </span>
  );
}
