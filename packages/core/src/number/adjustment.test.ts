import { expect, it } from 'vitest';
import { adjusted, readAdjustment } from './adjustment.js';

it.each<[typed: string, before: string | null, after: string | null]>([
  ['+5%', '20', '21'],
  ['-2,5 %', '40', '39'],
  ['x1.1', '10', '11'],
  ['* 0,5', '9', '4.5'],
  ['+0,20', '1.30', '1.5'],
  ['-0.20', '1.30', '1.1'],
  ['12.50', '3', '12.50'],
  ['12.50', null, '12.50'],
  ['+5%', null, null],
  ['x 1/3', '1', '0.333333'],
])('"%s" makes %s into %s', (typed, before, after) => {
  const adjustment = readAdjustment(typed, '.');
  expect(adjustment && adjusted(before, adjustment)).toBe(after);
});

it.each(['', '5%', 'x', 'x5%', 'some', '+2 kg'])('"%s" is no adjustment', (typed) => {
  expect(readAdjustment(typed, '.')).toBeNull();
});
