import type { ReactNode } from 'react';
import { AreaPage } from '../figures/area-page.js';

const SCREENS = {
  sell: 'Prices',
  priceBoard: 'Price board',
  channels: 'Channels',
  postage: 'Postage',
  quotes: 'Quotes',
} as const;

/** A screen of Sell, under the tabs that lead to the others. */
export function SellPage({ children }: { readonly children: ReactNode }) {
  return (
    <AreaPage label="Sell" screens={SCREENS}>
      {children}
    </AreaPage>
  );
}
