import { useSettings } from '../../book/use-book.js';
import { useView } from '../../engine/use-view.js';
import { Amount } from '../../figures/amount.js';
import { DetailHeading } from '../../figures/detail-heading.js';
import { GapList } from '../../figures/gap-list.js';
import { TERM_WORDS } from './shipment-words.js';

/** What the goods would cost at the seller under each delivery term, so that quotations under several terms can be compared. */
export function TermPrices({ shipmentId }: { readonly shipmentId: string }) {
  const terms = useView('termPrices', shipmentId);
  const { currency } = useSettings();
  if (terms === undefined || terms.length === 0) return null;
  const gaps = terms.flatMap(({ price }) => price.gaps);
  return (
    <section aria-label="Price under each delivery term" className="mt-5">
      <DetailHeading>Price under each delivery term</DetailHeading>
      <p className="text-soft">What the goods may cost at the seller so that they cost the same at the door.</p>
      <table className="table mt-1 w-auto">
        <thead>
          <tr>
            <th scope="col">Delivery term</th>
            {[`Price, ${currency}`, `More than now, ${currency}`, '%'].map((label) => (
              <th key={label} scope="col" className="text-right">
                {label}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {terms.map(({ term, isNow, price, more, morePercent }) => (
            <tr key={term} className={isNow ? 'font-semibold' : ''}>
              <th scope="row" className={isNow ? '' : 'font-normal'}>
                {TERM_WORDS[term]}
                {isNow && ' (now)'}
              </th>
              <td className="text-right">
                <Amount figure={price} digits={2} />
              </td>
              <td className="text-right">
                <Amount figure={more} digits={2} />
              </td>
              <td className="text-right">
                <Amount figure={morePercent} digits={1} />
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <GapList gaps={gaps.filter(({ sentence }, at) => gaps.findIndex((each) => each.sentence === sentence) === at)} />
    </section>
  );
}
