import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { blockOf, csvOf, textOfBlock } from './csv.js';

describe('CSV', () => {
  it('quotes as RFC 4180 asks, makes formulas harmless, and leaves numbers numbers', () => {
    const csv = csvOf(
      ['Name', 'Amount'],
      [
        ['Clay, white "fine"', '-3.50'],
        ['=HYPERLINK("x")', '12'],
        ['+1', '@a'],
      ],
    );
    expect(csv).toBe('\ufeffName,Amount\r\n"Clay, white ""fine""",-3.50\r\n"\'=HYPERLINK(""x"")",12\r\n\'+1,\'@a\r\n');
  });

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
