import type { StoredRow } from '@nuvar/book';
import { useSettings } from '../../book/use-book.js';
import { useView } from '../../engine/use-view.js';
import { Amount } from '../../figures/amount.js';

/** A bundle against what its parts cost the customer one by one in the same channel. */
export function BundlePrice({ point }: { readonly point: StoredRow<'pricePoint'> }) {
  const view = useView('bundle', point.id);
  const { currency } = useSettings();
  if (view === undefined || view === null) return null;
  return (
    <p className="mt-4">
      Bought one by one, what is in it costs <Amount figure={view.singly} digits={2} /> {currency} here. The customer
      saves <Amount figure={view.saved} digits={2} /> {currency}, <Amount figure={view.savedPercent} digits={1} /> %;
      sold one by one it leaves <Amount figure={view.contributionSingly} digits={2} />, as a bundle{' '}
      <Amount figure={view.contribution} digits={2} /> {currency}.
    </p>
  );
}
