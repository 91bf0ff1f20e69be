import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { useAddress } from '../book/place.js';
import type { ScreenId } from '../book/screens.js';

interface ScreenLinkProps {
  readonly to: ScreenId;
  /** The row whose detail the screen is to show. */
  readonly row?: string;
  /** What else the address says: "?filter=mug". */
  readonly search?: string;
  readonly className?: string;
  readonly children: ReactNode;
}

/** Leads to a screen of the open book. */
export function ScreenLink({ to, row, search = '', className = 'link link-primary', children }: ScreenLinkProps) {
  const address = useAddress();
  return (
    <Link className={className} to={`${address(to, row)}${search}`}>
      {children}
    </Link>
  );
}
