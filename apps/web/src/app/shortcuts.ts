import { useEffect } from 'react';
import { useNavigate } from 'react-router';
import { useAddress } from '../book/place.js';
import { SCREEN_IDS, screenOf } from '../book/screens.js';
import { redo, undo } from '../book/edit.js';
import { useAppDispatch } from '../state/store.js';

/**
 * The keys that work on every screen: search, undo, redo, and the letters of the screens. A field with a half-typed text
 * keeps its own undo.
 */
export function useShortcuts(openSearch: () => void): void {
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const address = useAddress();
  useEffect(() => {
    const onKeyDown = (event: KeyboardEvent) => {
      if (event.altKey && event.shiftKey && !event.ctrlKey) {
        const screen = SCREEN_IDS.find((id) => `Key${screenOf(id).letter ?? ''}` === event.code);
        if (screen === undefined) return;
        event.preventDefault();
        void navigate(address(screen));
        return;
      }
      if (!(event.ctrlKey || event.metaKey) || event.altKey) return;
      const key = event.key.toLowerCase();
      if (key === 'k') {
        event.preventDefault();
        openSearch();
      } else if ((key === 'z' || key === 'y') && !isHalfTyped(event.target)) {
        event.preventDefault();
        dispatch(key === 'y' || event.shiftKey ? redo() : undo());
      }
    };
    window.addEventListener('keydown', onKeyDown);
    return () => window.removeEventListener('keydown', onKeyDown);
  }, [dispatch, navigate, address, openSearch]);
}

function isHalfTyped(target: EventTarget | null): boolean {
  return target instanceof HTMLInputElement && target.dataset.halfTyped === 'true';
}
