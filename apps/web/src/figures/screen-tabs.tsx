import { useLocation } from 'react-router';
import { useAddress } from '../book/place.js';
import type { ScreenId } from '../book/screens.js';
import { ScreenLink } from './screen-link.js';

interface ScreenTabsProps {
  readonly label: string;
  readonly screens: Partial<Readonly<Record<ScreenId, string>>>;
}

/** The screens of an area beside each other, for areas that have many. */
export function ScreenTabs({ label, screens }: ScreenTabsProps) {
  const { pathname } = useLocation();
  const address = useAddress();
  const entries = Object.entries(screens) as [ScreenId, string][];
  // The longest address that the path begins with: a screen may stand under another one.
  const shown = entries
    .filter(([id]) => pathname === address(id) || pathname.startsWith(`${address(id)}/`))
    .sort(([one], [other]) => address(other).length - address(one).length)[0]?.[0];
  return (
    <nav className="tabs tabs-border mb-2 flex-none gap-x-3 border-b border-base-300 print:hidden" aria-label={label}>
      {entries.map(([id, name]) => (
        <ScreenLink
          key={id}
          to={id}
          className={`tab [--tab-p:0.1rem] hover:text-base-content ${id === shown ? 'tab-active text-base-content' : 'text-soft'}`}
        >
          {name}
        </ScreenLink>
      ))}
    </nav>
  );
}
