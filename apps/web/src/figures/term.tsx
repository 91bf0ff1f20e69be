import type { ReactNode } from 'react';

/** The trade's term, beside a label in the owner's words. */
export function Term({ children }: { readonly children: ReactNode }) {
  return (
    <>
      {' '}
      <span className="text-note font-normal text-soft">({children})</span>
    </>
  );
}
