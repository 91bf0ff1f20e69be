import { useEffect } from 'react';
import { redo, undo } from '../book/edit.js';
import { useAppDispatch } from '../state/store.js';

/** The keys that work on every screen: search, undo, redo. A field with a half-typed text keeps its own undo. */
export function useShortcuts(openSearch: () => void): void {
  const dispatch = useAppDispatch();
  useEffect(() => {
    const onKeyDown = (event: KeyboardEvent) => {
      if (!(event.ctrlKey || event.metaKey) || event.altKey) return;
      const key = event.key.toLowerCase();
      if (key === 'k') {
        event.preventDefault();
        openSearch();
      } else if (key === 'z' && !isHalfTyped(event.target)) {
        event.preventDefault();
        dispatch(event.shiftKey ? redo() : undo());
      }
    };
    window.addEventListener('keydown', onKeyDown);
    return () => window.removeEventListener('keydown', onKeyDown);
  }, [dispatch, openSearch]);
}

function isHalfTyped(target: EventTarget | null): boolean {
  return target instanceof HTMLInputElement && target.dataset.halfTyped === 'true';
}
