import type { ReactNode } from 'react';
import { AreaPage } from '../figures/area-page.js';

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
    <AreaPage label="Run" screens={SCREENS}>
      {children}
    </AreaPage>
  );
}
