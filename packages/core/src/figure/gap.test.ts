import fc from 'fast-check';
import { expect, it } from 'vitest';
import { defineGaps, type Gap, gapMaker, unitedGaps } from './gap.js';

const gap = gapMaker(defineGaps({ asking: { 'no-price': 'no price', 'no-quantity': 'no quantity' }, stated: {} }));

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
