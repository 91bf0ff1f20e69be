import { useView } from '../engine/use-view.js';
import { ScreenLink } from '../figures/screen-link.js';
import { UsedInList } from '../figures/used-in-list.js';
import { DetailHeading } from '../figures/detail-heading.js';

/** Where a product is used, and all that is inside it, however deep. */
export function ProductUses({ id }: { readonly id: string }) {
  const view = useView('uses', id);
  if (view == null) return null;
  return (
    <section aria-label="Where used" className="grid grid-cols-2 gap-6">
      <div>
        <DetailHeading>Used in</DetailHeading>
        {view.usedIn.length === 0 && <p className="text-soft">It is not a component of any product.</p>}
        <UsedInList usedIn={view.usedIn} />
      </div>
      <div>
        <DetailHeading>Contains, at any level</DetailHeading>
        {view.inside.length === 0 && <p className="text-soft">Nothing yet.</p>}
        <ul>
          {view.inside.map(({ kind, id: itemId, name, depth }) => (
            <li key={itemId} style={{ paddingLeft: `${(depth - 1) * 1.1}rem` }}>
              <ScreenLink to={kind === 'material' ? 'buy' : 'make'} row={itemId}>
                {name}
              </ScreenLink>
              {kind === 'product' && <span className="text-soft"> component</span>}
            </li>
          ))}
        </ul>
      </div>
    </section>
  );
}
