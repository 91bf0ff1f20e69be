import { readFileSync } from 'node:fs';
import { expect, it } from 'vitest';
import { GAPS } from './index.js';

it('docs/figures.md lists every gap with its sentence, and no other', () => {
  const page = readFileSync(new URL('../../../../docs/figures.md', import.meta.url), 'utf8');
  const listed = [...page.matchAll(/^\| `([a-z0-9-]+)`\s*\| (.+?)\s*\|$/gm)].map(([, code, sentence]) => [
    code,
    sentence,
  ]);
  expect(listed).toEqual(Object.entries(GAPS));
});
