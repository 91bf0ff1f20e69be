import { useEffect, useState, type ClipboardEvent, type DragEvent } from 'react';
import { useMayEdit } from '../../book/use-book.js';
import { ImportPreview } from './import-preview.js';
import { readPasted, type ReadSource } from './read-file.js';
import { startReading } from './start-reading.js';
import { Empty } from '../../figures/empty.js';
import { ScreenLink } from '../../figures/screen-link.js';
import { BuyPage } from '../buy-page.js';

/** A file that is being read; leaving the screen stops it too. */
interface Reading {
  readonly name: string;
  readonly stop: () => void;
}

/** Imports a supplier's price list or invoice: from a file or pasted, previewed row by row, then as one change. */
export function ImportScreen() {
  const mayEdit = useMayEdit();
  const [source, setSource] = useState<ReadSource | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const [done, setDone] = useState<string | null>(null);
  const [reading, setReading] = useState<Reading | null>(null);
  useEffect(() => () => reading?.stop(), [reading]);
  const show = (read: ReadSource | null, refusal: string | null) => {
    setReading(null);
    setSource(read);
    setProblem(refusal);
    setDone(null);
  };
  const finish = (sentence: string | null) => {
    setSource(null);
    setDone(sentence);
  };
  const takeFile = (file: File | undefined) => {
    if (file === undefined) return;
    show(null, null);
    const ends = { read: (read: ReadSource) => show(read, null), refused: (sentence: string) => show(null, sentence) };
    setReading({ name: file.name, stop: startReading(file, ends) });
  };
  const onPaste = (event: ClipboardEvent) => {
    const text = event.clipboardData.getData('text/plain');
    if (text.trim() === '') return;
    event.preventDefault();
    show(readPasted(text), null);
  };
  const onDrop = (event: DragEvent) => {
    event.preventDefault();
    takeFile(event.dataTransfer.files[0]);
  };
  return (
    <BuyPage>
      <div className="h-full max-w-page overflow-auto">
        <h1 className="font-serif text-title">Import a price list or an invoice</h1>
        {!mayEdit && <Empty>You may read this book, but not change it.</Empty>}
        {done !== null && (
          <p role="status" className="my-3 border-l-4 border-primary py-1 pl-3">
            {done} <ScreenLink to="buy">See the materials</ScreenLink>
          </p>
        )}
        {mayEdit && (
          <div
            className="mt-3 flex flex-wrap items-center gap-x-4 gap-y-2.5 border border-dashed border-rule p-3"
            onDragOver={(event) => event.preventDefault()}
            onDrop={onDrop}
          >
            <label className="btn">
              Choose a file
              <input
                type="file"
                className="sr-only"
                accept=".csv,.tsv,.txt,.xlsx,.xml,text/csv,text/plain,application/xml"
                onChange={(event) => {
                  takeFile(event.target.files?.[0]);
                  event.target.value = '';
                }}
              />
            </label>
            <span className="text-soft">
              CSV, XLSX, or a UBL 2.1 invoice (XML). You can also drop a file here, or paste rows from a spreadsheet:
            </span>
            <textarea
              className={`textarea resize-y ${source === null ? 'h-24' : 'h-8 min-h-8'}`}
              aria-label="Paste rows here"
              placeholder="Paste rows here"
              value=""
              onChange={() => undefined}
              onPaste={onPaste}
            />
          </div>
        )}
        {mayEdit && source === null && reading === null && (
          <p className="text-soft mt-3 max-w-3xl">
            One row for each material. The columns can be in any order; a row of headings helps. Before anything is
            saved you see the result of each row: a new material, a new price and how much it differs, or why it was not
            understood. One undo removes everything that was imported.
          </p>
        )}
        {reading !== null && (
          <p role="status" className="flex items-center gap-3 mt-3">
            Reading {reading.name}
            <progress className="progress progress-primary w-32" aria-label={`Reading ${reading.name}`} />
            <button type="button" className="btn btn-ghost" onClick={() => setReading(null)}>
              Stop
            </button>
          </p>
        )}
        {problem !== null && (
          <p className="text-error" role="alert">
            {problem} Nothing was imported.
          </p>
        )}
        {source !== null && mayEdit && (
          <ImportPreview key={`${source.name}${source.said}`} source={source} onDone={finish} />
        )}
      </div>
    </BuyPage>
  );
}
