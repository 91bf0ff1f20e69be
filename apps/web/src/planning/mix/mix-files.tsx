import { MIX_FILE_FORMATS, mixFile, type MixFileFormat, mixFileRefusal, type MixModel } from '@nuvar/core';
import { noticed } from '../../state/notices-slice.js';
import { useAppDispatch } from '../../state/store.js';
import { saveFile } from '../../controls/grid/csv.js';
import { useMayEdit, useRow } from '../../book/use-book.js';
import { MixImport } from './mix-import.js';

interface MixFilesProps {
  readonly planId: string;
  readonly model: MixModel;
}

/** The model of a plan as a file for any solver, and a mix taken in from a table. */
export function MixFiles({ planId, model }: MixFilesProps) {
  const name = useRow('mixPlan', planId)?.name ?? 'mix';
  const mayEdit = useMayEdit();
  const dispatch = useAppDispatch();
  const save = (format: MixFileFormat) => {
    const refused = mixFileRefusal(model);
    if (refused !== null) dispatch(noticed({ sentence: refused, tone: 'problem' }));
    else saveFile(`${name}.${format}`, mixFile(model, format), 'text/plain');
  };
  return (
    <span className="flex flex-wrap items-center gap-3 print:hidden">
      <span className="text-soft">model</span>
      {MIX_FILE_FORMATS.map((format) => (
        <button key={format} type="button" className="link link-primary" onClick={() => save(format)}>
          {format.toUpperCase()}
        </button>
      ))}
      {mayEdit && <MixImport planId={planId} />}
    </span>
  );
}
