/** When nothing has moved for so long, a list has come to rest. */
const AT_REST_AFTER = 120;
/** So many rows are completed in a frame, so that the first key after scrolling is not kept waiting. */
const ROWS_A_FRAME = 6;

/** Whether a list is being scrolled, for rows that are drawn in short until it has come to rest. */
export interface ScrollWatch {
  readonly isScrolling: () => boolean;
  /** Follows the scrolling of an element; returns how to stop that. */
  readonly follow: (element: HTMLElement) => () => void;
  /** Calls back when the list has come to rest, a few rows a frame; returns how to call that off. */
  readonly whenAtRest: (act: () => void) => () => void;
}

/** A watch for one list. */
export function newScrollWatch(): ScrollWatch {
  const waiting = new Set<() => void>();
  let timer: ReturnType<typeof setTimeout> | undefined;
  let isScrolling = false;
  const complete = () => {
    if (isScrolling) return;
    for (const act of [...waiting].slice(0, ROWS_A_FRAME)) {
      waiting.delete(act);
      act();
    }
    if (waiting.size > 0) requestAnimationFrame(complete);
  };
  const moved = () => {
    isScrolling = true;
    clearTimeout(timer);
    timer = setTimeout(() => {
      isScrolling = false;
      complete();
    }, AT_REST_AFTER);
  };
  return {
    isScrolling: () => isScrolling,
    follow: (element) => {
      element.addEventListener('scroll', moved, { passive: true });
      return () => {
        element.removeEventListener('scroll', moved);
        clearTimeout(timer);
        isScrolling = false;
      };
    },
    whenAtRest: (act) => {
      waiting.add(act);
      return () => void waiting.delete(act);
    },
  };
}
