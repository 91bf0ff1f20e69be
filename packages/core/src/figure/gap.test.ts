import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { expect, it } from 'vitest';
import { type Gap, gap, GAPS, unitedGaps } from './gap.js';

it('docs/figures.md lists every gap with its sentence, and no other', () => {
  const page = readFileSync(new URL('../../../../docs/figures.md', import.meta.url), 'utf8');
  const listed = [...page.matchAll(/^\| `([a-z0-9-]+)`\s*\| (.+?)\s*\|$/gm)].map(([, code, sentence]) => [
    code,
    sentence,
  ]);
  expect(listed).toEqual(Object.entries(GAPS));
});

it('gaps of parts are united each once, told by what they are and where, in the order in which they are met', () => {
  const code = fc.constantFrom('no-price' as const, 'no-quantity' as const);
  const gaps = fc.array(
    fc
      .record({ code, id: fc.constantFrom('one', 'two', 'three') })
      .map((each) => gap(each.code, { kind: 'material', id: each.id, field: 'price' })),
    { maxLength: 4 },
  );
  const said = (each: Gap) => `${each.code} ${each.place?.id ?? ''}`;
  fc.assert(
    fc.property(fc.array(gaps, { maxLength: 5 }), (lists) => {
      // A figure's own gaps are united already.
      const parts = lists.map((list) => ({ gaps: unitedGaps([{ gaps: list }, { gaps: [...list] }]) }));
      expect(unitedGaps(parts).map(said)).toEqual([...new Set(lists.flat().map(said))]);
    }),
  );
});
