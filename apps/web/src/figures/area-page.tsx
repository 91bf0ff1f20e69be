import type { ReactNode } from 'react';
import type { ScreenId } from '../book/screens.js';
import { ScreenTabs } from './screen-tabs.js';

interface AreaPageProps {
  readonly label: string;
  readonly screens: Partial<Readonly<Record<ScreenId, string>>>;
  readonly children: ReactNode;
}

/** A screen of an area, under the tabs that lead to the others of it. */
export function AreaPage({ label, screens, children }: AreaPageProps) {
  return (
    <div className="flex min-h-0 flex-1 flex-col desk:h-full">
      <ScreenTabs label={label} screens={screens} />
      <div className="min-h-0 flex-1">{children}</div>
    </div>
  );
}
