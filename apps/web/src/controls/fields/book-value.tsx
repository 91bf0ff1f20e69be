import type { ReactNode } from 'react';
import { useBookValue } from '../../engine/use-what-if-marks.js';

interface BookValueProps {
  /** The field: "row.field". */
  readonly place: string | undefined;
  readonly children: ReactNode;
}

/** A control, and before it what the book says, struck thin, where the open what-if says something else. */
export function BookValue({ place, children }: BookValueProps) {
  const value = useBookValue(place);
  if (value === undefined) return children;
  return (
    <span className="flex min-w-0 items-center gap-1 text-what-if">
      <s className="max-w-[45%] flex-none truncate text-[0.8em] text-soft decoration-1" title={`In the book: ${value}`}>
        {value}
      </s>
      {children}
    </span>
  );
}
