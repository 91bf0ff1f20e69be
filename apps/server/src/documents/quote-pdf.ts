import type { QuoteSheetView } from '@nuvar/core';
import type { Content } from 'pdfmake/interfaces.js';
import { letterhead } from './letterhead.js';
import { pdfOf } from './pdf.js';
import { amount, head, notComplete, table } from './tables.js';
import { writtenIn } from './written.js';

/** A quote as the customer gets it: letterhead, text, the options with their prices, until when it holds. No cost stands in it, and no tax where none is due. */
export function quotePdf(quote: QuoteSheetView): Promise<Buffer> {
  const { money, number, day } = writtenIn(quote.locale, quote.currency);
  const days = [
    ...(quote.quotedOn === null ? [] : [`Date: ${day(quote.quotedOn)}`]),
    ...(quote.validUntil === null ? [] : [`Valid until: ${day(quote.validUntil)}`]),
  ];
  const unit = (code: string) => (code === 'each' ? 'piece' : code);
  const isTaxed = quote.options.some(({ taxPercent }) => taxPercent !== '0');
  const content: Content[] = [
    ...letterhead(quote.letterhead),
    ...(quote.customer === '' ? [] : [{ text: quote.customer, margin: [0, 0, 0, 14] } as Content]),
    { text: `Quote: ${quote.name}`, style: 'title' },
    { text: days.join('   '), style: 'soft' },
    ...(quote.opening === '' ? [] : [{ text: quote.opening, margin: [0, 12, 0, 0] } as Content]),
    ...notComplete(quote.missing),
    { text: '', margin: [0, 8, 0, 0] },
    table(
      ['*', 'auto', 'auto', 'auto', 'auto', ...(isTaxed ? ['auto', 'auto'] : [])],
      [
        [
          ...[head(quote.options.length > 1 ? 'Option' : 'Job', false), head('Units'), head('Unit', false)],
          ...[
            head(`Price of one, ${quote.currency}`),
            head(isTaxed ? 'In all, before tax' : 'In all'),
            ...(isTaxed ? [head('Tax, %'), head('With tax')] : []),
          ],
        ],
        ...quote.options.map((option) => [
          option.note === '' ? option.name : `${option.name}\n${option.note}`,
          ...[amount(number(option.units, 3)), unit(option.unit), amount(money(option.perUnit))],
          amount(money(option.price), true),
          ...(isTaxed ? [amount(number(option.taxPercent, 2)), amount(money(option.paid), true)] : []),
        ]),
      ],
    ),
    ...(quote.closing === '' ? [] : [{ text: quote.closing, margin: [0, 16, 0, 0] } as Content]),
  ];
  return pdfOf({ info: { title: `Quote: ${quote.name}` }, content }, `Quote: ${quote.name}`);
}
