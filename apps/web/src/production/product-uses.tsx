import { Link } from 'react-router';
import { useBookPath } from '../book/use-book.js';
import { useView } from '../engine/use-view.js';
import { UsedInList } from '../figures/used-in-list.js';

/** Where a product is used, and all that is inside it, however deep. */
export function ProductUses({ id }: { readonly id: string }) {
  const view = useView('uses', id);
  const path = useBookPath();
  if (view == null) return null;
  return (
    <section aria-label="Where used" className="two-lists">
      <div>
        <h3 className="detail-heading">It goes into</h3>
        {view.usedIn.length === 0 && <p className="text-soft">Nothing else: it is not a component of any product.</p>}
        <UsedInList usedIn={view.usedIn} />
      </div>
      <div>
        <h3 className="detail-heading">Inside it, at any depth</h3>
        {view.inside.length === 0 && <p className="text-soft">Nothing yet.</p>}
        <ul>
          {view.inside.map(({ kind, id: itemId, name, depth }) => (
            <li key={itemId} style={{ paddingLeft: `${(depth - 1) * 1.1}rem` }}>
              <Link className="link" to={`${path}/${kind === 'material' ? 'buy' : 'make'}/${itemId}`}>
                {name}
              </Link>
              {kind === 'product' && <span className="text-soft"> component</span>}
            </li>
          ))}
        </ul>
      </div>
    </section>
  );
}
