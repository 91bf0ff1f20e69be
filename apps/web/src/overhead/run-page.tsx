import type { ReactNode } from 'react';
import { ScreenTabs } from '../figures/screen-tabs.js';

const SCREENS = {
  run: 'Running costs',
  runYear: 'Year',
  volumes: 'Volumes',
  departments: 'Departments',
  activities: 'Activities',
  methods: 'Methods',
  absorption: 'Absorption',
  periodProfit: 'Profit',
  jointBatches: 'Joint batches',
  chargeOut: 'Charge-out rates',
} as const;

/** A screen of Run, under the tabs that lead to the others. */
export function RunPage({ children }: { readonly children: ReactNode }) {
  return (
    <div className="flex min-h-0 flex-1 flex-col desk:h-full">
      <ScreenTabs label="Run" screens={SCREENS} />
      <div className="min-h-0 flex-1">{children}</div>
    </div>
  );
}
