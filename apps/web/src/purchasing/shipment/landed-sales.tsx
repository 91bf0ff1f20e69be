import type { StoredRow } from '@nuvar/book';
import { useAll, useSettings } from '../../book/use-book.js';
import { SelectInput } from '../../controls/fields/select-input.js';
import { useParameter } from '../../controls/layout/use-parameter.js';
import { useView } from '../../engine/use-view.js';
import { Amount } from '../../figures/amount.js';
import { DetailHeading } from '../../figures/detail-heading.js';
import { ScreenLink } from '../../figures/screen-link.js';
import { materialName } from './line-grid.js';

/** What the products that need these materials leave in a channel, with the materials at their landed cost. */
export function LandedSales({ shipment }: { readonly shipment: StoredRow<'shipment'> }) {
  const channels = useAll('channel');
  const { currency } = useSettings();
  const [chosen, choose] = useParameter('channel');
  const channelId = channels.find(({ id }) => id === chosen)?.id ?? channels[0]?.id ?? '';
  const sales = useView('landedSales', `${shipment.id}@${channelId}`) ?? [];
  if (channels.length === 0) return null;
  return (
    <section aria-label="What it leaves" className="mt-3">
      <DetailHeading>What it leaves at the prices of</DetailHeading>
      <span className="flex max-w-56">
        <SelectInput
          label="Prices of"
          value={channelId}
          options={channels.map(({ id, name }) => ({ value: id, label: name }))}
          commit={choose}
        />
      </span>
      {sales.length === 0 ? (
        <p className="text-soft mt-1.5">No product in this channel needs these materials.</p>
      ) : (
        <div className="overflow-x-auto">
          <table className="table mt-1.5">
            <thead>
              <tr>
                <th scope="col">Product</th>
                <th scope="col">with</th>
                {['Net revenue', 'Full cost', 'Profit'].map((label) => (
                  <th key={label} scope="col" className="text-right">
                    {label}, {currency}
                  </th>
                ))}
                {['Margin, %', 'Markup, %', 'Units', `In all, ${currency}`].map((label) => (
                  <th key={label} scope="col" className="text-right">
                    {label}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {sales.map(({ lineId, productId, product, materialId, ...figures }) => (
                <tr key={`${lineId}/${productId}`}>
                  <th scope="row" className="font-normal">
                    <ScreenLink to="sell" row={productId}>
                      {product}
                    </ScreenLink>
                  </th>
                  <td className="text-soft">{materialName(materialId)}</td>
                  {(
                    [
                      ['netRevenue', 2],
                      ['fullCost', 2],
                      ['profit', 2],
                      ['margin', 1],
                      ['markup', 1],
                      ['units', 0],
                      ['profitInAll', 2],
                    ] as const
                  ).map(([member, digits]) => (
                    <td key={member} className="text-right">
                      <Amount figure={figures[member] ?? undefined} digits={digits} />
                    </td>
                  ))}
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      )}
    </section>
  );
}
