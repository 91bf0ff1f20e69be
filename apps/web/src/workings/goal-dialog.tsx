import { newId, type Kind } from '@nuvar/book';
import { addToWhatIf, readNumber, type GoalInput, type GoalValue, type GoalView, type WorkingView } from '@nuvar/core';
import { useState } from 'react';
import { model } from '../book/model.js';
import { openWhatIf } from '../book/open-what-if.js';
import { createOf, updateOf } from '../book/operations.js';
import { useEdit, useMayEdit } from '../book/use-book.js';
import { Dialog } from '../controls/dialogs/dialog.js';
import { Field, Fields } from '../controls/fields/fields.js';
import { engine } from '../engine/engine.js';
import { useView } from '../engine/use-view.js';
import { decimalSign, digitsOf, typedText, unitWords, written } from '../figures/format.js';
import { useStyle } from '../figures/use-style.js';
import { useAppDispatch } from '../state/store.js';
import { ProblemLine } from '../controls/dialogs/problem-line.js';

interface GoalDialogProps {
  readonly working: WorkingView;
  readonly onClose: () => void;
}

const inputLabel = ({ name, subject }: GoalInput) => (subject === '' ? name : `${name}, ${subject}`);

/** What one input has to be so that a figure is what it should be. */
export function GoalDialog({ working, onClose }: GoalDialogProps) {
  const inputs = useView('goalInputs', working.reference) ?? [];
  const style = useStyle();
  const [typed, setTyped] = useState('');
  const [at, setAt] = useState(0);
  const [answer, setAnswer] = useState<GoalView | string | null>(null);
  const [isSeeking, setSeeking] = useState(false);
  const input = inputs[at];
  const goal = readNumber(typed.trim(), decimalSign(style.locale))?.value ?? null;
  const say = (amount: string, unit: string) =>
    `${written(amount, digitsOf(amount, unit, style), style)} ${unitWords(unit)}`;
  const seek = async () => {
    if (input === undefined || goal === null) return;
    setSeeking(true);
    const { kind, id, field } = input.place;
    setAnswer(
      await engine
        .goal({ key: working.reference, goal, kind, id, field })
        .then((found) => found ?? 'This figure, or this input, is no longer in the book.')
        .catch((error: Error) => error.message),
    );
    setSeeking(false);
  };
  return (
    <Dialog title={`Seek a goal: ${working.name}`} onClose={onClose} wide>
      <p className="mt-1 text-soft">
        {working.subject !== '' && `${working.subject}. `}
        Now {working.amount === null ? 'not known' : say(working.amount, working.unit)}.
      </p>
      <form
        onSubmit={(event) => {
          event.preventDefault();
          void seek();
        }}
      >
        <Fields>
          <Field label={`It should be, ${unitWords(working.unit)}`}>
            <input
              className="input"
              aria-label="Goal"
              value={typed}
              autoFocus
              onChange={(event) => setTyped(event.target.value)}
            />
          </Field>
          <Field label="What may move">
            <select
              className="select"
              aria-label="What may move"
              value={at}
              onChange={(event) => setAt(Number(event.target.value))}
            >
              {inputs.map((each, index) => (
                <option key={`${each.place.id}.${each.place.field}`} value={index}>
                  {inputLabel(each)} ({each.amount === null ? '?' : say(each.amount, each.unit)})
                </option>
              ))}
            </select>
          </Field>
        </Fields>
        {inputs.length === 0 && <p className="text-soft">Nothing that goes into this figure can be moved.</p>}
        {typed.trim() !== '' && goal === null && <p className="text-error">“{typed}” is not a number.</p>}
        {answer !== null && input !== undefined && (
          <Answer answer={answer} input={input} name={working.name} say={say} onClose={onClose} />
        )}
        <div className="modal-action">
          <button type="button" className="btn" onClick={onClose}>
            Close
          </button>
          <button
            type="submit"
            className="btn btn-primary"
            disabled={goal === null || input === undefined || isSeeking}
          >
            {isSeeking ? 'Seeking ...' : 'Seek'}
          </button>
        </div>
      </form>
    </Dialog>
  );
}

interface AnswerProps {
  readonly answer: GoalView | string;
  readonly input: GoalInput;
  readonly name: string;
  readonly say: (amount: string, unit: string) => string;
  readonly onClose: () => void;
}

/** Every value that reaches the goal, the nearest first; or why none does, and what comes nearest. */
function Answer({ answer, input, name, say, onClose }: AnswerProps) {
  if (typeof answer === 'string')
    return (
      <p className="mt-2 text-error" role="alert">
        {answer}
      </p>
    );
  const { values, jumps, nearest, isUnmoved, unit, figureUnit } = answer;
  if (isUnmoved)
    return (
      <p className="mt-2">
        {name} does not depend on {inputLabel(input)}: it is the same whatever that is.
      </p>
    );
  return (
    <div className="mt-2" aria-live="polite">
      {values.length === 0 ? (
        <>
          <p>No value of {inputLabel(input)} reaches the goal.</p>
          {nearest !== null && (
            <p>
              Nearest: {say(nearest.value, unit)}, where {name.toLowerCase()} is {say(nearest.figure, figureUnit)}.
            </p>
          )}
        </>
      ) : (
        <table className="table w-auto" aria-label="Values that reach the goal">
          <thead>
            <tr>
              <th scope="col">{inputLabel(input)}</th>
              <th scope="col">{name}</th>
              <th />
            </tr>
          </thead>
          <tbody>
            {values.map((found) => (
              <tr key={found.value}>
                <td className="figure">{say(found.value, unit)}</td>
                <td className="figure">{say(found.figure, figureUnit)}</td>
                <td>
                  <Use found={found} input={input} name={name} onClose={onClose} />
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {jumps.map(([below, above]) => (
        <p key={below.value} className="text-note text-soft">
          {name} jumps over the goal at {say(below.value, unit)}: {say(below.figure, figureUnit)} just below it,{' '}
          {say(above.figure, figureUnit)} just above.
        </p>
      ))}
    </div>
  );
}

interface UseProps {
  readonly found: GoalValue;
  readonly input: GoalInput;
  readonly name: string;
  readonly onClose: () => void;
}

/** Sets the value, or opens it as a what-if. */
function Use({ found, input: { place, ...input }, name, onClose }: UseProps) {
  const edit = useEdit();
  const mayEdit = useMayEdit();
  const openAs = useOpenAsWhatIf();
  const [problem, setProblem] = useState<string | null>(null);
  if (!mayEdit) return null;
  const end = (sentence: string | null) => (sentence === null ? onClose() : setProblem(sentence));
  const set = () => {
    const row = model.rows.row(place.kind, place.id);
    end(
      row === undefined ? null : (edit(updateOf(place.kind, row, { [place.field]: found.value }))[0]?.sentence ?? null),
    );
  };
  const title = `${name}: ${input.name.toLowerCase()} ${found.value}`;
  return (
    <span className="flex flex-wrap gap-2">
      <button type="button" className="btn" onClick={set}>
        Use it
      </button>
      <button type="button" className="btn" onClick={() => end(openAs(title, [{ ...place, value: found.value }]))}>
        Open as a what-if
      </button>
      <ProblemLine problem={problem} />
    </span>
  );
}

interface SetField {
  readonly kind: Kind;
  readonly id: string;
  readonly field: string;
  readonly value: string;
}

/** Makes a what-if of some values and opens it; what stands against it, or null. */
export function useOpenAsWhatIf(): (name: string, fields: readonly SetField[]) => string | null {
  const edit = useEdit();
  const dispatch = useAppDispatch();
  const { locale } = useStyle();
  return (name, fields) => {
    const id = newId();
    const taken = new Set(model.book.all('whatIf').map((each) => each.name));
    const base = typedText(name, locale).slice(0, 110);
    const own = taken.has(base) ? `${base} ${taken.size + 1}` : base;
    const overrides = fields.map((each) => ({ ...each, how: 'set' as const }));
    const made = [createOf('whatIf', id, { name: own }), ...addToWhatIf(model.book, id, overrides, {}, newId)];
    const problem = edit(made)[0];
    if (problem === undefined) dispatch(openWhatIf(id));
    return problem?.sentence ?? null;
  };
}
