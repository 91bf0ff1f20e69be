import type { StoredRow } from '@nuvar/book';
import { useState } from 'react';
import { useRowsOf, useSettings } from '../../book/use-book.js';
import { useView } from '../../engine/use-view.js';
import { Amount } from '../../figures/amount.js';
import { decimalSign, typedText } from '../../figures/format.js';
import { BundlePrice } from './bundle-price.js';

/** A series as it is typed, "10 + 5" or "10, 5", as the core takes it: "10+5". */
const seriesOf = (typed: string, sign: string): string =>
  typed
    .split(sign === ',' ? /[+;/]/ : /[+;/,]/)
    .map((each) => each.replaceAll('%', '').trim().replace(sign, '.'))
    .filter((each) => each !== '')
    .join('+');

/** What discounts do to a sale: a ladder of them, and one or several in a row that are tried. */
export function Discounts({
  product,
  point,
}: {
  readonly product: StoredRow<'product'>;
  readonly point: StoredRow<'pricePoint'>;
}) {
  const [typed, type] = useState('');
  const { locale, currency } = useSettings();
  const series = seriesOf(typed, decimalSign(locale));
  const rows = useView('discounts', series === '' ? point.id : `${point.id}@${series}`);
  const isRefused = series !== '' && rows !== undefined && !rows.some((row) => row.series === series);
  const components = useRowsOf('billLine', 'productId', product.id).some(({ componentId }) => componentId !== null);
  return (
    <>
      <label className="flex flex-wrap items-center gap-2">
        Try
        <input
          className="input w-36"
          aria-label="Discounts to try"
          placeholder="10 + 5"
          aria-invalid={isRefused}
          value={typed}
          onChange={(event) => type(event.target.value)}
        />
        % off, one after the other
      </label>
      {isRefused && (
        <p className="text-error" role="alert">
          Type discounts from 0 to under 100, between plus signs: 10 + 5.
        </p>
      )}
      <div className="overflow-x-auto">
        <table className="table mt-2">
          <thead>
            <tr>
              <th scope="col">Discount</th>
              {[
                'As one, %',
                `Price, ${currency}`,
                `Leaves, ${currency}`,
                `Profit, ${currency}`,
                'Margin, %',
                'Units a month that earn the same',
              ].map((label) => (
                <th key={label} scope="col" className="text-right">
                  {label}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {rows?.map(({ series: each, figures }, index) => (
              <tr key={`${each}-${index}`} className={each === series ? 'font-semibold' : ''}>
                <th scope="row">
                  {each === '0'
                    ? 'none'
                    : `${each
                        .split('+')
                        .map((one) => typedText(one, locale))
                        .join(' + ')} %`}
                </th>
                <td className="text-right">
                  <Amount figure={figures.asOne} digits={1} />
                </td>
                <td className="text-right">
                  <Amount figure={figures.priceAfter} digits={2} />
                </td>
                <td className="text-right">
                  <Amount figure={figures.contribution} digits={2} />
                </td>
                <td className="text-right">
                  <Amount figure={figures.profit} digits={2} />
                </td>
                <td className="text-right">
                  <Amount figure={figures.margin} digits={1} />
                </td>
                <td className="text-right">
                  <Amount figure={figures.unitsToEarnTheSame} digits={0} />
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      {components && <BundlePrice point={point} />}
    </>
  );
}
