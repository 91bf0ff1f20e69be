import type { ReactNode } from 'react';
import { AreaPage } from '../figures/area-page.js';

const SCREENS = {
  make: 'Products',
  grades: 'Labour grades',
  equipment: 'Equipment',
  guide: 'Guide',
} as const;

/** A screen of Make, under the tabs that lead to the others. */
export function MakePage({ children }: { readonly children: ReactNode }) {
  return (
    <AreaPage label="Make" screens={SCREENS}>
      {children}
    </AreaPage>
  );
}
