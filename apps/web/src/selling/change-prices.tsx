import { ENDING_DIRECTIONS, PRICE_ENDINGS, isDecimalText, isKind, type StoredRow } from '@nuvar/book';
import { readNumber, type RepricedBoard, type Repricing } from '@nuvar/core';
import { useEffect, useMemo, useState } from 'react';
import { model } from '../book/model.js';
import { updateOf } from '../book/operations.js';
import { useEdit, useSettings } from '../book/use-book.js';
import { Dialog } from '../controls/dialogs/dialog.js';
import { engine } from '../engine/engine.js';
import { useFirstRows } from '../figures/first-rows.js';
import { counted, decimalSign, typedText, written } from '../figures/format.js';
import { useStyle } from '../figures/use-style.js';
import { noticed } from '../state/notices-slice.js';
import { useAppDispatch } from '../state/store.js';

interface ChangePricesProps {
  readonly products: readonly StoredRow<'product'>[];
  readonly channels: readonly StoredRow<'channel'>[];
  readonly onClose: () => void;
}

const ENDING_WORDS: Readonly<Record<string, string>> = {
  none: 'none',
  'nearest 0.05': 'multiples of 0.05',
  'nearest 0.10': 'multiples of 0.10',
  'nearest 0.25': 'multiples of 0.25',
};

/** Changes many prices at once: to their targets, by a percentage, to an ending. What becomes of each and of the month is seen first. */
export function ChangePrices({ products, channels, onClose }: ChangePricesProps) {
  const { locale } = useSettings();
  const [channelId, setChannel] = useState('');
  const [toTarget, setToTarget] = useState(false);
  const [typed, type] = useState('');
  const [ending, setEnding] = useState<Repricing['ending']>('none');
  const [direction, setDirection] = useState<Repricing['direction']>('nearest');
  const percent = readNumber(typed.replace('%', '').trim() || '0', decimalSign(locale))?.value ?? null;
  const pointIds = useMemo(
    () =>
      products.flatMap(({ id }) =>
        model.rows
          .rowsWith('pricePoint', 'productId', id)
          .filter((point) => point.price !== null && (channelId === '' || point.channelId === channelId))
          .map((point) => point.id),
      ),
    [products, channelId],
  );
  const how = useMemo((): Repricing | null => {
    const isNothing = !toTarget && (percent === null || Number(percent) === 0) && ending === 'none';
    return percent === null || !isDecimalText(percent) || isNothing ? null : { toTarget, percent, ending, direction };
  }, [toTarget, percent, ending, direction]);
  const board = useRepriced(how, pointIds);
  const changed = board?.prices.filter(({ after }) => after !== null) ?? [];
  const apply = useApply(onClose);
  return (
    <Dialog title="Change prices" onClose={onClose} wide>
      <p className="text-soft">
        Changes the prices of the {counted(products.length, 'product', locale)} in the board; filter it first to change
        fewer.
      </p>
      <div className="my-3 grid gap-2 desk:grid-cols-2">
        <label className="flex items-center gap-2">
          In
          <select
            className="select"
            aria-label="In channel"
            value={channelId}
            onChange={(event) => setChannel(event.target.value)}
          >
            <option value="">all channels</option>
            {channels.map(({ id, name }) => (
              <option key={id} value={id}>
                {name}
              </option>
            ))}
          </select>
        </label>
        <label className="flex items-center gap-2">
          <input
            type="checkbox"
            className="checkbox checkbox-xs"
            checked={toTarget}
            onChange={(event) => setToTarget(event.target.checked)}
          />
          To the price that reaches the target
        </label>
        <label className="flex items-center gap-2">
          By
          <input
            className="input w-24 text-right"
            inputMode="decimal"
            aria-label="By percent"
            aria-invalid={percent === null}
            placeholder="+5"
            value={typed}
            onChange={(event) => type(event.target.value)}
          />
          %
        </label>
        <span className="flex items-center gap-2">
          <label className="flex items-center gap-2">
            Ending
            <select
              className="select w-40"
              aria-label="Price ending"
              value={ending}
              onChange={(event) => setEnding(event.target.value as Repricing['ending'])}
            >
              {PRICE_ENDINGS.map((each) => (
                <option key={each} value={each}>
                  {ENDING_WORDS[each] ?? typedText(each, locale)}
                </option>
              ))}
            </select>
          </label>
          {ending !== 'none' && (
            <select
              className="select w-28"
              aria-label="Ending goes"
              value={direction}
              onChange={(event) => setDirection(event.target.value as Repricing['direction'])}
            >
              {ENDING_DIRECTIONS.map((each) => (
                <option key={each}>{each}</option>
              ))}
            </select>
          )}
        </span>
      </div>
      {percent === null && <p className="text-error">Type a percentage such as 5 or −2.5.</p>}
      {board !== null && <Preview board={board} />}
      <div className="modal-action">
        <button type="button" className="btn" onClick={onClose}>
          Cancel
        </button>
        <button
          type="button"
          className="btn btn-primary"
          disabled={changed.length === 0}
          onClick={() => apply(changed)}
        >
          Change {counted(changed.length, 'price', locale)}
        </button>
      </div>
    </Dialog>
  );
}

/** What a change would do, worked out anew while it is put together; null before anything is asked for. */
function useRepriced(how: Repricing | null, pointIds: readonly string[]): RepricedBoard | null {
  const [board, setBoard] = useState<RepricedBoard | null>(null);
  const dispatch = useAppDispatch();
  useEffect(() => {
    let left = false;
    const asked = how === null ? Promise.resolve(null) : engine.repriced(how, pointIds);
    asked.then(
      (found) => !left && setBoard(found),
      (error: Error) => !left && dispatch(noticed({ sentence: error.message, tone: 'problem' })),
    );
    return () => {
      left = true;
    };
  }, [how, pointIds, dispatch]);
  return board;
}

/** Writes all new prices as one change, each where it is typed: the set price, or the dated one that holds. */
function useApply(onClose: () => void) {
  const edit = useEdit();
  const dispatch = useAppDispatch();
  const { locale } = useSettings();
  return (changed: RepricedBoard['prices']) => {
    const operations = changed.flatMap(({ place, after }) => {
      if (place === null || !isKind(place.kind)) return [];
      const row = model.rows.row(place.kind, place.id);
      return row === undefined ? [] : updateOf(place.kind, row, { [place.field]: after });
    });
    const problem = edit(operations)[0];
    if (problem !== undefined) {
      dispatch(noticed({ sentence: `${problem.sentence} Nothing was changed.`, tone: 'problem' }));
      return;
    }
    dispatch(noticed({ sentence: `${counted(changed.length, 'price', locale)} changed. One undo reverses them all.` }));
    onClose();
  };
}

function Preview({ board }: { readonly board: RepricedBoard }) {
  const style = useStyle();
  const { currency } = useSettings();
  const { rows, more } = useFirstRows(board.prices);
  const say = (amount: string | null) => (amount === null ? '' : written(amount, 2, style));
  return (
    <>
      <p>
        The planned month leaves {say(board.monthAfter)} {currency} in place of {say(board.monthBefore)}, at the same
        units sold.
      </p>
      <div className="max-h-72 overflow-auto">
        <table className="table">
          <thead>
            <tr>
              <th scope="col">Product</th>
              <th scope="col">Channel</th>
              {['Now', 'Then', 'A month now', 'Then'].map((label, index) => (
                <th key={`${label}-${index}`} scope="col" className="text-right">
                  {label}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {rows.map((each) => (
              <tr key={each.pointId} className={each.after === null ? 'text-soft' : ''}>
                <th scope="row">{each.product}</th>
                <td>{each.channel}</td>
                <td className="text-right">{say(each.before)}</td>
                <td className="text-right">{each.after === null ? each.reason : say(each.after)}</td>
                <td className="text-right">{say(each.monthBefore)}</td>
                <td className="text-right">{each.after === null ? '' : say(each.monthAfter)}</td>
              </tr>
            ))}
          </tbody>
        </table>
        {more}
      </div>
    </>
  );
}
