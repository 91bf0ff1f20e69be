// @vitest-environment jsdom
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { newScrollWatch } from './scroll-watch.js';

const scroll = (element: HTMLElement) => element.dispatchEvent(new Event('scroll'));

beforeEach(() => void vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout', 'requestAnimationFrame'] }));
afterEach(() => void vi.useRealTimers());

describe('rows that pass by', () => {
  it('are completed when the list has come to rest, a few a frame, and not before', () => {
    const list = document.createElement('div');
    const watch = newScrollWatch();
    watch.follow(list);
    expect(watch.isScrolling()).toBe(false);
    scroll(list);
    expect(watch.isScrolling()).toBe(true);
    const completed: number[] = [];
    for (let row = 0; row < 8; row += 1) watch.whenAtRest(() => completed.push(row));
    vi.advanceTimersByTime(100);
    scroll(list);
    vi.advanceTimersByTime(100);
    expect(completed).toEqual([]);
    vi.advanceTimersByTime(20);
    expect(watch.isScrolling()).toBe(false);
    expect(completed).toEqual([0, 1, 2, 3, 4, 5]);
    vi.advanceTimersToNextFrame();
    expect(completed).toEqual([0, 1, 2, 3, 4, 5, 6, 7]);
  });

  it('are not completed once they are gone, nor while the list moves on', () => {
    const list = document.createElement('div');
    const watch = newScrollWatch();
    const stop = watch.follow(list);
    scroll(list);
    const gone = vi.fn();
    const later = vi.fn();
    watch.whenAtRest(gone)();
    for (let row = 0; row < 6; row += 1) watch.whenAtRest(() => undefined);
    watch.whenAtRest(later);
    vi.advanceTimersByTime(120);
    scroll(list);
    vi.advanceTimersToNextFrame();
    expect(later).not.toHaveBeenCalled();
    vi.advanceTimersByTime(120);
    expect(later).toHaveBeenCalledOnce();
    expect(gone).not.toHaveBeenCalled();
    stop();
    scroll(list);
    expect(watch.isScrolling()).toBe(false);
  });
});
