import type { ReactNode } from 'react';

/** A screen outside of any book: sign-in, the list of books, what cannot be shown. */
export function LoneScreen({ children }: { readonly children: ReactNode }) {
  return <main className="mx-auto flex max-w-[42rem] flex-col gap-5 px-5 py-14">{children}</main>;
}
