import { useRef } from 'react';
import { noticed } from '../state/notices-slice.js';
import { useAppDispatch } from '../state/store.js';
import { csvOf, saveFile, textOfBlock } from './csv.js';
import type { ExportedTable } from './export-cells.js';

interface GridExportProps {
  readonly title: string;
  readonly table: () => Promise<ExportedTable>;
}

/** Takes a grid elsewhere: to the clipboard for a spreadsheet, or as a file. */
export function GridExport({ title, table }: GridExportProps) {
  const dispatch = useAppDispatch();
  const menu = useRef<HTMLDetailsElement>(null);
  const run = (act: (given: ExportedTable) => Promise<string>) => async () => {
    if (menu.current) menu.current.open = false;
    try {
      dispatch(noticed({ sentence: await act(await table()) }));
    } catch (error) {
      const detail = error instanceof Error ? error.message : String(error);
      dispatch(noticed({ sentence: `${title} could not be taken: ${detail}`, tone: 'problem' }));
    }
  };
  const copy = run(async ({ header, cells }) => {
    await navigator.clipboard.writeText(textOfBlock([header, ...cells]));
    return `${title}: ${cells.length} rows copied.`;
  });
  const csv = run(async ({ header, cells }) => {
    saveFile(`${title}.csv`, csvOf(header, cells), 'text/csv;charset=utf-8');
    return `${title}.csv: ${cells.length} rows.`;
  });
  const xlsx = run(async ({ header, cells }) => {
    const { workbookOf, XLSX_TYPE } = await import('./xlsx.js');
    saveFile(`${title}.xlsx`, await workbookOf(title, header, cells), XLSX_TYPE);
    return `${title}.xlsx: ${cells.length} rows.`;
  });
  return (
    <details
      ref={menu}
      className="export-menu"
      onKeyDown={(event) => {
        if (event.key !== 'Escape' || !menu.current?.open) return;
        menu.current.open = false;
        menu.current.querySelector('summary')?.focus();
      }}
      onBlur={(event) => {
        if (menu.current && !menu.current.contains(event.relatedTarget)) menu.current.open = false;
      }}
    >
      <summary className="quiet-button">Export</summary>
      <div className="export-choices">
        <button type="button" onClick={() => void copy()}>
          Copy
        </button>
        <button type="button" onClick={() => void csv()}>
          CSV file
        </button>
        <button type="button" onClick={() => void xlsx()}>
          XLSX workbook
        </button>
      </div>
    </details>
  );
}
