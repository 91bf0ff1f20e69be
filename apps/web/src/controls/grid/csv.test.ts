import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { blockOf, textOfBlock } from './csv.js';

describe('the clipboard', () => {
  it('reads back every block that it copies', () => {
    const cell = fc.string({ maxLength: 12 }).map((text) => text.replace(/[\t\r\n"]/g, '').trim());
    const width = 3;
    fc.assert(
      fc.property(
        fc.array(fc.array(cell, { minLength: width, maxLength: width }), { minLength: 1, maxLength: 8 }),
        (rows) => {
          expect(blockOf(textOfBlock(rows))).toEqual(rows);
        },
      ),
    );
  });
});
