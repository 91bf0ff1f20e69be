import { newId } from '@nuvar/book';
import { mergeConflicts, mergeOperations, overrideWords } from '@nuvar/core';
import { readOverride, type StoredRow } from '@nuvar/book';
import { useState } from 'react';
import { model } from '../book/model.js';
import { useAll, useEdit, useSettings } from '../book/use-book.js';
import { Dialog } from '../controls/dialogs/dialog.js';
import { ProblemLine } from '../controls/dialogs/problem-line.js';

interface MergeDialogProps {
  readonly whatIfId: string;
  readonly onClose: () => void;
}

/** Adds the changes of another what-if to this one; where both change the same, one of the two is chosen. */
export function MergeDialog({ whatIfId, onClose }: MergeDialogProps) {
  const whatIfs = useAll('whatIf');
  const others = whatIfs.filter(({ id }) => id !== whatIfId);
  const own = whatIfs.find(({ id }) => id === whatIfId)?.name ?? '';
  const [from, setFrom] = useState(others[0]?.id ?? '');
  const [taken, setTaken] = useState<ReadonlySet<string>>(new Set());
  const [problem, setProblem] = useState<string | null>(null);
  const edit = useEdit();
  const conflicts = from === '' ? [] : mergeConflicts(model.book, whatIfId, from);
  const operations = from === '' ? [] : mergeOperations(model.book, whatIfId, from, taken, newId);
  const otherName = others.find(({ id }) => id === from)?.name ?? '';
  const choose = (id: string, isTaken: boolean) =>
    setTaken((known) => {
      const next = new Set(known);
      if (isTaken) next.add(id);
      else next.delete(id);
      return next;
    });
  const merge = () => {
    const found = edit(operations)[0];
    if (found === undefined) onClose();
    else setProblem(found.sentence);
  };
  return (
    <Dialog title={`Merge another what-if into “${own}”`} onClose={onClose} wide>
      {others.length === 0 ? (
        <p className="mt-2">There is no other what-if in this book.</p>
      ) : (
        <label className="mt-2 flex items-center gap-2">
          Add the changes of
          <select className="select w-auto" value={from} onChange={(event) => setFrom(event.target.value)}>
            {others.map(({ id, name }) => (
              <option key={id} value={id}>
                {name}
              </option>
            ))}
          </select>
        </label>
      )}
      {conflicts.length > 0 && (
        <table className="table mt-3" aria-label="What both change">
          <thead>
            <tr>
              <th scope="col">Both change</th>
              <th scope="col">{own}</th>
              <th scope="col">{otherName}</th>
            </tr>
          </thead>
          <tbody>
            {conflicts.map(({ into, from: other }) => (
              <tr key={`${into.id}${other.id}`}>
                <Words change={into} />
                {[into, other].map((each) => (
                  <td key={each.id}>
                    <label className="flex items-center gap-1">
                      <input
                        type="radio"
                        className="radio radio-xs"
                        name={`${into.id}${other.id}`}
                        checked={(each === other) === taken.has(other.id)}
                        onChange={() => choose(other.id, each === other)}
                      />
                      <After change={each} />
                    </label>
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      )}
      <ProblemLine problem={problem} />
      <div className="modal-action">
        <button type="button" className="btn" onClick={onClose}>
          Cancel
        </button>
        <button type="button" className="btn btn-primary" disabled={operations.length === 0} onClick={merge}>
          Merge
        </button>
      </div>
    </Dialog>
  );
}

type Change = StoredRow<'whatIfChange'>;

function useWords(change: Change) {
  const { locale } = useSettings();
  const reading = readOverride(change);
  return 'override' in reading ? overrideWords(reading.override, model.book, model.book, locale) : null;
}

function Words({ change }: { readonly change: Change }) {
  const words = useWords(change);
  return (
    <td>
      {words?.subject}
      {words !== null && words.fieldLabel !== '' && `: ${words.fieldLabel.toLowerCase()}`}
    </td>
  );
}

function After({ change }: { readonly change: Change }) {
  const words = useWords(change);
  return <>{change.how === 'remove' ? 'removed' : change.how === 'create' ? 'added' : words?.after}</>;
}
