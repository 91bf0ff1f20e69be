import { type Figure, gap, missing, sum } from '../figure/index.js';
import { unit } from '../quantity/index.js';
import { type Calculation, HOUR, money } from '../sheet/index.js';
import { byElement, type Element, ELEMENT_LABELS } from './elements.js';

/**
 * What one good unit of a quick product costs by element, as typed, and the labour hours in it. Gaps: nothing typed at
 * all; labour that is paid for but whose hours are not said.
 */
export const typedCosts: Calculation<Readonly<Record<Element | 'hours', Figure>>> = {
  name: 'typedCosts',
  meanings: { hours: 'Paid labour hours in one unit, as typed.' },
  work(sheet, productId) {
    const row = sheet.row('product', productId);
    const subject = row?.name ?? 'this product';
    const output = unit(row?.outputUnit ?? 'each');
    const perUnit = money(sheet).per(output);
    const typed = sheet.rowsOf('typedCost', 'productId', productId);
    const amounts = byElement((element) => {
      const parts = typed
        .filter((each) => each.element === element)
        .map((each) =>
          sheet.input('typedCost', each, 'amount', {
            name: `${ELEMENT_LABELS[element]} as typed`,
            subject,
            unit: perUnit,
            whenEmpty: (place) =>
              gap('no-cost-amount', place, { cost: ELEMENT_LABELS[element].toLowerCase(), subject }),
          }),
        );
      return sum({ name: ELEMENT_LABELS[element], subject }, perUnit, parts);
    });
    const hours = typed
      .filter((each) => each.element === 'labour')
      .map((each) =>
        sheet.input('typedCost', each, 'hours', {
          name: 'Hours as typed',
          subject,
          unit: HOUR.per(output),
          whenEmpty: (place) => gap('no-typed-hours', place, { subject }),
        }),
      );
    const place = { kind: 'product', id: productId, field: 'bill' } as const;
    return {
      ...amounts,
      ...(typed.length === 0 && {
        materials: missing({ name: 'Typed totals', subject, unit: perUnit }, gap('nothing-in-it', place, { subject })),
      }),
      hours: sum({ name: 'Labour hours as typed', subject }, HOUR.per(output), hours),
    };
  },
};
