import type { RowOf } from '@nuvar/book';
import { type Figure, missing } from '../figure/index.js';
import { unit } from '../quantity/index.js';
import { bookCurrency, type Calculation, dayIn, money, type Sheet } from '../sheet/index.js';
import { purchasingGap } from './gaps.js';

/**
 * What one unit of a foreign currency is worth in the book's currency on a day: the newest rate on or before it. The id
 * is "USD@2026-03-31". Gap: no rate yet for that day.
 */
export const exchangeRate: Calculation<{ rate: Figure }> = {
  name: 'exchangeRate',
  meanings: { rate: 'What one unit of the foreign currency is worth in the currency of the book.' },
  work(sheet, id) {
    const [currency = '', day = ''] = id.split('@');
    const leaf = {
      name: 'Exchange rate',
      subject: `${currency} on ${dayIn(sheet, day)}`,
      unit: money(sheet).per(unit(currency)),
    };
    const row = newestRate(sheet, currency, day);
    if (row !== undefined)
      return {
        rate: sheet.input('exchangeRate', row, 'rate', {
          ...leaf,
          subject: `${currency} from ${dayIn(sheet, row.validFrom)}`,
        }),
      };
    const values = { currency, day: dayIn(sheet, day), bookCurrency: bookCurrency(sheet) };
    return {
      rate: missing(
        leaf,
        purchasingGap('no-exchange-rate', { kind: 'exchangeRate', id: 'new', field: 'rate' }, values),
      ),
    };
  },
};

function newestRate(sheet: Sheet, currency: string, day: string): RowOf<'exchangeRate'> | undefined {
  return sheet
    .all('exchangeRate')
    .filter((row) => row.currency === currency && row.validFrom <= day)
    .reduce<RowOf<'exchangeRate'> | undefined>(
      (newest, row) => (newest === undefined || row.validFrom >= newest.validFrom ? row : newest),
      undefined,
    );
}
