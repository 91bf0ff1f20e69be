import { Popover, PopoverButton, PopoverPanel } from '@headlessui/react';
import {
  ClipboardCopy,
  Ellipsis,
  FileSpreadsheet,
  FileText,
  PencilLine,
  RotateCcw,
  type LucideIcon,
} from 'lucide-react';
import { useState } from 'react';
import { useSettings } from '../../book/use-book.js';
import { counted } from '../../figures/format.js';
import { useStyle } from '../../figures/use-style.js';
import { noticed } from '../../state/notices-slice.js';
import { useAppDispatch } from '../../state/store.js';
import { saveFile, textOfBlock } from './csv.js';
import { CsvDialog } from './csv-dialog.js';
import { csvFile, type CsvForm } from './csv-form.js';
import type { ExportedTable } from './export-table.js';
import { FileChoice } from '../fields/file-choice.js';

interface GridMenuProps {
  readonly title: string;
  /** The grid for a file, and as it is pasted elsewhere. */
  readonly table: () => Promise<ExportedTable>;
  readonly cells: () => Promise<readonly (readonly string[])[]>;
  /** Opens the dialog that changes many rows; absent where there is nothing to change. */
  readonly changeMany: (() => void) | undefined;
  /** Adds rows from a file; absent where none can be added. */
  readonly addFromFile: ((file: File) => Promise<void>) | undefined;
  readonly columns: readonly { readonly id: string; readonly header: string }[];
  readonly visible: Readonly<Record<string, boolean>>;
  readonly show: (id: string, isShown: boolean) => void;
  readonly reset: () => void;
}

/** What can be done with a grid as a whole: change many rows, take it elsewhere, choose its columns. */
export function GridMenu(props: GridMenuProps) {
  const { title, changeMany, addFromFile, columns, visible, show, reset } = props;
  const { locale } = useSettings();
  const { copy, csv, xlsx } = useTakings(props);
  const [isExporting, setExporting] = useState(false);
  const takings = [
    { label: 'Copy', icon: ClipboardCopy, act: () => void copy() },
    { label: 'Export as CSV', icon: FileText, act: () => setExporting(true) },
    { label: 'Export as XLSX', icon: FileSpreadsheet, act: () => void xlsx() },
  ];
  return (
    <>
      <Popover className="print:hidden">
        <PopoverButton className="btn btn-ghost" aria-label={`More: ${title}`}>
          <Ellipsis size={17} aria-hidden="true" />
          More
        </PopoverButton>
        <PopoverPanel
          anchor="bottom end"
          focus
          className="z-30 w-max border border-rule bg-base-100 p-1"
          aria-label={`More: ${title}`}
        >
          {({ close }) => (
            <ul className="menu p-0">
              {changeMany && <Choice icon={PencilLine} label="Change many" act={changeMany} close={close} />}
              {addFromFile && (
                <li>
                  <FileChoice
                    label="Add from a file"
                    className="flex items-center gap-2"
                    hasIcon
                    take={async (file) => {
                      await addFromFile(file);
                      close();
                    }}
                  />
                </li>
              )}
              {takings.map((each) => (
                <Choice key={each.label} {...each} close={close} />
              ))}
              <li className="menu-title px-2.5 pt-2 pb-0.5 font-normal text-soft">Columns</li>
              {columns.map(({ id, header }, index) => (
                <li key={id}>
                  <label className="flex items-center gap-2">
                    <input
                      type="checkbox"
                      className="checkbox checkbox-xs"
                      checked={visible[id] !== false}
                      // Without the first column nobody knows what a row is.
                      disabled={index === 0}
                      onChange={(event) => show(id, event.target.checked)}
                    />
                    {header}
                  </label>
                </li>
              ))}
              <Choice icon={RotateCcw} label="Reset columns" act={reset} close={close} />
            </ul>
          )}
        </PopoverPanel>
      </Popover>
      {isExporting && (
        <CsvDialog title={title} locale={locale} onClose={() => setExporting(false)} save={(form) => void csv(form)} />
      )}
    </>
  );
}

interface ChoiceProps {
  readonly icon: LucideIcon;
  readonly label: string;
  readonly act: () => void;
  readonly close: () => void;
}

function Choice({ icon: Icon, label, act, close }: ChoiceProps) {
  return (
    <li>
      <button
        type="button"
        onClick={() => {
          close();
          act();
        }}
      >
        <Icon size={15} aria-hidden="true" />
        {label}
      </button>
    </li>
  );
}

/** The ways by which a grid is taken elsewhere: to the clipboard for a spreadsheet, or as a file. */
function useTakings({ title, table, cells }: GridMenuProps) {
  const dispatch = useAppDispatch();
  const style = useStyle();
  const run = async (take: () => Promise<string>): Promise<void> => {
    try {
      dispatch(noticed({ sentence: await take() }));
    } catch (error) {
      const detail = error instanceof Error ? error.message : String(error);
      dispatch(noticed({ sentence: `${title} could not be exported: ${detail}`, tone: 'problem' }));
    }
  };
  const rowsIn = (given: ExportedTable) => counted(given[0]?.cells.length ?? 0, 'row', style.locale);
  return {
    copy: () =>
      run(async () => {
        const given = await cells();
        await navigator.clipboard.writeText(textOfBlock(given));
        return `${title}: ${counted(given.length - 1, 'row', style.locale)} copied.`;
      }),
    csv: (form: CsvForm) =>
      run(async () => {
        const given = await table();
        saveFile(`${title}.csv`, csvFile(given, form, style), 'text/csv;charset=utf-8');
        return `${title}.csv: ${rowsIn(given)}.`;
      }),
    xlsx: () =>
      run(async () => {
        const [given, { workbookOf, XLSX_TYPE }] = [await table(), await import('./xlsx.js')];
        saveFile(`${title}.xlsx`, await workbookOf(title, given, style.locale), XLSX_TYPE);
        return `${title}.xlsx: ${rowsIn(given)}.`;
      }),
  };
}
