import type { UsedInView } from '@nuvar/core';
import { Link } from 'react-router';
import { useBookPath } from '../book/use-book.js';

/** The products into which something goes, each with the way to it. */
export function UsedInList({ usedIn }: { readonly usedIn: readonly UsedInView[] }) {
  const path = useBookPath();
  return (
    <ul>
      {usedIn.map((product) => (
        <li key={product.id}>
          <Link className="link" to={`${path}/make/${product.id}`}>
            {product.name}
          </Link>
          {!product.isDirect && <span className="text-soft"> inside a component</span>}
        </li>
      ))}
    </ul>
  );
}
