import { useSyncExternalStore } from 'react';

let isPrinting = false;

function watch(listener: () => void): () => void {
  const media = matchMedia('print');
  const look = () => {
    isPrinting = media.matches;
    listener();
  };
  media.addEventListener('change', look);
  return () => media.removeEventListener('change', look);
}

/** True while the page is laid out for paper: then nothing may be left out that is only out of sight. */
export function usePrinting(): boolean {
  return useSyncExternalStore(watch, () => isPrinting);
}
