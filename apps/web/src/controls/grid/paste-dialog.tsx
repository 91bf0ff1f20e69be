import { useMemo, useState } from 'react';
import { useSettings, useEdit } from '../../book/use-book.js';
import { counted, countText } from '../../figures/format.js';
import { Dialog } from '../dialogs/dialog.js';
import type { GridWriter } from './grid-model.js';
import { operationsOf, type PasteTarget, readBlock } from './paste.js';

interface PasteDialogProps<Row, Patch> {
  readonly target: PasteTarget<Row, Patch>;
  readonly writer: GridWriter<Row, Patch>;
  /** What a row that is changed is called in the preview. */
  readonly nameOf: (row: Row) => string;
  readonly onClose: () => void;
}

const MOST_SHOWN = 100;

/** Shows what was understood of a pasted block before anything is taken in; then all of it is one change. */
export function PasteDialog<Row, Patch extends object>({
  target,
  writer,
  nameOf,
  onClose,
}: PasteDialogProps<Row, Patch>) {
  const { locale } = useSettings();
  const edit = useEdit();
  const [problem, setProblem] = useState<string | null>(null);
  const pasted = useMemo(() => readBlock(target), [target]);
  const left = pasted.filter(({ refused }) => refused).length;
  const good = pasted.length - left;
  const take = () => {
    const found = edit(operationsOf(pasted, writer))[0];
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
                <th scope="row">
                  {each.unknown !== undefined
                    ? `not in the list: ${each.unknown}`
                    : each.row === null
                      ? 'new'
                      : nameOf(each.row)}
                </th>
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
        <button type="button" className="btn btn-primary" onClick={take} disabled={good === 0}>
          {left > 0
            ? `Paste ${counted(good, 'row', locale)}, leave out ${countText(left, locale)}`
            : `Paste ${counted(good, 'row', locale)}`}
        </button>
      </div>
    </Dialog>
  );
}
