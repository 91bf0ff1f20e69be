import { fieldValue, type StoredRow } from '@nuvar/book';
import { useSettings } from '../../book/use-book.js';
import { typedText } from '../../figures/format.js';
import { useRowHistoryQuery } from '../../state/api.js';
import { useAppSelector } from '../../state/store.js';

/** What a price was before: each time that it was set, by whom, and when. */
export function PriceHistory({ point }: { readonly point: StoredRow<'pricePoint'> }) {
  const bookId = useAppSelector(({ book }) => book.id) ?? '';
  const revision = useAppSelector(({ book }) => book.revision);
  const { locale, currency } = useSettings();
  const { data: entries } = useRowHistoryQuery({ bookId, rowId: point.id, revision });
  const moment = new Intl.DateTimeFormat(locale, { dateStyle: 'medium', timeStyle: 'short' });
  const priceOf = (row: object | null) => (row === null ? null : (fieldValue(row, 'price') as string | null));
  const set = (entries ?? []).flatMap(({ revision: at, at: when, userName, writes }) =>
    writes.flatMap(({ before, after }) =>
      priceOf(before) === priceOf(after)
        ? []
        : [{ at, when, userName, before: priceOf(before), after: priceOf(after) }],
    ),
  );
  if (set.length === 0) return null;
  const say = (price: string | null) => (price === null ? 'none' : typedText(price, locale));
  return (
    <details className="mt-4">
      <summary className="link link-primary">History of this price</summary>
      <table className="table mt-1 max-w-xl">
        <thead>
          <tr>
            <th scope="col">When</th>
            <th scope="col">Who</th>
            <th scope="col" className="text-right">
              Before, {currency}
            </th>
            <th scope="col" className="text-right">
              After
            </th>
          </tr>
        </thead>
        <tbody>
          {set.map(({ at, when, userName, before, after }) => (
            <tr key={at}>
              <th scope="row" className="font-normal">
                {moment.format(new Date(when))}
              </th>
              <td>{userName}</td>
              <td className="text-right">{say(before)}</td>
              <td className="text-right">{say(after)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </details>
  );
}
