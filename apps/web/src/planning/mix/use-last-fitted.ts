import type { MixView } from '@nuvar/core';
import { useEffect } from 'react';

/** The last mix of each plan that was tried and fitted, while the page is open. */
const LAST = new Map<string, readonly string[]>();

/** The last mix that was tried and fitted, where the one that is tried now does not; null where there is none, or it does. */
export function useLastFitted(planId: string, { fits, slots }: MixView): readonly string[] | null {
  useEffect(() => {
    if (fits)
      LAST.set(
        planId,
        slots.map(({ quantity }) => quantity),
      );
  }, [planId, fits, slots]);
  const last = fits ? undefined : LAST.get(planId);
  return last?.length === slots.length ? last : null;
}
