import type { Operation } from '@nuvar/book';
import { adjusted, readAdjustment } from '@nuvar/core';
import { IsNotEmpty, Matches } from 'class-validator';
import { useMemo } from 'react';
import { useWatch, type UseFormRegisterReturn } from 'react-hook-form';
import { noticed } from '../../state/notices-slice.js';
import { useAppDispatch } from '../../state/store.js';
import { useEdit, useSettings } from '../../book/use-book.js';
import { counted, decimalSign, typedText } from '../../figures/format.js';
import { Dialog } from '../dialogs/dialog.js';
import { FormProblem } from '../fields/form-entry.js';
import { useCheckedForm } from '../fields/use-checked-form.js';
import { isInput, type Column, type GridWriter, type InputColumn } from './grid-model.js';

interface ChangeManyProps<Row extends { readonly id: string }, Patch extends object> {
  readonly title: string;
  readonly rows: readonly Row[];
  readonly columns: readonly Column<Row, Patch>[];
  readonly writer: GridWriter<Row, Patch>;
  readonly nameOf: (row: Row) => string;
  readonly onClose: () => void;
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

/** What is changed, and to or by how much. */
class ChangeManyForm {
  @IsNotEmpty({ message: 'Choose a column.' })
  columnId!: string;

  @Matches(/\S/, { message: 'Type the new value.' })
  typed!: string;
}

/** Changes one column of all rows that the grid shows, as one change: to a value, by a percentage, a factor or an amount. */
export function ChangeManyDialog<Row extends { readonly id: string }, Patch extends object>({
  title,
  rows,
  columns,
  writer,
  nameOf,
  onClose,
}: ChangeManyProps<Row, Patch>) {
  const inputs = useMemo(() => columns.filter(isInput), [columns]);
  const form = useCheckedForm(ChangeManyForm, { columnId: mostLikely(inputs), typed: '' });
  const [columnId, typed] = useWatch({ control: form.control, name: ['columnId', 'typed'] });
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
  const apply = form.handleSubmit(() => {
    const found = edit(good.flatMap(({ operations }) => operations))[0];
    if (found !== undefined) {
      form.setError('root', { message: `${found.sentence} Nothing was changed.` });
      return;
    }
    dispatch(
      noticed({ sentence: `${title}: ${counted(good.length, 'row', locale)} changed. One undo reverses them all.` }),
    );
    onClose();
  });
  return (
    <Dialog title={`Change many: ${title}`} onClose={onClose} wide>
      <form onSubmit={(event) => void apply(event)}>
        <p className="text-soft">
          Changes all {counted(rows.length, 'row', locale)} in the list; filter the list first to change fewer. Type
          +5%, -2%, x{typedText('1.1', locale)}, +{typedText('0.20', locale)} or the new value.
        </p>
        <div className="my-2 flex items-center gap-3">
          <select className="select max-w-56" aria-label="Column to change" {...form.register('columnId')}>
            {inputs.map(({ id, header }) => (
              <option key={id} value={id}>
                {header}
              </option>
            ))}
          </select>
          <ValueInput column={column} field={form.register('typed')} />
        </div>
        {planned.length > 0 && (
          <div className="max-h-72 overflow-auto">
            <table className="table">
              <tbody>
                {planned.slice(0, MOST_SHOWN).map(({ id, name, before, after, refused: isRefused }) => (
                  <tr key={id}>
                    <th scope="row">{name}</th>
                    <td className="text-right text-soft">{before}</td>
                    <td className={isRefused ? 'text-error' : 'text-right'}>{after}</td>
                  </tr>
                ))}
              </tbody>
            </table>
          </div>
        )}
        {refused.length > 0 && (
          <p className="text-error">
            {counted(refused.length, 'row', locale)} cannot be changed this way and will stay as before.
          </p>
        )}
        <FormProblem>{form.generalProblem}</FormProblem>
        <div className="modal-action">
          <button type="button" className="btn" onClick={onClose}>
            Cancel
          </button>
          <button type="submit" className="btn btn-primary" disabled={good.length === 0}>
            Change {counted(good.length, 'row', locale)}
          </button>
        </div>
      </form>
    </Dialog>
  );
}

interface ValueInputProps<Row, Patch> {
  readonly column: InputColumn<Row, Patch> | undefined;
  readonly field: UseFormRegisterReturn;
}

function ValueInput<Row, Patch>({ column, field }: ValueInputProps<Row, Patch>) {
  if (column?.type !== 'choice')
    return (
      <input
        className="input max-w-56"
        aria-label="To or by"
        placeholder={column?.type === 'number' ? '+5%' : 'new value'}
        autoComplete="off"
        {...field}
      />
    );
  return (
    <select className="select max-w-56" aria-label="To or by" {...field}>
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
