import { readFileSync } from 'node:fs';
import { expect, it } from 'vitest';
import { CALCULATIONS, GAPS } from './index.js';

const page = readFileSync(new URL('../../../../docs/figures.md', import.meta.url), 'utf8');
const listed = (row: RegExp) => [...page.matchAll(row)].map(([, first, second]) => [first, second]);

it('docs/figures.md lists every gap with its sentence, and no other', () => {
  expect(listed(/^\| `([a-z0-9-]+)`\s*\| (.+?)\s*\|$/gm)).toEqual(
    Object.values(GAPS).map(({ code, sentence }) => [code, sentence]),
  );
});

it('docs/figures.md lists the key of every published figure with what it is', () => {
  expect(listed(/^\| `(\w+\/…\/\w+)`\s*\| (.+?)\s*\|$/gm)).toEqual(
    CALCULATIONS.flatMap(({ name, meanings }) =>
      Object.entries(meanings).map(([member, meaning]) => [`${name}/…/${member}`, meaning]),
    ),
  );
});
