import { expect, it } from 'vitest';
import { LIKE_A_FORMULA } from './index.js';

it.each(['=1+1', '+A1', '@SUM(A1)', '-A1', '\t=1', '\r=1', '＝1+1', '＋A1', '－A1', '＠SUM', '-1+2', '-', '--1'])(
  'a spreadsheet would take %j for a formula',
  (text) => expect(LIKE_A_FORMULA.test(text)).toBe(true),
);

it.each(['', 'Clay', '12', '-12', '-12.50', 'a=b', '1-2', ' clay', '\u201cquoted\u201d'])('%j is plain text', (text) =>
  expect(LIKE_A_FORMULA.test(text)).toBe(false),
);
