import { newId, type Operation } from '@nuvar/book';
import { useMemo, useState } from 'react';
import { useSettings, useEdit } from '../../book/use-book.js';
import { counted, countText } from '../../figures/format.js';
import { Dialog } from '../dialogs/dialog.js';
import type { GridWriter, InputColumn } from './grid-model.js';

/** A block from a spreadsheet, the columns it falls on, and the rows that are there already. */
export interface PasteTarget<Row, Patch> {
  readonly block: readonly (readonly string[])[];
  readonly columns: readonly InputColumn<Row, Patch>[];
  readonly rows: readonly Row[];
}

interface PastedRow<Row, Patch> {
  readonly row: Row | null;
  readonly patch: Patch;
  readonly cells: readonly { readonly shown: string; readonly refused: boolean }[];
  readonly refused: boolean;
}

interface PasteDialogProps<Row, Patch> {
  readonly target: PasteTarget<Row, Patch>;
  readonly writer: GridWriter<Row, Patch>;
  readonly onClose: () => void;
}

const MOST_SHOWN = 100;

/** Shows what was understood of a pasted block before anything is taken in; then all of it is one change. */
export function PasteDialog<Row, Patch extends object>({ target, writer, onClose }: PasteDialogProps<Row, Patch>) {
  const { locale } = useSettings();
  const edit = useEdit();
  const [problem, setProblem] = useState<string | null>(null);
  const pasted = useMemo(
    () => withoutHeader(target).map((cells, index) => readRow(cells, target.columns, target.rows[index] ?? null)),
    [target],
  );
  const good = pasted.filter((each) => !each.refused);
  const left = pasted.length - good.length;
  const take = () => {
    const operations: Operation[] = [];
    for (const { row, patch } of good)
      operations.push(
        ...(row === null ? (writer.create(newId(), patch, operations) ?? []) : writer.update(row, patch, operations)),
      );
    const found = edit(operations)[0];
    if (found === undefined) onClose();
    else setProblem(found.sentence);
  };
  return (
    <Dialog title={`Paste ${counted(pasted.length, 'row', locale)}`} onClose={onClose} wide>
      <p className="text-soft">This is how the rows were read. Nothing is saved yet.</p>
      <div className="max-h-96 overflow-auto">
        <table className="table">
          <thead>
            <tr>
              <th scope="col">Row</th>
              {target.columns.slice(0, target.block[0]?.length).map((column) => (
                <th key={column.id} scope="col">
                  {column.header}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {pasted.slice(0, MOST_SHOWN).map((each, index) => (
              <tr key={index}>
                <th scope="row">{each.row === null ? 'new' : 'changes'}</th>
                {each.cells.map((cell, column) => (
                  <td key={column} className={cell.refused ? 'text-error' : ''}>
                    {cell.shown}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      {pasted.length > MOST_SHOWN && (
        <p className="text-soft">And {counted(pasted.length - MOST_SHOWN, 'more row', locale)}.</p>
      )}
      {left > 0 && (
        <p className="text-error">
          {counted(left, 'row was', locale, 'rows were')} not understood and will be left out.
        </p>
      )}
      {problem !== null && (
        <p className="text-error" role="alert">
          {problem} Nothing was saved.
        </p>
      )}
      <div className="modal-action">
        <button type="button" className="btn" onClick={onClose}>
          Cancel
        </button>
        <button type="button" className="btn btn-primary" onClick={take} disabled={good.length === 0}>
          {left > 0
            ? `Paste ${counted(good.length, 'row', locale)}, leave out ${countText(left, locale)}`
            : `Paste ${counted(good.length, 'row', locale)}`}
        </button>
      </div>
    </Dialog>
  );
}

function readRow<Row, Patch>(
  cells: readonly string[],
  columns: readonly InputColumn<Row, Patch>[],
  row: Row | null,
): PastedRow<Row, Patch> {
  let patch = {} as Patch;
  const read = cells.slice(0, columns.length).map((text, index) => {
    if (text === '' && row === null) return { shown: '', refused: false };
    const reading = (columns[index] as InputColumn<Row, Patch>).read(text, row);
    if ('refusal' in reading) return { shown: reading.refusal, refused: true };
    patch = { ...patch, ...reading.patch };
    return { shown: reading.shown, refused: false };
  });
  return { row, patch, cells: read, refused: read.some((cell) => cell.refused) };
}

/** A block that was copied with its headers brings them along; they are no row. */
function withoutHeader<Row, Patch>({ block, columns }: PasteTarget<Row, Patch>): readonly (readonly string[])[] {
  const isHeader = block[0]?.every((cell, index) => cell.toLowerCase() === columns[index]?.header.toLowerCase());
  return isHeader ? block.slice(1) : block;
}
