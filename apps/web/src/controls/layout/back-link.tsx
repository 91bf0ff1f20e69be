import { ArrowLeft } from 'lucide-react';
import type { ScreenId } from '../../book/screens.js';
import { ScreenLink } from '../../figures/screen-link.js';

interface BackLinkProps {
  readonly to: ScreenId;
  readonly children: string;
}

/** Leads from a screen beside a list back to the list. */
export function BackLink({ to, children }: BackLinkProps) {
  return (
    <p className="print:hidden">
      <ScreenLink to={to}>
        <ArrowLeft className="mr-1 inline" size={15} aria-hidden="true" />
        {children}
      </ScreenLink>
    </p>
  );
}
