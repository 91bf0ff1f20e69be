import type { StoredRow } from '@nuvar/book';
import { type MovingInput, readNumber } from '@nuvar/core';
import { Link } from 'react-router';
import { usePlaceHref } from '../../book/place.js';
import { useMayEdit, useSettings } from '../../book/use-book.js';
import { TypedInput } from '../../controls/fields/typed-input.js';
import { useView } from '../../engine/use-view.js';
import { Amount } from '../../figures/amount.js';
import { Empty } from '../../figures/empty.js';
import { decimalSign, typedText, unitWords, written } from '../../figures/format.js';
import { useStyle } from '../../figures/use-style.js';
import { useWriteRange } from './input-range.js';
import { UnitsAfterChange } from './units-after-change.js';

/** Which inputs move the profit of a price most, each alone, as bars to both sides of today's profit; pressing one leads to it. */
export function WhatMovesIt({ point }: { readonly point: StoredRow<'pricePoint'> }) {
  const view = useView('sensitivity', point.id);
  if (view === undefined) return null;
  const { inputs, profit } = view;
  if (profit.amount === null || inputs.length === 0)
    return <Empty>Nothing moves it yet: set a price, and say what the product is made of.</Empty>;
  const ends = inputs.flatMap(({ low, high }) => [Number(low.result), Number(high.result)]);
  const [least, most] = [Math.min(...ends), Math.max(...ends)];
  return (
    <>
      <p>
        The profit is <Amount figure={profit} digits={2} withUnit />. Each input alone is moved to the ends of its
        range; the others stay as they are.
      </p>
      <div className="overflow-x-auto">
        <table className="table mt-2">
          <thead>
            <tr>
              <th scope="col">Input</th>
              <th scope="col" className="text-right">
                Lower by, %
              </th>
              <th scope="col" className="text-right">
                at
              </th>
              <th scope="col" className="w-[38%] text-center">
                Profit
              </th>
              <th scope="col">at</th>
              <th scope="col">Higher by, %</th>
            </tr>
          </thead>
          <tbody>
            {inputs.map((input) => (
              <InputRow
                key={input.input}
                input={input}
                pointId={point.id}
                today={Number(profit.amount)}
                least={least}
                most={most}
              />
            ))}
          </tbody>
        </table>
      </div>
      <UnitsAfterChange point={point} />
    </>
  );
}

interface InputRowProps {
  readonly input: MovingInput;
  readonly pointId: string;
  readonly today: number;
  readonly least: number;
  readonly most: number;
}

function InputRow({ input, pointId, today, least, most }: InputRowProps) {
  const hrefOf = usePlaceHref();
  const style = useStyle();
  const { locale } = useSettings();
  const words = input.subject === '' ? input.name : `${input.name}, ${input.subject}`;
  const at = (result: string) => ((Number(result) - least) / (most - least || 1)) * 100;
  const [low, high, now] = [at(input.low.result), at(input.high.result), at(String(today))];
  const [from, to] = [Math.min(low, high), Math.max(low, high)];
  const says = `from ${written(input.low.result, 2, style)} to ${written(input.high.result, 2, style)}`;
  return (
    <tr>
      <th scope="row" className="font-normal">
        <Link className="link" to={hrefOf(input.place)}>
          {words}
        </Link>
      </th>
      <td className="text-right">
        <RangeEnd input={input} pointId={pointId} field="lowPercent" />
      </td>
      <td className="text-right whitespace-nowrap text-soft" title={unitWords(input.unit)}>
        {typedText(input.low.amount, locale)}
      </td>
      <td>
        <Link
          to={hrefOf(input.place)}
          className="relative block h-4"
          aria-label={`${words}: profit ${says}`}
          title={`Profit ${says}`}
        >
          <span
            className="absolute inset-y-0 border border-base-content bg-base-300"
            style={{ left: `${from}%`, width: `${Math.max(0.3, to - from)}%` }}
          />
          <span className="absolute -inset-y-[3px] w-0.5 bg-base-content" style={{ left: `${now}%` }} />
        </Link>
        <span className="flex justify-between text-note text-soft" aria-hidden="true">
          <span>{written(low <= high ? input.low.result : input.high.result, 2, style)}</span>
          <span>{written(low <= high ? input.high.result : input.low.result, 2, style)}</span>
        </span>
      </td>
      <td className="whitespace-nowrap text-soft">{typedText(input.high.amount, locale)}</td>
      <td>
        <RangeEnd input={input} pointId={pointId} field="highPercent" />
      </td>
    </tr>
  );
}

interface RangeEndProps {
  readonly input: Pick<MovingInput, 'input' | 'low' | 'high'>;
  readonly pointId: string;
  readonly field: 'lowPercent' | 'highPercent';
}

/** One end of the range of an input, in percent of what it is: typed in place of the usual one, and kept in the book. */
function RangeEnd({ input: { input, low, high }, pointId, field }: RangeEndProps) {
  const write = useWriteRange(pointId, input, { lowPercent: low.percent, highPercent: high.percent });
  const mayEdit = useMayEdit();
  const { locale } = useSettings();
  const take = (text: string): string | null => {
    const read = readNumber(text.replace('%', '').trim(), decimalSign(locale));
    if (read === null) return 'Type a number of percent, such as 10.';
    const value =
      field === 'lowPercent' && !read.value.startsWith('-') && read.value !== '0' ? `-${read.value}` : read.value;
    return write({ [field]: value });
  };
  const percent = field === 'lowPercent' ? low.percent.replace('-', '') : high.percent;
  return (
    <span className="inline-block w-14">
      <TypedInput
        label={field === 'lowPercent' ? 'Lower by, %' : 'Higher by, %'}
        value={typedText(percent, locale)}
        numeric
        readOnly={!mayEdit}
        commit={take}
        keptAs={`${pointId}.${input}.${field}`}
      />
    </span>
  );
}
