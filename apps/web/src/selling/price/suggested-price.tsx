import { Fragment } from 'react';
import { compareDecimalText, type PriceBasis, type StoredRow } from '@nuvar/book';
import { fixedDigits, minorDigits, type PriceView } from '@nuvar/core';
import { updateOf } from '../../book/operations.js';
import { useEdit, useMayEdit, useSettings } from '../../book/use-book.js';
import { RowField } from '../../controls/fields/row-field.js';
import { Amount } from '../../figures/amount.js';
import { written } from '../../figures/format.js';
import { useStyle } from '../../figures/use-style.js';

/** What a price is to reach, in the words of a choice. */
export const TARGET_WORDS: Readonly<Record<PriceBasis, string>> = {
  typed: 'none',
  margin: 'margin',
  'margin of the price': 'margin of the price alone',
  markup: 'markup',
  profit: 'profit per unit',
  'profit per hour': 'profit per hour',
  return: 'return on what is invested',
};

const TARGET_LABELS = {
  margin: 'Target margin',
  'margin of the price': 'Target margin',
  markup: 'Target markup',
  profit: 'Target profit',
  'profit per hour': 'Target profit',
  return: 'Target return',
} as const;

/** What the target of a price is a percentage of, or its unit. */
const targetUnit = (basis: keyof typeof TARGET_LABELS, currency: string): string =>
  ({
    margin: '% of the net revenue',
    'margin of the price': '% of price',
    markup: '% of cost',
    profit: `${currency} a unit`,
    'profit per hour': `${currency} an hour`,
    return: '% a year',
  })[basis];

/** The target of a price: by what it is measured, and how much it is. */
export function TargetFields({ point: { id, basis } }: { readonly point: StoredRow<'pricePoint'> }) {
  const { currency } = useSettings();
  return (
    <>
      <RowField kind="pricePoint" id={id} field="basis" label="Target" words={TARGET_WORDS} />
      {basis !== 'typed' && (
        <RowField
          kind="pricePoint"
          id={id}
          field="target"
          label={TARGET_LABELS[basis]}
          suffix={targetUnit(basis, currency)}
          placeholder="not set yet"
        />
      )}
      {basis === 'return' && (
        <RowField kind="pricePoint" id={id} field="invested" suffix={currency} placeholder="not stated yet" />
      )}
    </>
  );
}

interface SuggestedPriceProps {
  readonly point: StoredRow<'pricePoint'>;
  readonly view: PriceView;
}

/** The suggested price follows the cost; the set price changes only when the suggestion is taken. */
export function SuggestedPrice({ point, view }: SuggestedPriceProps) {
  const edit = useEdit();
  const mayEdit = useMayEdit();
  const { suggested, suggestedDiscounted } = view;
  const { currency, rounding } = useSettings();
  if (point.basis === 'typed') return null;
  const amount = suggested.amount;
  const price = amount === null ? null : fixedDigits(amount, minorDigits(currency), rounding);
  const isSet = price !== null && point.price !== null && compareDecimalText(price, point.price) === 0;
  return (
    <p className="mt-2.5 flex flex-wrap items-center gap-3 text-section font-normal">
      <span>Suggested price: </span>
      <Amount figure={suggested} digits={2} withUnit />
      {amount !== null && suggestedDiscounted.amount !== amount && (
        <span className="text-soft">
          after the discount <Amount figure={suggestedDiscounted} digits={2} withUnit />
        </span>
      )}
      {price !== null && !isSet && mayEdit && (
        <button type="button" className="btn" onClick={() => edit(updateOf('pricePoint', point, { price }))}>
          Set this price
        </button>
      )}
      {isSet && <span className="text-soft">This price is set.</span>}
      <Answers point={point} view={view} />
    </p>
  );
}

/** Where several ranges of prices reach the target, they are said; where none does, the best that can be reached. */
function Answers({ point: { basis }, view: { answers } }: SuggestedPriceProps) {
  const style = useStyle();
  const { currency } = useSettings();
  if (answers === null) return null;
  const say = (amount: string) => written(amount, minorDigits(currency), style);
  const { ranges, best } = answers;
  if (best !== null) {
    const isShare = basis === 'margin' || basis === 'margin of the price';
    return (
      <span className="w-full text-base">
        {isShare
          ? `The best that can be reached is ${written(best.result, 1, style)} %, at ${say(best.price)} ${currency}.`
          : `At best a unit falls short by ${say(best.result.replace('-', ''))} ${currency}, at ${say(best.price)} ${currency}.`}
      </span>
    );
  }
  const [first, ...others] = ranges;
  if (first === undefined || (others.length === 0 && first.upTo === null)) return null;
  const words = ranges.map(({ from, upTo }) =>
    upTo === null ? `from ${say(from)} on` : `from ${say(from)} to ${say(upTo)}`,
  );
  return (
    <span className="w-full text-base">
      The target is reached {words.join(', and again ')};{' '}
      {others.length > 0 ? 'between them the fees jump' : 'above that the fees jump'}.
      {others.length > 0 && (
        <>
          {' '}
          Exactly from{' '}
          {ranges.map(({ exact }, place) => (
            <Fragment key={exact.key}>
              {place > 0 && ', and again from '}
              <Amount figure={exact} digits={4} />
            </Fragment>
          ))}
          .
        </>
      )}
    </span>
  );
}
