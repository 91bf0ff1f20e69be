import { applyChange, fieldValue, isKind, newId, type StoredRow } from '@nuvar/book';
import { describe, expect, it } from 'vitest';
import { compared, decimal } from '../../number/index.js';
import { demoRows, evaluated } from '../../testing/evaluated.js';
import { leversOf } from './levers-view.js';
import { workingView } from './working-view.js';

const rows = demoRows();
const evaluation = evaluated(rows);
const keys = rows.all('product').flatMap(({ id }) => [`fullCost/${id}/fullCost`, `productCost/${id}/variableCost`]);
const amountOf = (key: string) => decimal(evaluation.figure(key)?.amount?.toFixed() ?? '0');

/** The amount of a figure once a field has that value in the book. */
function amountWhen(key: string, reference: string, movedTo: string) {
  const place = workingView(evaluation, reference)?.input;
  if (place == null || !isKind(place.kind)) throw new Error(`No input stands at ${reference}.`);
  const { kind, id, field } = place;
  const value = fieldValue(rows.row(kind, id) as StoredRow, field);
  const after = { [field]: typeof value === 'number' ? Number(movedTo) : movedTo };
  const operations = [{ action: 'update' as const, kind, id, before: { [field]: value }, after }];
  const applied = applyChange(rows, { id: newId(), operations });
  if (!applied.ok) throw new Error(applied.problems[0]?.sentence);
  const book = demoRows();
  book.apply(applied.writes);
  return evaluated(book).figure(key)?.amount;
}

describe('what moves a figure most', () => {
  it('states the change that the other value makes when it is typed into the book, the largest first', () => {
    let seen = 0;
    for (const key of keys) {
      const levers = leversOf(evaluation, key, 5);
      for (const [index, { effect }] of levers.entries())
        expect(compared(decimal(effect).abs(), decimal(levers[index - 1]?.effect ?? effect).abs())).toBeLessThanOrEqual(
          0,
        );
      for (const { reference, movedTo, effect } of levers) {
        const after = amountWhen(key, reference, movedTo);
        expect(after?.minus(amountOf(key)).toFixed(), `${key} by ${reference}`).toBe(effect);
        seen += 1;
      }
    }
    expect(seen).toBeGreaterThan(20);
  });

  it('moves each input by 1 %, down where more would be more than all of it, whole numbers by one', () => {
    const levers = keys.flatMap((key) => leversOf(evaluation, key, 8));
    for (const { amount, movedTo, unit, name } of levers) {
      if (name === 'Open days per week') expect(Number(movedTo)).toBe(Number(amount) + 1);
      else expect([0.99, 1.01], name).toContain(Number((Number(movedTo) / Number(amount)).toFixed(6)));
      const isAll = unit === '%' && Number(amount) > 99;
      if (isAll) expect(Number(movedTo), name).toBeLessThan(100);
    }
    expect(levers.some(({ name, movedTo }) => name.startsWith('Yield') && Number(movedTo) <= 100)).toBe(true);
  });
});
