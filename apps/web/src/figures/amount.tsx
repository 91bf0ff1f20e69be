import type { FigureView } from '@nuvar/core';
import { figureOpened } from '../state/panel-slice.js';
import { useAppDispatch } from '../state/store.js';
import { digitsOf, spareDigits, unitWords, written } from './format.js';
import { useStyle } from './use-style.js';
import { useChanged } from './use-changed.js';

interface AmountProps {
  readonly figure: FigureView | undefined;
  /** Digits after the point, where a column wants the same for all. */
  readonly digits?: number;
  /** Writes the unit behind the figure, where no header says it. */
  readonly withUnit?: boolean;
  readonly className?: string;
  /** Says in whole sentences what is missing, where there is room for them. */
  readonly inWords?: boolean;
}

/**
 * A computed figure: it looks like print and opens its working. Where it is missing, the sentence that says why stands in
 * its place; where it is half there, it says so.
 */
export function Amount({ figure, digits, withUnit = false, className = '', inWords = false }: AmountProps) {
  const dispatch = useAppDispatch();
  const style = useStyle();
  const changed = useChanged(figure?.amount);
  if (figure === undefined) return <span className={`figure ${className}`}> </span>;
  const open = figure.key === '' ? undefined : () => dispatch(figureOpened(figure.key));
  const sentence = figure.gaps.map((gap) => gap.sentence).join('; ');
  // Of a sum of which nothing is known yet, zero would say too much.
  const before = <Before figure={figure} digits={digits} />;
  if (figure.amount === null || (figure.partial && Number(figure.amount) === 0)) {
    return (
      <>
        {before}
        <button type="button" className={`figure figure-gap ${className}`} onClick={open} title={sentence}>
          {gapWords(figure, inWords)}
        </button>
      </>
    );
  }
  const wanted = digits ?? digitsOf(figure.amount, figure.unit, style);
  const spare = spareDigits(figure.amount, wanted, figure.unit, style);
  const text = written(figure.amount, wanted - spare, style);
  const unit = withUnit ? unitWords(figure.unit) : '';
  return (
    <>
      {before}
      <button
        type="button"
        className={`figure ${text.startsWith('−') ? 'figure-negative' : ''} ${changed ? 'figure-changed' : ''} ${className}`}
        onClick={open}
        // The room of the digits that it goes without: decimal signs stay below each other.
        style={spare > 0 && digits !== undefined && !withUnit ? { paddingRight: `${spare}ch` } : undefined}
        title={figure.partial ? `Not all of it yet: ${sentence}` : `${figure.name}: open its working`}
      >
        {text}
        {figure.partial && <span className="figure-partial"> + ?</span>}
        {unit !== '' && <span className="figure-unit"> {unit}</span>}
      </button>
    </>
  );
}

/** While a what-if is shown: what the figure is in the book, small beside it, where that is another. */
function Before({ figure, digits }: { readonly figure: FigureView; readonly digits: number | undefined }) {
  const style = useStyle();
  const { before, unit } = figure;
  if (before === undefined) return null;
  const text = before === null ? 'not yet' : written(before, digits ?? digitsOf(before, unit, style), style);
  return (
    <s className="mx-[0.35em] text-[0.72em] font-normal text-what-if decoration-1 in-[.text-lead]:text-[0.5em] in-[.text-lead-large]:text-[0.5em]">
      <span className="sr-only">in the book </span>
      {text}
    </s>
  );
}

const MOST_SAID = 2;

/** What stands in place of a missing figure: a result in words as it is, what is asked for in short where room is short. */
function gapWords({ gaps }: FigureView, inWords: boolean): string {
  const stated = gaps.find((gap) => gap.stated);
  if (stated !== undefined) return stated.sentence;
  if (!inWords || gaps.length === 0) return 'not yet';
  const said = gaps.slice(0, MOST_SAID).map((gap) => gap.sentence);
  return gaps.length > MOST_SAID ? `${said.join('; ')}; and ${gaps.length - MOST_SAID} more` : said.join('; ');
}
