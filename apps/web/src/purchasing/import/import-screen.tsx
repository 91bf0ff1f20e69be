import { useEffect, useState, type ClipboardEvent, type DragEvent } from 'react';
import { useMayEdit } from '../../book/use-book.js';
import { BackLink } from '../../controls/back-link.js';
import { ImportPreview } from './import-preview.js';
import { readPasted, type ReadSource } from './read-file.js';
import { startReading } from './start-reading.js';

/** A file that is being read; leaving the screen stops it too. */
interface Reading {
  readonly name: string;
  readonly stop: () => void;
}

/** Takes in a supplier's price list or invoice: from a file or pasted, previewed row by row, then as one change. */
export function ImportScreen() {
  const mayEdit = useMayEdit();
  const [source, setSource] = useState<ReadSource | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const [reading, setReading] = useState<Reading | null>(null);
  useEffect(() => () => reading?.stop(), [reading]);
  const show = (read: ReadSource | null, refusal: string | null) => {
    setReading(null);
    setSource(read);
    setProblem(refusal);
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
    <div className="page">
      <BackLink to="buy">Back to the materials</BackLink>
      <h1 className="screen-title">Take in a price list or an invoice</h1>
      {!mayEdit && <p className="empty">You may look at this book, and not change it.</p>}
      {mayEdit && (
        <div className="import-drop" onDragOver={(event) => event.preventDefault()} onDrop={onDrop}>
          <label className="button">
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
            CSV, XLSX, or a UBL 2.1 invoice (XML); it can be dropped here too. Or paste rows from a spreadsheet:
          </span>
          <textarea
            className={`input-line import-paste ${source === null ? 'h-24' : ''}`}
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
          One row a material, with its columns in any order; a row that names them helps. Before anything is written you
          see what each row will do: a new material, a new price and by how much it differs, or why it is not
          understood. What you take in is one change, and one undo takes all of it back.
        </p>
      )}
      {reading !== null && (
        <p role="status" className="flex items-center gap-3 mt-3">
          {reading.name} is being read
          <progress className="progress progress-primary w-32" aria-label={`Reading ${reading.name}`} />
          <button type="button" className="quiet-button" onClick={() => setReading(null)}>
            Stop
          </button>
        </p>
      )}
      {problem !== null && (
        <p className="hint-refused" role="alert">
          {problem} Nothing was taken in.
        </p>
      )}
      {source !== null && mayEdit && (
        <ImportPreview key={`${source.name}${source.said}`} source={source} onDone={() => setSource(null)} />
      )}
    </div>
  );
}
