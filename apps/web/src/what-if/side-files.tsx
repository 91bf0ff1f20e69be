import { MEASURE_WORDS, MONTH_WORDS, type Measure, type SideCell, type Sides } from '@nuvar/core';
import { useState } from 'react';
import { csvFile, type CsvForm } from '../controls/grid/csv-form.js';
import { CsvDialog } from '../controls/grid/csv-dialog.js';
import { saveFile } from '../controls/grid/csv.js';
import type { ExportedColumn, ExportedTable } from '../controls/grid/export-table.js';
import { DocumentLinks } from '../controls/layout/document-links.js';
import { unitWords } from '../figures/format.js';
import { useStyle } from '../figures/use-style.js';
import type { Side } from './sides.js';

interface SideFilesProps {
  readonly sides: readonly Side[];
  readonly view: Sides;
  readonly measure: Measure;
}

/** The comparison as a file: PDF from the server, a workbook and CSV from what is shown. */
export function SideFiles({ sides, view, measure }: SideFilesProps) {
  const style = useStyle();
  const [isAsking, setAsking] = useState(false);
  const title = 'Side by side';
  const table = tableOf(sides, view, measure);
  const workbook = async () => {
    const { workbookOf, XLSX_TYPE } = await import('../controls/grid/xlsx.js');
    saveFile(`${title}.xlsx`, await workbookOf(title, table, style.locale), XLSX_TYPE);
  };
  const csv = (form: CsvForm) => saveFile(`${title}.csv`, csvFile(table, form, style), 'text/csv;charset=utf-8');
  return (
    <span className="flex flex-wrap items-center gap-3">
      <DocumentLinks
        label="Comparison"
        document="comparison"
        of={`${sides.map(({ name }) => name).join(',')}@${measure}`}
        formats={['pdf']}
      />
      <button type="button" className="link link-primary" onClick={() => void workbook()}>
        XLSX
      </button>
      <button type="button" className="link link-primary" onClick={() => setAsking(true)}>
        CSV
      </button>
      {isAsking && <CsvDialog title={title} locale={style.locale} onClose={() => setAsking(false)} save={csv} />}
    </span>
  );
}

/** The month first, then each price: every side with its difference to the first, in money and in percent. */
function tableOf(sides: readonly Side[], view: Sides, measure: Measure): ExportedTable {
  const rows = [
    ...view.month.map(({ line, unit, cells }) => ({ name: MONTH_WORDS[line], channel: '', unit, cells })),
    ...view.rows.map(({ product, channel, unit, cells }) => ({
      name: `${product}: ${MEASURE_WORDS[measure].toLowerCase()}`,
      channel,
      unit,
      cells,
    })),
  ];
  const text = (header: string, cells: readonly string[]): ExportedColumn => ({
    header,
    type: 'text',
    digits: null,
    cells,
  });
  const number = (
    header: string,
    of: (cell: SideCell | undefined) => string | null,
    index: number,
  ): ExportedColumn => ({
    header,
    type: 'number',
    digits: 4,
    cells: rows.map(({ cells }) => of(cells[index]) ?? ''),
  });
  return [
    text(
      'Figure',
      rows.map(({ name }) => name),
    ),
    text(
      'Channel',
      rows.map(({ channel }) => channel),
    ),
    text(
      'Unit',
      rows.map(({ unit }) => unitWords(unit)),
    ),
    ...sides.flatMap(({ label }, index): ExportedColumn[] => [
      number(label, (cell) => cell?.amount ?? null, index),
      ...(index === 0
        ? []
        : [
            number(`${label}: difference`, (cell) => cell?.difference ?? null, index),
            number(`${label}: difference, %`, (cell) => cell?.percent ?? null, index),
            text(
              `${label}: for better or worse`,
              rows.map(({ cells }) => cells[index]?.verdict ?? ''),
            ),
          ]),
    ]),
  ];
}
