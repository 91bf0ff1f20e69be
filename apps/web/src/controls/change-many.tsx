import type { Operation } from '@nuvar/book';
import { adjusted, readAdjustment } from '@nuvar/core';
import { useMemo, useState } from 'react';
import { noticed } from '../state/notices-slice.js';
import { useAppDispatch } from '../state/store.js';
import { useEdit, useSettings } from '../book/use-book.js';
import { decimalSign, typedText } from '../figures/format.js';
import { Dialog } from './dialog.js';
import { isInput, type Column, type GridWriter, type InputColumn } from './grid-model.js';

interface ChangeManyProps<Row extends { readonly id: string }, Patch extends object> {
  readonly title: string;
  readonly rows: readonly Row[];
  readonly columns: readonly Column<Row, Patch>[];
  readonly writer: GridWriter<Row, Patch>;
  readonly nameOf: (row: Row) => string;
}

/** Changes one column of all rows that the grid shows, as one change: to a value, by a percentage, a factor or an amount. */
export function ChangeMany<Row extends { readonly id: string }, Patch extends object>(
  props: ChangeManyProps<Row, Patch>,
) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <button type="button" className="quiet-button" onClick={() => setOpen(true)}>
        Change many
      </button>
      {open && <ChangeManyDialog {...props} onClose={() => setOpen(false)} />}
    </>
  );
}

const MOST_SHOWN = 100;

interface Planned {
  readonly id: string;
  readonly name: string;
  readonly before: string;
  readonly after: string;
  readonly refused: boolean;
  readonly operations: readonly Operation[];
}

/** What is changed in many rows at once is mostly a price. */
function mostLikely(inputs: readonly { readonly id: string; readonly type: string }[]): string {
  const money = inputs.find(({ id }) => id === 'price' || id === 'amount');
  return (money ?? inputs.find(({ type }) => type === 'number') ?? inputs[0])?.id ?? '';
}

function ChangeManyDialog<Row extends { readonly id: string }, Patch extends object>({
  title,
  rows,
  columns,
  writer,
  nameOf,
  onClose,
}: ChangeManyProps<Row, Patch> & { readonly onClose: () => void }) {
  const inputs = useMemo(() => columns.filter(isInput), [columns]);
  const [columnId, setColumnId] = useState(mostLikely(inputs));
  const [typed, setTyped] = useState('');
  const [problem, setProblem] = useState<string | null>(null);
  const { locale } = useSettings();
  const edit = useEdit();
  const dispatch = useAppDispatch();
  const column = inputs.find(({ id }) => id === columnId);
  const planned = useMemo(
    () => (column === undefined || typed.trim() === '' ? [] : plan(rows, column, typed, writer, nameOf, locale)),
    [rows, column, typed, writer, nameOf, locale],
  );
  const good = planned.filter(({ refused, operations }) => !refused && operations.length > 0);
  const refused = planned.filter((each) => each.refused);
  const apply = () => {
    const found = edit(good.flatMap(({ operations }) => operations))[0];
    if (found !== undefined) {
      setProblem(`${found.sentence} Nothing was changed.`);
      return;
    }
    dispatch(noticed({ sentence: `${title}: ${good.length} rows changed. One undo takes them all back.` }));
    onClose();
  };
  return (
    <Dialog title={`Change many: ${title}`} onClose={onClose} wide>
      <p className="text-soft">
        For all {rows.length} rows that the list shows; filter it first to change fewer. Numbers may be typed as +5%,
        -2%, x1.1, +0.20, or as the new value.
      </p>
      <div className="flex items-center gap-3 my-2">
        <select
          className="input-line max-w-56"
          aria-label="Column to change"
          value={columnId}
          onChange={(event) => setColumnId(event.target.value)}
        >
          {inputs.map(({ id, header }) => (
            <option key={id} value={id}>
              {header}
            </option>
          ))}
        </select>
        <ValueInput column={column} typed={typed} setTyped={setTyped} />
      </div>
      {planned.length > 0 && (
        <div className="max-h-72 overflow-auto">
          <table className="plain-table">
            <tbody>
              {planned.slice(0, MOST_SHOWN).map(({ id, name, before, after, refused: isRefused }) => (
                <tr key={id}>
                  <th scope="row">{name}</th>
                  <td className="text-right text-soft">{before}</td>
                  <td className={isRefused ? 'cell-refused' : 'text-right'}>{after}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      )}
      {refused.length > 0 && <p className="hint-refused">{refused.length} rows cannot be changed so, and stay.</p>}
      {problem !== null && (
        <p className="hint-refused" role="alert">
          {problem}
        </p>
      )}
      <div className="dialog-buttons">
        <button type="button" className="button" onClick={onClose}>
          Cancel
        </button>
        <button type="button" className="button button-main" disabled={good.length === 0} onClick={apply}>
          Change {good.length} rows
        </button>
      </div>
    </Dialog>
  );
}

interface ValueInputProps<Row, Patch> {
  readonly column: InputColumn<Row, Patch> | undefined;
  readonly typed: string;
  readonly setTyped: (typed: string) => void;
}

function ValueInput<Row, Patch>({ column, typed, setTyped }: ValueInputProps<Row, Patch>) {
  if (column?.type !== 'choice')
    return (
      <input
        className="input-line max-w-56"
        aria-label="To or by"
        placeholder={column?.type === 'number' ? '+5%' : 'new value'}
        value={typed}
        onChange={(event) => setTyped(event.target.value)}
      />
    );
  return (
    <select
      className="input-line max-w-56"
      aria-label="To or by"
      value={typed}
      onChange={(event) => setTyped(event.target.value)}
    >
      <option value="">choose</option>
      {column.options?.(null).map(({ value, label }) => (
        <option key={value} value={label}>
          {label}
        </option>
      ))}
    </select>
  );
}

/** What the change would do to each row. Later rows know what earlier ones make already. */
function plan<Row extends { readonly id: string }, Patch extends object>(
  rows: readonly Row[],
  column: InputColumn<Row, Patch>,
  typed: string,
  writer: GridWriter<Row, Patch>,
  nameOf: (row: Row) => string,
  locale: string,
): Planned[] {
  const sign = decimalSign(locale);
  const adjustment = column.type === 'number' ? readAdjustment(typed, sign) : null;
  const before: Operation[] = [];
  return rows.flatMap((row): Planned[] => {
    if (column.applies?.(row) === false) return [];
    const shown = column.text(row);
    const text = adjustment === null || adjustment.how === 'value' ? typed : adjustedText(shown, adjustment, locale);
    const about = { id: row.id, name: nameOf(row), before: shown };
    if (text === null) return [{ ...about, after: shown, refused: false, operations: [] }];
    const reading = column.read(text, row);
    if ('refusal' in reading) return [{ ...about, after: reading.refusal, refused: true, operations: [] }];
    const operations = writer.update(row, reading.patch, before);
    before.push(...operations);
    return [{ ...about, after: reading.shown, refused: false, operations }];
  });
}

/** The text of a cell with its number adjusted; what stands behind the number (a unit, a currency) stays. */
function adjustedText(shown: string, adjustment: NonNullable<ReturnType<typeof readAdjustment>>, locale: string) {
  const [, number = '', rest = ''] = /^(-?[\d.,]+)(.*)$/.exec(shown.trim()) ?? [];
  if (number === '') return null;
  const value = adjusted(number.replace(decimalSign(locale), '.'), adjustment);
  return value === null ? null : `${typedText(value, locale)}${rest}`;
}
