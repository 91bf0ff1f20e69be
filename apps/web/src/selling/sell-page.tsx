import type { ReactNode } from 'react';
import { ScreenTabs } from '../figures/screen-tabs.js';

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
    <div className="flex min-h-0 flex-1 flex-col desk:h-full">
      <ScreenTabs label="Sell" screens={SCREENS} />
      <div className="min-h-0 flex-1">{children}</div>
    </div>
  );
}
