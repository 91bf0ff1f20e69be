import type { ReactNode } from 'react';
import { ScreenTabs } from '../figures/screen-tabs.js';

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
    <div className="flex min-h-0 flex-1 flex-col desk:h-full">
      <ScreenTabs label="Plan" screens={SCREENS} />
      <div className="min-h-0 flex-1">{children}</div>
    </div>
  );
}
