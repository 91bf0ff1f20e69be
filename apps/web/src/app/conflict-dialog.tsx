import { fieldsOf, fieldValue, labelOfKind, type Change, type Kind, type Operation, type Problem } from '@nuvar/book';
import { useState } from 'react';
import type { Conflict } from '../state/book-slice.js';
import { sync } from '../book/sync.js';
import { Dialog } from '../controls/dialogs/dialog.js';
import { useAppSelector } from '../state/store.js';

type Choice = 'mine' | 'theirs';
const keyOf = ({ rowId, field }: Problem) => `${rowId ?? ''}.${field ?? ''}`;

/** Changed by somebody else: both values stand beside each other, and the person chooses. */
export function ConflictDialog() {
  const conflict = useAppSelector(({ book }) => book.conflict);
  return conflict === null ? null : <Choose key={conflict.change.id} conflict={conflict} />;
}

function Choose({ conflict }: { conflict: Conflict }) {
  const { change, problems, rows } = conflict;
  const [choices, setChoices] = useState<Readonly<Record<string, Choice>>>({});
  const nameOf = (problem: Problem) => {
    const row = rows.find((each) => each.row?.id === problem.rowId)?.row;
    const name = row && fieldValue(row, 'name');
    return typeof name === 'string' ? name : labelOfKind(problem.kind as Kind);
  };
  const choose = (problem: Problem, choice: Choice) => setChoices({ ...choices, [keyOf(problem)]: choice });
  const settle = () => void sync.settle(change.id, settled(conflict, choices));
  return (
    <Dialog title="Changed by somebody else" onClose={settle}>
      <p>While you were editing, these values were changed by somebody else. Which values do you want to keep?</p>
      {problems.map((problem) => (
        <fieldset key={keyOf(problem)} className="mt-3">
          <legend className="font-semibold">
            {nameOf(problem)}
            {problem.field !== undefined && `, ${problem.values?.label ?? problem.field}`}
          </legend>
          {(['theirs', 'mine'] as const).map((choice) => (
            <label key={choice} className="flex items-center gap-2">
              <input
                type="radio"
                className="radio radio-xs"
                name={keyOf(problem)}
                checked={(choices[keyOf(problem)] ?? 'theirs') === choice}
                onChange={() => choose(problem, choice)}
              />
              {choiceWords(problem, choice)}
            </label>
          ))}
        </fieldset>
      ))}
      <div className="modal-action">
        <button type="button" className="btn btn-primary" onClick={settle}>
          Save my choice
        </button>
      </div>
    </Dialog>
  );
}

function choiceWords(problem: Problem, choice: Choice): string {
  if (problem.code === 'row-moved-on') return choice === 'theirs' ? 'Keep' : 'Remove';
  return choice === 'theirs' ? `Theirs: ${problem.values?.theirs ?? ''}` : `Yours: ${problem.values?.yours ?? ''}`;
}

/** The change as the choices leave it; null where nothing of it is left. */
function settled({ change, problems, rows }: Conflict, choices: Readonly<Record<string, Choice>>): Change | null {
  const rowOf = (id: string) => rows.find((each) => each.row?.id === id)?.row ?? undefined;
  const isTheirs = (id: string, field: string) => {
    const problem = problems.find((each) => each.rowId === id && (each.field ?? '') === field);
    return problem !== undefined && (choices[keyOf(problem)] ?? 'theirs') === 'theirs';
  };
  const operations = change.operations.flatMap((operation): Operation[] => {
    if (operation.action === 'create') return [operation];
    const row = rowOf(operation.id);
    if (operation.action === 'remove')
      return row === undefined ? [operation] : isTheirs(row.id, '') ? [] : [{ ...operation, version: row.version }];
    const fields = Object.keys(operation.after).filter((field) => !isTheirs(operation.id, field));
    if (fields.length === 0) return [];
    const known = new Set(fieldsOf(operation.kind).map((spec) => spec.name));
    const before = fields.map(
      (field) => [field, row && known.has(field) ? fieldValue(row, field) : operation.before[field]] as const,
    );
    const after = fields.map((field) => [field, operation.after[field]] as const);
    return [{ ...operation, before: Object.fromEntries(before), after: Object.fromEntries(after) }];
  });
  return operations.length === 0 ? null : { ...change, operations };
}
