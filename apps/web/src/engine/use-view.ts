import { WHOLE_BOOK, type ViewName, type ViewOf } from '@nuvar/core';
import { useCallback, useSyncExternalStore } from 'react';
import { engine } from './engine.js';

/** A view of the open book, kept up to date while it is shown; undefined until it has been worked out. */
export function useView<Name extends ViewName>(name: Name, id: string = WHOLE_BOOK): ViewOf<Name> | undefined {
  const key = `${name}/${id}` as const;
  const subscribe = useCallback((listener: () => void) => engine.watch(key, listener), [key]);
  return useSyncExternalStore(subscribe, () => engine.view(key));
}
