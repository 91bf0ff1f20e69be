import type { Override } from '@nuvar/book';
import type { EffectView } from '@nuvar/core';
import { useEffect, useState } from 'react';
import { noticed } from '../state/notices-slice.js';
import { useAppDispatch } from '../state/store.js';
import { engine } from './engine.js';

/** What overrides would do to the full cost of products; null until it is worked out, and where nothing is overridden. */
export function useEffects(
  overrides: readonly Override[],
  productIds: readonly string[],
): readonly EffectView[] | null {
  const dispatch = useAppDispatch();
  const [effects, setEffects] = useState<readonly EffectView[] | null>(null);
  useEffect(() => {
    let left = false;
    if (overrides.length > 0)
      engine.effectOf(overrides, productIds).then(
        (found) => !left && setEffects(found),
        (error: Error) => !left && dispatch(noticed({ sentence: error.message, tone: 'problem' })),
      );
    return () => {
      left = true;
      setEffects(null);
    };
  }, [overrides, productIds, dispatch]);
  return effects;
}
