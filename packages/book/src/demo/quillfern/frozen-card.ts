import type { BookBuilder } from '../demo-book.js';
import { at, type Ids } from './ids.js';

/** Of one good mug: what it was of, element, quantity, unit, price, as things stood in spring. */
type Line = readonly [source: string, element: string, label: string, quantity: number, unit: string, price: string];

const YIELD = 0.92;
const perGood = (started: number, lossPercent = 0) => started / (1 - lossPercent / 100) / YIELD;

/** A batch of glaze was 10 kg started, of which 96 % came out. */
const perKilo = (inBatch: number, lossPercent = 0) => inBatch / (1 - lossPercent / 100) / 9.6;

const decimals = (amount: number) => String(Number(amount.toFixed(12)));

/** The card of the mug as it was in spring: with less time at the wheel, dearer glaze, cheaper clay. */
export function addFrozenCard(
  book: BookBuilder,
  ids: Readonly<Record<'materials' | 'grades' | 'products' | 'machines', Ids>>,
): void {
  const { materials, grades, products, machines } = ids;
  const frozenCardId = book.add('frozenCard', {
    productId: at(products, 'Everyday mug'),
    name: 'Spring prices',
    frozenOn: '2026-04-01',
  });
  const material = (name: string) => `material.${at(materials, name)}`;
  const inGlaze: readonly Line[] = [
    [material('Potash feldspar'), 'materials', 'Potash feldspar', perKilo(4.2), 'kg', '1.15'],
    [material('Silica'), 'materials', 'Silica', perKilo(2.4), 'kg', '0.85'],
    [material('Whiting'), 'materials', 'Whiting', perKilo(1.8), 'kg', '0.736'],
    [material('China clay'), 'materials', 'China clay', perKilo(1.1), 'kg', '1.044'],
    [material('Copper carbonate'), 'materials', 'Copper carbonate', perKilo(400, 2), 'g', '0.0392'],
    [material('Red iron oxide'), 'materials', 'Red iron oxide', perKilo(120, 2), 'g', '0.0078'],
    [`labourGrade.${at(grades, 'helper')}`, 'labour', 'Studio helper', perKilo(85 / 60), 'h', '17.306666666667'],
  ];
  const glaze = inGlaze.reduce((sum, [, , , quantity, , price]) => sum + quantity * Number(price), 0);
  const glazeSource = `product.${at(products, 'Moss glaze')}`;
  const lines: readonly Line[] = [
    [material('White stoneware clay'), 'materials', 'White stoneware clay', perGood(0.42, 8), 'kg', '1.056'],
    [glazeSource, 'component', 'Moss glaze', perGood(0.038, 5), 'kg', decimals(glaze)],
    [material('Wax resist'), 'materials', 'Wax resist', perGood(3), 'ml', '0.0168'],
    [material('Maker stamp label'), 'packaging', 'Maker stamp label', 1, '', '0.044'],
    [material('Single-wall carton, small'), 'packaging', 'Single-wall carton, small', 1, '', '0.44'],
    [material('Shredded paper'), 'packaging', 'Shredded paper', 0.06, 'kg', '2.45'],
    [material('Care card'), 'packaging', 'Care card', 1, '', '0.078'],
    [`labourGrade.${at(grades, 'maker')}`, 'labour', 'Maker', perGood(8.2 / 60), 'h', '23.10'],
    [`labourGrade.${at(grades, 'helper')}`, 'labour', 'Studio helper', perGood(4 / 60), 'h', '17.306666666667'],
    [`labourGrade.${at(grades, 'owner')}`, 'labour', "Owner's own time", perGood(50 / 60 / 60), 'h', '30'],
    [`equipment.${at(machines, 'wheel')}`, 'equipment', 'Throwing wheel', perGood(5.2 / 60), 'h', '0.1737'],
    [`run.${at(machines, 'bisque')}`, 'equipment', 'Bisque firing', perGood(1), 'place', '0.2862'],
    [`run.${at(machines, 'glaze')}`, 'equipment', 'Glaze firing', perGood(1), 'place', '0.3461'],
    ['overhead.production', 'overhead', 'Production overhead', perGood(13.5 / 60), 'h', '7.5208'],
    ['overhead.non-production', 'overhead', 'Non-production overhead', perGood(13.5 / 60), 'h', '0.9785'],
  ];
  const add = (within: string, [source, element, label, quantity, unit, price]: Line, position: number) =>
    book.add('frozenLine', {
      frozenCardId,
      position,
      within,
      source,
      element,
      label,
      unit,
      price,
      currency: 'EUR',
      quantity: decimals(quantity),
    });
  lines.forEach((line, position) => add('', line, position));
  inGlaze.forEach((line, position) => add(glazeSource, line, lines.length + position));
}
