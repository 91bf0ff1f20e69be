import { type FieldOverride, fieldValue, type StoredRow } from '@nuvar/book';
import { constant, type Figure, figureGap, overridden } from '../figure/index.js';
import { NUMBER } from '../quantity/index.js';
import type { InputLeaf } from './calculation.js';
import { sheetGap } from './gaps.js';
import type { Ground } from './ground.js';
import type { LaidRow } from './layer.js';
/** A field with an override in place of what the book says: both are kept, and what does not fit is a gap. */
export function overriddenInput(parent: Ground, laid: LaidRow, field: string, leaf: InputLeaf): Figure {
  const { kind, refusals } = laid;
  // Fields are overridden of rows alone that the book has, and that stay.
  const [base, row] = [laid.base as StoredRow, laid.row as StoredRow];
  const override = laid.overrides.get(field) as FieldOverride;
  const place = { kind, id: base.id, field };
  const baseline = parent.input(kind, base, field, leaf);
  const refusal = refusals.get(field);
  if (refusal !== undefined) {
    const reason = sheetGap('override-does-not-fit', place, { sentence: refusal.sentence });
    return overridden(leaf, place, null, [reason], [baseline]);
  }
  const value = fieldValue(row, field) as string | number | null;
  if (value === null) {
    const reason = leaf.whenEmpty?.(place) ?? figureGap('row-missing', place, { subject: leaf.name });
    return overridden(leaf, place, null, [reason], [baseline]);
  }
  const by =
    override.how === 'set'
      ? constant('What is tried', String(value), leaf.unit, 'set')
      : constant(
          override.how === 'add' ? 'What is added' : 'By how many times',
          override.by,
          override.how === 'add' ? leaf.unit : NUMBER,
          override.how,
        );
  return overridden(leaf, place, value, [], [baseline, by]);
}
