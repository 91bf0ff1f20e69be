import type { StoredRow } from '@nuvar/book';
import { useState } from 'react';
import { type ClosingInput, readNumber } from '@nuvar/core';
import { usePlaceHref } from '../../book/place.js';
import { useRowsOf, useSettings } from '../../book/use-book.js';
import { Fields } from '../../controls/fields/fields.js';
import { RowField } from '../../controls/fields/row-field.js';
import { useView } from '../../engine/use-view.js';
import { Amount } from '../../figures/amount.js';
import { FigureLine } from '../../figures/figure-line.js';
import { GapList } from '../../figures/gap-list.js';
import { decimalSign, typedText } from '../../figures/format.js';
import { Link } from 'react-router';
import { TargetFields } from './suggested-price.js';

/** From what customers pay at most to what the product may cost, and which inputs would close the gap. */
export function TargetCost({ point }: { readonly point: StoredRow<'pricePoint'> }) {
  const view = useView('targetCost', point.id);
  const { currency, locale } = useSettings();
  const hrefOf = usePlaceHref();
  return (
    <>
      <Fields inTwo className="max-w-3xl">
        <RowField
          kind="pricePoint"
          id={point.id}
          field="marketPrice"
          suffix={`${currency} ${point.taxInside ? 'incl. tax' : 'before tax'}`}
          placeholder="not stated yet"
        />
        <TargetFields point={point} />
      </Fields>
      {view && point.marketPrice === null && <GapList gaps={view.allowed.gaps} />}
      {view && point.marketPrice !== null && (
        <>
          <table className="table mt-3 max-w-2xl">
            <tbody>
              <FigureLine
                label="Left of that price after selling costs"
                figure={view.afterFees}
                unit={currency}
                digits={2}
              />
              <FigureLine label="Profit wanted" figure={view.wanted} unit={currency} digits={2} />
              <FigureLine label="It may cost" term="allowed cost" figure={view.allowed} unit={currency} digits={2} />
              <FigureLine label="It costs today" term="full cost" figure={view.today} unit={currency} digits={2} />
              <FigureLine label="Too much by" figure={view.gap} unit={currency} digits={2} />
            </tbody>
          </table>
          {view.closing.length === 0 && view.gap.amount !== null && !view.gap.amount.startsWith('-') && (
            <p className="mt-3 text-soft">No single input closes the gap by itself.</p>
          )}
          {view.closing.length > 0 && (
            <>
              <h3 className="mt-4 text-section">What would close the gap, each alone</h3>
              <ul className="mt-1 grid gap-1">
                {view.closing.map((input) => (
                  <li key={`${input.subject}-${input.name}`}>
                    <ClosingLink input={input} hrefOf={hrefOf} /> {typedText(input.neededAmount, locale)} in place of{' '}
                    <Amount figure={input} withUnit />
                  </li>
                ))}
              </ul>
            </>
          )}
        </>
      )}
      <ChainOfSellers point={point} />
    </>
  );
}

interface ClosingLinkProps {
  readonly input: ClosingInput;
  readonly hrefOf: ReturnType<typeof usePlaceHref>;
}

function ClosingLink({ input: { name, subject, place }, hrefOf }: ClosingLinkProps) {
  const words = subject === '' ? name : `${name}, ${subject}`;
  return (
    <>
      <Link className="link" to={hrefOf(place)}>
        {words}
      </Link>
      :
    </>
  );
}

/** Where others sell on: what stands on the shelf, and what is left for the maker of a shelf price. */
function ChainOfSellers({ point }: { readonly point: StoredRow<'pricePoint'> }) {
  const steps = useRowsOf('chainStep', 'channelId', point.channelId);
  const [typed, type] = useState('');
  const { locale, currency } = useSettings();
  const shelf = readNumber(typed, decimalSign(locale))?.value;
  const view = useView('chain', shelf === undefined ? point.id : `${point.id}@${shelf}`);
  if (steps.length === 0 || view === undefined) return null;
  return (
    <section aria-label="Sellers after you">
      <h3 className="mt-5 text-section">Sellers after you</h3>
      <table className="table max-w-xl">
        <tbody>
          {view.steps.map(({ id, name, asked }) => (
            <FigureLine key={id} label={`${name} asks`} figure={asked} unit={`${currency} before tax`} digits={2} />
          ))}
          <FigureLine label="On the shelf" figure={view.shelf} unit={`${currency} with tax`} digits={2} />
        </tbody>
      </table>
      <p className="mt-2 flex flex-wrap items-center gap-2">
        <label className="flex items-center gap-2">
          Of a shelf price of
          <input
            className="input w-24 text-right"
            inputMode="decimal"
            aria-label={`Shelf price tried, ${currency}`}
            aria-invalid={typed !== '' && shelf === undefined}
            value={typed}
            onChange={(event) => type(event.target.value)}
          />
        </label>
        {view.back === null ? (
          <span className="text-soft">type one to see what is left for you</span>
        ) : (
          <>
            <Amount figure={view.back} digits={2} /> {currency} before tax is left for you
          </>
        )}
      </p>
    </section>
  );
}
