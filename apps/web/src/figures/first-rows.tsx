import { useState, type ReactNode } from 'react';

/** A page with some thousand rows takes seconds to draw, and nobody reads it. */
const FIRST = 100;

/** The first rows of a table that is only read, and a button for the rest where there are more. */
export function useFirstRows<T>(rows: readonly T[]): { readonly rows: readonly T[]; readonly more: ReactNode } {
  const [isWhole, setWhole] = useState(false);
  if (isWhole || rows.length <= FIRST) return { rows, more: null };
  const more = (
    <button type="button" className="link link-primary print:hidden" onClick={() => setWhole(true)}>
      {FIRST} of {rows.length} shown: show all
    </button>
  );
  return { rows: rows.slice(0, FIRST), more };
}
