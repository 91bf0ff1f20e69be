import { fieldsOf } from '@nuvar/book';
import { expect, it } from 'vitest';
import { slopes } from '../figure/index.js';
import { decimal } from '../number/index.js';
import { demoRows, evaluated } from '../testing/evaluated.js';

/** So small that what is curved is straight, and so large that 34 digits tell it. */
const STEP = '0.00000001';

it('every slope in the demo book is what a small step of its input really does', () => {
  const rows = demoRows();
  const evaluation = evaluated(rows);
  const keys = [
    ...rows.all('pricePoint').map(({ id }) => `pricePoint/${id}/profit`),
    ...rows.all('pricePoint').map(({ id }) => `priceRatios/${id}/margin`),
    ...rows.all('material').map(({ id }) => `materialPrice/${id}/perBaseUnit`),
    'coverage/book/resultPerMonth',
  ];
  let checked = 0;
  for (const key of keys) {
    const figure = evaluation.figure(key);
    if (figure?.amount == null || figure.gaps.length > 0) continue;
    const fork = evaluation.fork([]);
    for (const { input, slope } of slopes(figure)) {
      const { place } = input;
      const spec = place && fieldsOf(place.kind).find(({ name }) => name === place.field);
      if (place === null || spec?.type !== 'decimal' || input.amount === null) continue;
      // What is at its most can only be lowered.
      const by = spec.bounds?.to !== undefined && input.amount.eq(spec.bounds.to) ? `-${STEP}` : STEP;
      fork.lay([{ ...place, how: 'add', by }]);
      const moved = fork.figure(key)?.amount?.minus(figure.amount).div(by) ?? decimal('NaN');
      const off = moved.minus(slope).abs();
      expect(off.lte(slope.abs().mul('0.0001').plus('0.0001')), `${key} by ${input.name} of ${input.subject}`).toBe(
        true,
      );
      checked += 1;
    }
    fork.end();
  }
  expect(checked).toBeGreaterThan(300);
}, 300_000);
