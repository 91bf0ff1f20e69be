import type { UsedInView } from '@nuvar/core';
import { ScreenLink } from '../figures/screen-link.js';

/** The products into which something goes, each with the way to it. */
export function UsedInList({ usedIn }: { readonly usedIn: readonly UsedInView[] }) {
  return (
    <ul>
      {usedIn.map((product) => (
        <li key={product.id}>
          <ScreenLink to="make" row={product.id}>
            {product.name}
          </ScreenLink>
          {!product.isDirect && <span className="text-soft"> inside a component</span>}
        </li>
      ))}
    </ul>
  );
}
