import { Menu as HeadlessMenu, MenuButton, MenuItem, MenuItems } from '@headlessui/react';
import type { LucideIcon } from 'lucide-react';
import { Link } from 'react-router';

export interface MenuChoice {
  readonly label: string;
  readonly icon?: LucideIcon;
  /** Does something, or leads somewhere. */
  readonly act?: () => void;
  readonly to?: string;
}

interface MenuProps {
  readonly label: string;
  readonly icon: LucideIcon;
  readonly choices: readonly MenuChoice[];
}

/** A menu: it closes on choosing, on Esc and on a press outside of it, and gives the focus back. */
export function Menu({ label, icon: Icon, choices }: MenuProps) {
  return (
    <HeadlessMenu>
      <MenuButton className="btn btn-ghost">
        <Icon size={15} aria-hidden="true" />
        <span className="max-w-32 truncate">{label}</span>
      </MenuButton>
      <MenuItems
        as="ul"
        anchor="bottom end"
        className="menu z-30 w-max border border-rule bg-base-100 p-1 outline-none"
        modal={false}
      >
        {choices.map(({ label: words, icon: ChoiceIcon, act, to }) => {
          const content = (
            <>
              {ChoiceIcon && <ChoiceIcon size={15} aria-hidden="true" />}
              {words}
            </>
          );
          return (
            <li key={words} role="none">
              {to === undefined ? (
                <MenuItem as="button" className="data-focus:bg-base-200" onClick={act}>
                  {content}
                </MenuItem>
              ) : (
                <MenuItem as={Link} to={to} className="data-focus:bg-base-200">
                  {content}
                </MenuItem>
              )}
            </li>
          );
        })}
      </MenuItems>
    </HeadlessMenu>
  );
}
