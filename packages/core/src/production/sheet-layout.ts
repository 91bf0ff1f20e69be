import { type RowOf, unitOfMeasure } from '@nuvar/book';
import {
  constant,
  difference,
  type Figure,
  isWhole,
  largest,
  missing,
  multiplied,
  ofMissingRow,
  quotient,
  rounded,
  shareOf,
  sum,
} from '../figure/index.js';
import { ONE } from '../number/index.js';
import { convertedFor } from '../purchasing/index.js';
import { NUMBER, unit } from '../quantity/index.js';
import { type Calculation, type Sheet } from '../sheet/index.js';
import { productionGap } from './gaps.js';

const MILLIMETRE = unit('mm');
const SQUARE_METRE = unit('m²');

/** Parts of one line laid out on a sheet of its material. */
export interface SheetLayout {
  /** How many whole parts a sheet gives. */
  readonly perSheet: Figure;
  /** The sheets that all parts of the sheet's own area would need, the cuts included: one part's share of a sheet. */
  readonly shareByArea: Figure;
  /** What one part takes, in the unit of the material. */
  readonly perPart: Figure;
  readonly usedPercent: Figure;
}

/** The sides of a sheet and of a part, with the cut between two of them. */
interface Sides {
  readonly length: Figure;
  readonly width: Figure;
}

/**
 * Parts laid out on a sheet; the id is the bill line. Whole parts = the most of four layouts: rows and columns one way, and what
 * still fits turned into the strip that is left beside or above them; without turning, the rows and columns alone. A cut lies
 * between two parts, so that n parts need n sides and n - 1 cuts: floor((sheet + cut) / (part + cut)). By area: (part + cut) over
 * (sheet + cut), both ways. A part takes 1 / whole parts of a sheet, or its share by area; in the material's unit, a sheet is one of
 * what is counted, else length x width. Gaps: no size of the sheet or the part, a part that does not fit. Common practice; more
 * parts can fit where layouts are mixed otherwise.
 */
export const sheetLayout: Calculation<SheetLayout> = {
  name: 'sheetLayout',
  meanings: {
    perSheet: 'How many whole parts can be cut from a sheet.',
    shareByArea: 'The share of a sheet that one part takes by its area, the cut included.',
    perPart: 'What one part takes of the material.',
    usedPercent: 'The share of a sheet that ends up in whole parts.',
  },
  work(sheet, lineId) {
    const line = sheet.row('billLine', lineId);
    const material = line?.materialId == null ? undefined : sheet.row('material', line.materialId);
    if (line === undefined || material === undefined) return gone();
    const subject = material.name;
    const named = (name: string) => ({ name, subject });
    const cut = sheet.input('material', material, 'cutWidth', { ...named('Cut width'), unit: MILLIMETRE });
    const board = sidesOfSheet(sheet, material);
    const part = sidesOfPart(sheet, line, subject);
    const withCut = (side: Figure) => sum(named(`${side.name} with a cut`), MILLIMETRE, [side, cut]);
    const outer = { length: withCut(board.length), width: withCut(board.width) };
    const inner = { length: withCut(part.length), width: withCut(part.width) };
    const count = mostParts(outer, inner, line.partMayTurn, subject);
    const places = { outer: area(outer, 'Sheet with a cut', subject), inner: area(inner, 'Part with a cut', subject) };
    const shareByArea = quotient(named('Share of a sheet by area'), places.inner, places.outer);
    const place = { kind: 'billLine', id: lineId, field: 'partLength' } as const;
    const none = productionGap('part-does-not-fit', place, { subject });
    const fits = !isWhole(count) || !count.amount.isZero();
    const perSheet = fits ? count : missing({ ...named('Parts a sheet'), unit: NUMBER }, none, [count]);
    const one = oneSheet(sheet, material, board);
    const ofWhole = quotient(named('Sheet for one part'), one, perSheet);
    const byArea = fits ? multiplied(named('Sheet for one part'), one, shareByArea) : ofWhole;
    const perPart = line.partLayout === 'area' ? byArea : ofWhole;
    const inParts = multiplied(named('Area of whole parts'), area(part, 'Part', subject), perSheet);
    return {
      perSheet,
      shareByArea,
      perPart: multiplied(named('Material for one part'), perPart, perUnitOf(line.unit)),
      usedPercent: shareOf(named('Used of a sheet'), inParts, area(board, 'Sheet', subject)),
    };
  },
};

const perUnitOf = (code: string): Figure => constant('For each part', '1', NUMBER.per(unit(code)), 'definition');

const area = ({ length, width }: Sides, name: string, subject: string): Figure =>
  multiplied({ name, subject }, length, width);

function sidesOfSheet(sheet: Sheet, material: RowOf<'material'>): Sides {
  const subject = material.name;
  const side = (field: 'sheetLength' | 'sheetWidth', name: string) =>
    sheet.input('material', material, field, {
      name,
      subject,
      unit: MILLIMETRE,
      whenEmpty: (place) => productionGap('no-sheet-size', place, { subject }),
    });
  return { length: side('sheetLength', 'Sheet length'), width: side('sheetWidth', 'Sheet width') };
}

function sidesOfPart(sheet: Sheet, line: RowOf<'billLine'>, subject: string): Sides {
  const side = (field: 'partLength' | 'partWidth', name: string) =>
    sheet.input('billLine', line, field, {
      name,
      subject,
      unit: MILLIMETRE,
      whenEmpty: (place) => productionGap('no-part-size', place, { subject }),
    });
  return { length: side('partLength', 'Part length'), width: side('partWidth', 'Part width') };
}

/** How many sides fit along a length, cuts included in both. */
function along(length: Figure, side: Figure, name: string, subject: string): Figure {
  return rounded({ name, subject }, quotient({ name: `${name}, exact`, subject }, length, side), ONE, 'down');
}

/** The most of the layouts, each of them rows and columns with a strip of turned parts. */
function mostParts(board: Sides, part: Sides, mayTurn: boolean, subject: string): Figure {
  const named = (name: string) => ({ name, subject });
  const straight = grid(board, part, 'as entered', subject);
  if (!mayTurn) return straight.count;
  const turned = { length: part.width, width: part.length };
  const layouts = [
    [straight, turned],
    [grid(board, turned, 'turned', subject), part],
  ] as const;
  const all = layouts.flatMap(([{ count, restLength, restWidth }, other]) => {
    const beside = grid({ length: restLength, width: board.width }, other, 'in the strip beside', subject);
    const above = grid({ length: board.length, width: restWidth }, other, 'in the strip above', subject);
    return [beside, above].map((strip) => sum(named('Parts of a layout'), NUMBER, [count, strip.count]));
  });
  return largest(named('Parts a sheet'), all, 'the most of the layouts that are tried');
}

/** Rows and columns of parts on a board, and what is left of it along both sides. */
function grid(board: Sides, part: Sides, words: string, subject: string) {
  const named = (name: string) => ({ name: `${name}, ${words}`, subject });
  const across = along(board.length, part.length, `Parts along the length, ${words}`, subject);
  const down = along(board.width, part.width, `Parts along the width, ${words}`, subject);
  const rest = (of: Figure, taken: Figure, side: Figure, name: string) =>
    difference(named(name), of, multiplied(named(`${name} that is taken`), taken, side));
  return {
    count: multiplied(named('Parts'), across, down),
    restLength: rest(board.length, across, part.length, 'Length that is left'),
    restWidth: rest(board.width, down, part.width, 'Width that is left'),
  };
}

const SQUARE_MILLIMETRES = constant(
  'Square millimetres in a square metre',
  '1000000',
  MILLIMETRE.times(MILLIMETRE).per(SQUARE_METRE),
  'definition',
);

/** One sheet in the unit of its material: one of what is counted, else its area. Gap: no way from square metres to the unit. */
function oneSheet(sheet: Sheet, material: RowOf<'material'>, board: Sides): Figure {
  const { id, name: subject, baseUnit } = material;
  const isCounted = unitOfMeasure(baseUnit)?.dimension === 'count' || unitOfMeasure(baseUnit) === undefined;
  if (isCounted) return constant('One sheet', '1', unit(baseUnit), 'the material is counted in sheets');
  const inMetres = quotient({ name: 'Area of a sheet', subject }, area(board, 'Sheet', subject), SQUARE_MILLIMETRES);
  const inUnit = convertedFor(sheet, { kind: 'material', id, name: subject }, inMetres, 'm²', baseUnit);
  if (inUnit !== null) return inUnit;
  const values = { item: subject, subject: 'sheets', from: 'm²', to: baseUnit };
  const place = { kind: 'material', id, field: 'conversions' } as const;
  return missing({ name: 'One sheet', subject, unit: unit(baseUnit) }, productionGap('no-conversion', place, values), [
    inMetres,
  ]);
}

function gone(): SheetLayout {
  const figure = ofMissingRow({ name: 'Parts a sheet', unit: NUMBER }, 'a bill line');
  return { perSheet: figure, shareByArea: figure, perPart: figure, usedPercent: figure };
}

/** True for a line whose quantity counts parts that are cut from a sheet. */
export const isCutFromSheet = (line: RowOf<'billLine'>): boolean =>
  line.materialId !== null && (line.partLength !== null || line.partWidth !== null);
