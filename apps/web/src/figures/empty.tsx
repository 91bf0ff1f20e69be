import type { ReactNode } from 'react';

/** What belongs where nothing is yet, and the first step. */
export function Empty({ children }: { readonly children: ReactNode }) {
  return <p className="max-w-prose px-0.5 py-2.5 text-soft">{children}</p>;
}

/** What is said in the place of a row that somebody has removed. */
export const Gone = ({ what }: { readonly what: string }) => <Empty>This {what} is no longer in the book.</Empty>;
