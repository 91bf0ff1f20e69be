import { WHOLE_BOOK, type SideViewName, type SideViewOf, type ViewName, type ViewOf } from '@nuvar/core';
import { useCallback, useSyncExternalStore } from 'react';
import { engine } from './engine.js';
import { keyOver } from './view-key.js';

/** A view of the open book, kept up to date while it is shown; undefined until it has been worked out. */
export function useView<Name extends ViewName>(name: Name, id: string = WHOLE_BOOK): ViewOf<Name> | undefined {
  const key = `${name}/${id}` as const;
  const subscribe = useCallback((listener: () => void) => engine.watch(key, listener), [key]);
  return useSyncExternalStore(subscribe, () => engine.view(key));
}

/** A view of one evaluation, whatever is shown; nothing is asked while there is no id. */
export function useViewIn<Name extends ViewName>(
  evaluation: string,
  name: Name,
  id: string | null,
): ViewOf<Name> | undefined {
  return useKey(id === null ? null : keyOver([evaluation], name, id)) as ViewOf<Name> | undefined;
}

/** A view over several evaluations, of which the first is what the others are compared with. */
export function useSideView<Name extends SideViewName>(
  evaluations: readonly string[],
  name: Name,
  id: string | null,
): SideViewOf<Name> | undefined {
  return useKey(id === null ? null : keyOver(evaluations, name, id)) as SideViewOf<Name> | undefined;
}

function useKey(key: string | null): unknown {
  const subscribe = useCallback(
    (listener: () => void) => (key === null ? () => undefined : engine.watch(key, listener)),
    [key],
  );
  return useSyncExternalStore(subscribe, () => (key === null ? undefined : engine.viewOver(key)));
}
