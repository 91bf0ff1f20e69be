import { describe, expect, it } from 'vitest';
import { groupedEnds } from './grouped-ends.js';

const end = (code: string, ...affects: string[]) => ({ code, sentence: code, place: null, affects });

describe('loose ends by kind', () => {
  it('stand with the kind first that touches most products, each product counted once', () => {
    const groups = groupedEnds([
      end('no-price', 'mug', 'bowl'),
      end('no-time', 'mug', 'bowl', 'pot'),
      end('no-price', 'mug', 'cup', 'jar'),
      end('no-wage'),
    ]);
    expect(groups.map(({ code, ends, affects }) => [code, ends.length, affects])).toEqual([
      ['no-price', 2, 4],
      ['no-time', 1, 3],
      ['no-wage', 1, 0],
    ]);
  });

  it('begin with what was typed and refused', () => {
    expect(groupedEnds([end('no-price', 'mug'), end('refused-text')]).map(({ code }) => code)).toEqual([
      'refused-text',
      'no-price',
    ]);
  });
});
