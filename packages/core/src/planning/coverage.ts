import { difference, type Figure, missing, quotient, shareOf, sum } from '../figure/index.js';
import { openDays } from '../overhead/index.js';
import { isPlannedAt } from '../production/index.js';
import { priceGap } from '../price/index.js';
import { salesPerMonth } from '../selling/index.js';
import { type Calculation, money, MONTH, WHOLE_BOOK } from '../sheet/index.js';
import { periodCosts } from './period-costs.js';

/** How much of the fixed costs the planned sales cover at today's prices. */
export interface Coverage {
  readonly contributionPerMonth: Figure;
  readonly contributionPerOpenDay: Figure;
  readonly resultPerMonth: Figure;
  readonly covered: Figure;
}

/**
 * The contribution that the planned units of all products with a price bring at today's prices, each counted once, against
 * the fixed costs of a month and the period fees of channels. Products without a price are left out; the loose ends name them.
 */
export const coverage: Calculation<Coverage> = {
  name: 'coverage',
  meanings: {
    contributionPerMonth: "What the planned units of all products leave in a month at today's prices (contribution).",
    contributionPerOpenDay: "What the planned units leave on each open day at today's prices.",
    resultPerMonth:
      'What a month leaves after the fixed costs and the period fees of channels (profit, or loss below zero).',
    covered: 'The share of the fixed costs that the planned sales cover, in percent.',
  },
  work(sheet) {
    const points = sheet.all('pricePoint').filter((point) => point.price !== null && isPlannedAt(sheet, point));
    const { total } = sheet.read(periodCosts, WHOLE_BOOK);
    const perMonth = money(sheet).per(MONTH);
    const none = priceGap('no-selling-price', null, { subject: 'any product' });
    const contributionPerMonth =
      points.length === 0
        ? missing({ name: 'Contribution per month', unit: perMonth }, none)
        : sum(
            'Contribution per month',
            perMonth,
            points.map((point) => sheet.read(salesPerMonth, point.id).contributionPerMonth),
          );
    return {
      contributionPerMonth,
      contributionPerOpenDay: quotient(
        'Contribution per open day',
        contributionPerMonth,
        sheet.read(openDays, WHOLE_BOOK).perMonth,
      ),
      resultPerMonth: difference('Result per month', contributionPerMonth, total),
      covered: shareOf('Share of the fixed costs that is covered', contributionPerMonth, total),
    };
  },
};
