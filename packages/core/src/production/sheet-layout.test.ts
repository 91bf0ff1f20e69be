import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { amount, evaluated, workshop } from '../testing/evaluated.js';

type Fields = Record<string, unknown>;

/** The workshop cuts its Thing from sheets; a sheet costs 40.00 where it is counted. */
function cut(material: Fields, line: Fields) {
  const made = workshop({
    material: { baseUnit: 'each', sheetLength: '2500', sheetWidth: '1250', ...material },
    supplierPrice: { packQuantity: '10', packUnit: material.baseUnit ?? 'each', price: '400' },
    billLine: { quantity: '2', unit: 'each', ...line },
    labourGrade: { wagePerHour: '0' },
  });
  const evaluation = evaluated(made.rows);
  const of = (member: string) => amount(evaluation, `sheetLayout/${made.line}/${member}`);
  return { ...made, evaluation, of, materials: amount(evaluation, `product/${made.product}/materials`) };
}

describe('parts laid out on a sheet', () => {
  // 2,500 x 1,250 with a saw of 4 mm: 600 x 400 lies 4 x 3 as entered, 6 x 2 turned; by hand.
  it('counts whole parts with the cuts between them, the better way round', () => {
    const board = cut({ cutWidth: '4' }, { partLength: '600', partWidth: '400' });
    expect([board.of('perSheet'), board.of('usedPercent')]).toEqual(['12', '92.16']);
    expect(Number(board.of('perPart'))).toBeCloseTo(1 / 12, 12);
    // Two parts of a sheet of 40.00.
    expect(Number(board.materials)).toBeCloseTo(80 / 12, 10);
    // A cut of 40: 3 x 2 as entered and 2 turned into the strip beside, or 5 x 2 turned.
    expect(cut({ cutWidth: '40' }, { partLength: '600', partWidth: '400' }).of('perSheet')).toBe('10');
    // The last part needs no cut after it.
    expect(cut({ cutWidth: '4', sheetLength: '1204' }, { partLength: '600', partWidth: '1250' }).of('perSheet')).toBe(
      '2',
    );
    expect(cut({ cutWidth: '4', sheetLength: '1203' }, { partLength: '600', partWidth: '1250' }).of('perSheet')).toBe(
      '1',
    );
  });

  it('puts turned parts into the strip that is left, unless they may not be turned', () => {
    // 1,000 x 700: 600 x 350 lies 1 x 2 as entered, with a turned one in the strip of 400 beside.
    const size = { sheetLength: '1000', sheetWidth: '700' };
    expect(cut(size, { partLength: '600', partWidth: '350' }).of('perSheet')).toBe('3');
    expect(cut(size, { partLength: '600', partWidth: '350', partMayTurn: false }).of('perSheet')).toBe('2');
    expect(cut(size, { partLength: '350', partWidth: '600', partMayTurn: false }).of('perSheet')).toBe('2');
  });

  it('takes a share by area where offcuts are used elsewhere', () => {
    const board = cut({ cutWidth: '0' }, { partLength: '625', partWidth: '500', partLayout: 'area' });
    expect([board.of('shareByArea'), board.of('perPart'), board.materials]).toEqual(['0.1', '0.1', '8']);
    // With a saw of 4 mm: (625 + 4) x (500 + 4) of 2,504 x 1,254.
    const sawn = cut({ cutWidth: '4' }, { partLength: '625', partWidth: '500', partLayout: 'area' });
    expect(Number(sawn.of('perPart'))).toBeCloseTo((629 * 504) / (2504 * 1254), 12);
  });

  it('takes square metres of a sheet that is bought by them, with waste on top', () => {
    const board = cut({ baseUnit: 'm²' }, { partLength: '625', partWidth: '500' });
    // 10 m² for 400.00; ten parts of a sheet of 3.125 m².
    expect([board.of('perSheet'), board.of('perPart'), board.materials]).toEqual(['10', '0.3125', '25']);
    const wasted = cut({ baseUnit: 'm²' }, { partLength: '625', partWidth: '500', lossPercent: '20' });
    expect(wasted.materials).toBe('31.25');
  });

  it('asks for sizes, and for a part that fits', () => {
    expect(cut({}, { partLength: '600', partWidth: null }).materials).toBe('no-part-size');
    expect(cut({ sheetWidth: null }, { partLength: '600', partWidth: '400' }).materials).toBe('no-sheet-size');
    expect(cut({}, { partLength: '2501', partWidth: '400' }).materials).toBe('part-does-not-fit');
    expect(cut({}, { partLength: '2501', partWidth: '400', partLayout: 'area' }).materials).toBe('part-does-not-fit');
    expect(cut({ baseUnit: 'kg' }, { partLength: '600', partWidth: '400' }).materials).toBe('no-conversion');
    expect(cut({}, { partLength: null, partWidth: null }).materials).toBe('80');
  });

  it('fits what a search over all rows and columns fits, and never more than the area holds', () => {
    const side = fc.integer({ min: 3, max: 40 });
    fc.assert(
      fc.property(
        side,
        side,
        side,
        side,
        fc.integer({ min: 0, max: 3 }),
        fc.boolean(),
        (length, width, long, wide, saw, turn) => {
          const board = cut(
            { sheetLength: String(length), sheetWidth: String(width), cutWidth: String(saw) },
            { partLength: String(long), partWidth: String(wide), partMayTurn: turn },
          );
          // As many as fit one by one, a saw's width between two.
          const fit = (room: number, of: number) => {
            let many = 0;
            for (let used = of; used <= room; used += of + saw) many += 1;
            return many;
          };
          const rows = (l: number, w: number, p: number, q: number) => (l <= 0 || w <= 0 ? 0 : fit(l, p) * fit(w, q));
          const best = ([p, q]: readonly [number, number]) => {
            const [across, down] = [fit(length, p), fit(width, q)];
            const beside = rows(length - across * (p + saw), width, q, p);
            const above = rows(length, width - down * (q + saw), q, p);
            return across * down + (turn ? Math.max(beside, above) : 0);
          };
          const most = turn ? Math.max(best([long, wide]), best([wide, long])) : best([long, wide]);
          expect(board.of('perSheet')).toBe(most === 0 ? 'part-does-not-fit' : String(most));
          expect(most * long * wide).toBeLessThanOrEqual(length * width);
        },
      ),
      { numRuns: 100 },
    );
  });
});
