import { useLayoutEffect, useState, type RefObject } from 'react';

/** How many pixels wide an element is within, kept up to date. */
export function useRoom(element: RefObject<HTMLElement | null>, atFirst: number): number {
  const [room, setRoom] = useState(atFirst);
  useLayoutEffect(() => {
    const watched = element.current;
    if (watched === null) return;
    const look = () => watched.clientWidth > 0 && setRoom(watched.clientWidth);
    look();
    const observer = new ResizeObserver(look);
    observer.observe(watched);
    return () => observer.disconnect();
  }, [element]);
  return room;
}
