import { useCallback, useState, type ClipboardEvent, type DragEvent } from 'react';
import { Link } from 'react-router';
import { useBookPath, useMayEdit } from '../../book/use-book.js';
import { ImportPreview } from './import-preview.js';
import { ImportRefusal } from './import-refusal.js';
import { readFile, readPasted, type ReadSource } from './read-file.js';

/** Takes in a supplier's price list or invoice: from a file or pasted, previewed row by row, then as one change. */
export function ImportScreen() {
  const path = useBookPath();
  const mayEdit = useMayEdit();
  const [source, setSource] = useState<ReadSource | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const [reading, setReading] = useState<string | null>(null);
  const take = useCallback(async (read: () => Promise<ReadSource>, name: string) => {
    setReading(name);
    setProblem(null);
    setSource(null);
    try {
      setSource(await read());
    } catch (error) {
      setProblem(
        error instanceof ImportRefusal
          ? error.message
          : `${name} could not be read: ${error instanceof Error ? error.message : 'it is broken'}`,
      );
    } finally {
      setReading(null);
    }
  }, []);
  const takeFile = (file: File | undefined) => file && void take(() => readFile(file), file.name);
  const onPaste = (event: ClipboardEvent) => {
    const text = event.clipboardData.getData('text/plain');
    if (text.trim() === '') return;
    event.preventDefault();
    void take(() => Promise.resolve(readPasted(text)), 'What was pasted');
  };
  const onDrop = (event: DragEvent) => {
    event.preventDefault();
    takeFile(event.dataTransfer.files[0]);
  };
  return (
    <div className="page">
      <p>
        <Link className="link" to={`${path}/buy`}>
          Back to the materials
        </Link>
      </p>
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
            className="input-line import-paste"
            aria-label="Paste rows here"
            placeholder="Paste rows here"
            value=""
            onChange={() => undefined}
            onPaste={onPaste}
          />
        </div>
      )}
      {reading !== null && <p role="status">{reading} is being read …</p>}
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
