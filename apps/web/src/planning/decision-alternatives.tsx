import type { StoredRow } from '@nuvar/book';
import { type DecisionView, listed } from '@nuvar/core';
import { Link } from 'react-router';
import { useAddress } from '../book/place.js';
import { useRow, useSettings } from '../book/use-book.js';
import { Amount } from '../figures/amount.js';
import { DetailHeading } from '../figures/detail-heading.js';
import { useStyle } from '../figures/use-style.js';
import { moneyText } from './mix/words.js';

type Decision = StoredRow<'decision'>;

interface BesideProps {
  readonly row: Decision;
  readonly view: DecisionView;
}

/** What else needs the product: a decision to drop it, or to make no more of it, is theirs too. */
export function NeededIn({ row: { type, productId }, view: { neededIn } }: BesideProps) {
  const product = useRow('product', productId);
  if (neededIn.length === 0 || type === 'special order') return null;
  return (
    <p className="mt-2">
      {product?.name} is needed in {listed(neededIn)}
      {type === 'drop'
        ? ': for these it has still to be made or bought in. Only its own sales are dropped here.'
        : '. What goes into them is counted in the units.'}
    </p>
  );
}

const TYPE_WORDS: Readonly<Record<Decision['type'], string>> = {
  'buy in': 'Buy in',
  'special order': 'Special order, once',
  drop: 'Drop',
};

/** All decisions on the same product side by side, with what leaving everything as it is comes to. */
export function Alternatives({ row, view: { alternatives } }: BesideProps) {
  const { currency } = useSettings();
  const style = useStyle();
  const address = useAddress();
  const product = useRow('product', row.productId);
  const mark = (isMost: boolean) => (isMost ? 'leaves most' : '');
  return (
    <div className="mt-5">
      <DetailHeading>Alternatives for {product?.name}</DetailHeading>
      <table className="table mt-1 w-auto" aria-label={`Alternatives for ${product?.name ?? ''}`}>
        <thead>
          <tr>
            <th scope="col">Alternative</th>
            <th scope="col">Type</th>
            <th scope="col" className="text-right">
              Units
            </th>
            <th scope="col" className="text-right">
              {currency}
            </th>
            <th />
          </tr>
        </thead>
        <tbody>
          <tr>
            <th scope="row" className="font-normal">
              Leave it as it is
            </th>
            <td />
            <td />
            <td className="figure text-right">{moneyText(0, style)}</td>
            <td>
              {mark(alternatives.every(({ leavesMost, advantage }) => !leavesMost && advantage.gaps.length === 0))}
            </td>
          </tr>
          {alternatives.map(({ id, name, type, units, advantage, leavesMost }) => (
            <tr key={id} aria-current={id === row.id}>
              <th scope="row" className={id === row.id ? 'font-semibold' : 'font-normal'}>
                <Link className="link" to={address('decisions', id)}>
                  {name}
                </Link>
              </th>
              <td>{TYPE_WORDS[type]}</td>
              <td className="text-right">
                <Amount figure={units} digits={1} />
              </td>
              <td className="text-right">
                <Amount figure={advantage} digits={2} />
              </td>
              <td>{mark(leavesMost)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="text-note text-soft">
        A month, but for special orders, which come once. Each is beside leaving everything as it is.
      </p>
    </div>
  );
}
