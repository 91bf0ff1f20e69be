import type { ReactNode } from 'react';
import { AreaPage } from '../figures/area-page.js';

const SCREENS = {
  plan: 'Break-even',
  mix: 'Product mix',
  decisions: 'Make, buy or drop',
  whatIfs: 'What-ifs',
  compare: 'Side by side',
} as const;

/** A screen of Plan, under the tabs that lead to the others. */
export function PlanPage({ children }: { readonly children: ReactNode }) {
  return (
    <AreaPage label="Plan" screens={SCREENS}>
      {children}
    </AreaPage>
  );
}
