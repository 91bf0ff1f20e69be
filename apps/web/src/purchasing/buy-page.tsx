import type { ReactNode } from 'react';
import { AreaPage } from '../figures/area-page.js';

const SCREENS = {
  buy: 'Materials',
  shipments: 'Shipments',
  stock: 'Stock',
  chargeRules: 'Charge rules',
  customs: 'Customs profiles',
} as const;

/** A screen of Buy, under the tabs that lead to the others. */
export function BuyPage({ children }: { readonly children: ReactNode }) {
  return (
    <AreaPage label="Buy" screens={SCREENS}>
      {children}
    </AreaPage>
  );
}
