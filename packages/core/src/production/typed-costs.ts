import type { RowOf } from '@nuvar/book';
import { type Figure, multiplied } from '../figure/index.js';
import { unit } from '../quantity/index.js';
import { HOUR, money } from '../sheet/index.js';
import { ELEMENT_LABELS } from './elements.js';
import { productionGap } from './gaps.js';
import { type CostRow, itemOn } from './taking.js';

/**
 * What one good unit of a quick product costs, as typed by element, and the labour hours in it. Gaps: no amount typed;
 * labour that is paid for but whose hours are not said.
 */
export const typedCosts: CostRow = {
  kind: 'typedCost',
  takings(sheet, productId, units) {
    return sheet.list(
      sheet.rowsOf('typedCost', 'productId', productId),
      units,
      () => null,
      (row) => {
        const perUnit = sheet.input('typedCost', row, 'hours', {
          name: 'Hours as typed',
          subject: units.productName,
          unit: HOUR.per(unit(units.outputUnit)),
          whenEmpty: (place) => productionGap('no-typed-hours', place, { subject: units.productName }),
        });
        const called = { name: 'Labour hours as typed', subject: units.productName };
        return {
          kind: 'typedCost',
          id: row.id,
          of: null,
          basis: 'good unit',
          quantity: units.good,
          hours: row.element === 'labour' ? multiplied(called, perUnit, units.good) : null,
        };
      },
    );
  },
  priced: (sheet, { id }) => sheet.row('typedCost', id) ?? null,
  cost(sheet, taking, priced, { outputUnit, productName: subject }) {
    const row = priced as RowOf<'typedCost'>;
    const name = ELEMENT_LABELS[row.element];
    const price: Figure = sheet.input('typedCost', row, 'amount', {
      name: `${name} as typed`,
      subject,
      unit: money(sheet).per(unit(outputUnit)),
      whenEmpty: (place) => productionGap('no-cost-amount', place, { cost: name.toLowerCase(), subject }),
    });
    const cost = sheet.multiplied({ name: `${name} per batch`, subject }, price, taking.quantity);
    return itemOn(row.element, taking, price, cost);
  },
};
