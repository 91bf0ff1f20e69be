import { useEffect, useState } from 'react';

/** True for a moment after a figure has become another, so that the eye finds what an edit moved. */
export function useChanged(amount: string | null | undefined): boolean {
  const [seen, setSeen] = useState(amount);
  const changed = amount !== undefined && seen !== undefined && seen !== amount;
  useEffect(() => {
    if (seen === amount) return;
    const timer = setTimeout(() => setSeen(amount), seen === undefined ? 0 : 1200);
    return () => clearTimeout(timer);
  }, [seen, amount]);
  return changed;
}
