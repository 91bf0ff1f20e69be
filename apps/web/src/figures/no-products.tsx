import { ScreenLink } from './screen-link.js';

/** What a list of products says in a book that has none, with the way to where the first is made. */
export function NoProducts({ to }: { readonly to: 'sell' | 'plan' }) {
  return (
    <>
      Nothing to {to} yet. Add a product under <ScreenLink to="make">Make</ScreenLink> first.
    </>
  );
}
