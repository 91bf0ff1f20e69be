import { readFileSync } from 'node:fs';
import { expect, it } from 'vitest';
import { PROBLEMS, problem } from './index.js';

it('docs/problems.md lists every problem with its status and sentence, and no other', () => {
  const page = readFileSync(new URL('../../../../docs/problems.md', import.meta.url), 'utf8');
  const listed = [...page.matchAll(/^\| `([a-z0-9-]+)`\s*\| (\d+)\s*\| (.+?)\s*\|$/gm)].map(
    ([, code, status, sentence]) => [code, Number(status), sentence],
  );
  expect(listed).toEqual(Object.entries(PROBLEMS).map(([code, [status, sentence]]) => [code, status, sentence]));
});

it('the sentence is made of the values', () => {
  const made = problem('still-used', { values: { name: 'Salt', user: 'Bread' } });
  expect(made.sentence).toBe('Salt cannot be removed: it is still used in Bread.');
});
