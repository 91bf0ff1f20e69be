import type { MixFileFormat, MixView } from '@nuvar/core';
import { noticed } from '../../state/notices-slice.js';
import { useAppDispatch } from '../../state/store.js';
import { saveFile } from '../../controls/csv.js';
import { useMayEdit, useRow } from '../../book/use-book.js';
import { MixImport } from './mix-import.js';
import { ask } from './solver.js';

interface MixFilesProps {
  readonly planId: string;
  readonly view: MixView;
}

/** The model of a plan as a file for any solver, and a mix taken in from a table. */
export function MixFiles({ planId, view }: MixFilesProps) {
  const name = useRow('mixPlan', planId)?.name ?? 'mix';
  const mayEdit = useMayEdit();
  const dispatch = useAppDispatch();
  const save = (format: MixFileFormat) =>
    ask({ of: 'file', model: view.model, format }, (reply) => {
      if (reply.said === 'file') saveFile(`${name}.${format}`, reply.text, 'text/plain');
      if (reply.said === 'failed')
        dispatch(noticed({ sentence: `The file could not be written: ${reply.reason}`, tone: 'problem' }));
    });
  return (
    <span className="flex flex-wrap items-center gap-3 print:hidden">
      <span className="text-soft">model</span>
      {(['lp', 'mps'] as const).map((format) => (
        <button
          key={format}
          type="button"
          className="link link-primary"
          disabled={view.model.products.length === 0}
          onClick={() => save(format)}
        >
          {format.toUpperCase()}
        </button>
      ))}
      {mayEdit && <MixImport planId={planId} />}
    </span>
  );
}
