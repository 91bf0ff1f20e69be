import { useEdit, useMayEdit, useSettings, useUnarchived } from '../../book/use-book.js';
import { FileChoice } from '../../controls/fields/file-choice.js';
import { counted } from '../../figures/format.js';
import { noticed } from '../../state/notices-slice.js';
import { useAppDispatch, useAppSelector } from '../../state/store.js';
import { tableOfFile } from '../import/table-of-file.js';
import { readMovements } from './read-movements.js';

/** The whole ledger as a file: it is no part of the book file. All of what is taken in is one change, and one undo takes it back. */
export function StockFile() {
  const bookId = useAppSelector(({ book }) => book.id) ?? '';
  const materials = useUnarchived('material');
  const { locale } = useSettings();
  const mayEdit = useMayEdit();
  const edit = useEdit();
  const dispatch = useAppDispatch();
  const take = async (file: File) => {
    const { operations, problems } = readMovements(await tableOfFile(file), materials, locale);
    if (problems.length > 0) throw new Error(`${problems.join(' ')} Nothing was taken in.`);
    if (operations.length === 0) throw new Error(`${file.name} has no movements.`);
    const [problem] = edit(operations);
    if (problem !== undefined) throw new Error(`${problem.sentence} Nothing was taken in.`);
    dispatch(
      noticed({ sentence: `${counted(operations.length, 'movement', locale)} taken in. One undo takes them back.` }),
    );
  };
  return (
    <>
      <a
        className="link link-primary"
        href={`/api/books/${bookId}/ledgers/stockMovement/rows.csv`}
        download="stock-ledger.csv"
      >
        Ledger as CSV
      </a>
      {mayEdit && <FileChoice label="Take in a ledger" className="link link-primary" take={take} />}
    </>
  );
}
