import type { StoredRow } from '@nuvar/book';
import { readNumber } from '@nuvar/core';
import { useState } from 'react';
import { useSettings } from '../../book/use-book.js';
import { TypedInput } from '../../controls/fields/typed-input.js';
import { useView } from '../../engine/use-view.js';
import { DetailHeading } from '../../figures/detail-heading.js';
import { FigureLine } from '../../figures/figure-line.js';
import { decimalSign, typedText } from '../../figures/format.js';

/** A change that is tried: of the price in percent, of the cost of a unit, of the fixed costs of a month. */
type Change = Readonly<Record<'price' | 'cost' | 'fixed', string>>;

/** How many units a month earn the same after the price, the cost or the fixed costs move. Nothing of it is kept. */
export function UnitsAfterChange({ point }: { readonly point: StoredRow<'pricePoint'> }) {
  const [change, setChange] = useState<Change>({ price: '-5', cost: '0', fixed: '0' });
  const { currency, locale } = useSettings();
  const view = useView('sameResult', `${point.id}@${change.price}@${change.cost}@${change.fixed}`);
  const field = (name: keyof Change, label: string, unit: string) => (
    <label className="flex items-baseline gap-2">
      {label}
      <span className="inline-block w-20">
        <TypedInput
          label={label}
          value={typedText(change[name], locale)}
          numeric
          commit={(text) => {
            const read = readNumber(text.replace('%', '').trim(), decimalSign(locale));
            if (read === null) return 'Type a number, with a minus for less.';
            if (name === 'price' && Number(read.value) <= -100) return 'A price can fall by less than 100 %.';
            setChange({ ...change, [name]: read.value });
            return null;
          }}
          keptAs={`${point.id}.change.${name}`}
        />
      </span>
      <span className="text-soft">{unit}</span>
    </label>
  );
  return (
    <section aria-label="Units that earn the same" className="mt-6">
      <DetailHeading>Units that earn the same after a change</DetailHeading>
      <div className="mt-1 flex flex-wrap gap-x-6 gap-y-1">
        {field('price', 'Price', '%')}
        {field('cost', 'Variable cost of a unit', currency)}
        {field('fixed', 'Fixed costs', `${currency} a month`)}
      </div>
      {view && (
        <table className="table mt-2">
          <tbody>
            <FigureLine
              label="Each sale then leaves"
              term="contribution"
              figure={view.contribution}
              unit={currency}
              digits={2}
            />
            <FigureLine label="Units that earn the same" figure={view.units} unit="a month" digits={0} />
            <FigureLine label="Change in units" figure={view.change} unit="%, exactly" digits={1} />
          </tbody>
        </table>
      )}
    </section>
  );
}
