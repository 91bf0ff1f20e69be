import { describe, expect, it } from 'vitest';
import { matches } from './matches.js';

const clay = { name: 'White stoneware clay', code: 'WSC-1', category: 'Clays', tags: 'cone 6, white', archived: false };

describe('a list that is narrowed by words', () => {
  it.each([
    ['', true],
    ['  ', true],
    ['CLAY white', true],
    ['wsc cone', true],
    ['harrow', true],
    ['clay blue', false],
    ['archived', false],
    [`clay ${'x'.repeat(400)}`, false],
  ])('by "%s"', (words, isShown) => {
    expect(matches(clay, words, 'Harrowmere Clays')).toBe(isShown);
  });

  it('shows what is archived only where that is asked for', () => {
    const archived = { ...clay, archived: true };
    expect(matches(archived, 'clay')).toBe(false);
    expect(matches(archived, 'archived')).toBe(true);
    expect(matches(archived, 'archived stoneware')).toBe(true);
    expect(matches(archived, 'archived porcelain')).toBe(false);
  });
});
