import type { GoalInput, TwoInputsView, WorkingView } from '@nuvar/core';
import { useEffect, useState } from 'react';
import { useMayEdit } from '../book/use-book.js';
import { Dialog } from '../controls/dialogs/dialog.js';
import { Field, Fields } from '../controls/fields/fields.js';
import { engine } from '../engine/engine.js';
import { useView } from '../engine/use-view.js';
import { digitsOf, unitWords, written } from '../figures/format.js';
import { useStyle } from '../figures/use-style.js';
import { useOpenAsWhatIf } from './goal-dialog.js';
import { ProblemLine } from '../controls/dialogs/problem-line.js';

interface TwoInputsProps {
  readonly working: WorkingView;
  readonly onClose: () => void;
}

const WIDTHS = ['1', '2', '5', '10', '20'];
const label = ({ name, subject }: GoalInput) => (subject === '' ? name : `${name}, ${subject}`);

/** One figure over two of its inputs: where it changes its sign is marked, and a cell opens as a what-if. */
export function TwoInputsDialog({ working, onClose }: TwoInputsProps) {
  const inputs = useView('goalInputs', working.reference) ?? [];
  const [places, setPlaces] = useState<readonly [number, number]>([0, 1]);
  const [percent, setPercent] = useState('5');
  const [down, across] = [inputs[places[0]], inputs[places[1]]];
  const choice = (which: 0 | 1, words: string) => (
    <Field label={words}>
      <select
        className="select"
        aria-label={words}
        value={places[which]}
        onChange={(event) => {
          const at = Number(event.target.value);
          setPlaces(which === 0 ? [at, places[1]] : [places[0], at]);
        }}
      >
        {inputs.map((each, index) => (
          <option key={`${each.place.id}.${each.place.field}`} value={index} disabled={index === places[1 - which]}>
            {label(each)}
          </option>
        ))}
      </select>
    </Field>
  );
  return (
    <Dialog title={`Over two inputs: ${working.name}`} onClose={onClose} wide>
      {inputs.length < 2 ? (
        <p className="mt-2">This figure has fewer than two inputs that can be moved.</p>
      ) : (
        <>
          <Fields inTwo>
            {choice(0, 'Down')}
            {choice(1, 'Across')}
            <Field label="Steps of">
              <select
                className="select"
                aria-label="Steps of"
                value={percent}
                onChange={(event) => setPercent(event.target.value)}
              >
                {WIDTHS.map((each) => (
                  <option key={each} value={each}>
                    {each} %
                  </option>
                ))}
              </select>
            </Field>
          </Fields>
          {down !== undefined && across !== undefined && down !== across && (
            <Grid working={working} down={down} across={across} percent={percent} onClose={onClose} />
          )}
        </>
      )}
      <div className="modal-action">
        <button type="button" className="btn" onClick={onClose}>
          Close
        </button>
      </div>
    </Dialog>
  );
}

interface GridProps extends TwoInputsProps {
  readonly down: GoalInput;
  readonly across: GoalInput;
  readonly percent: string;
}

function Grid({ working, down, across, percent, onClose }: GridProps) {
  const style = useStyle();
  const mayEdit = useMayEdit();
  const openAs = useOpenAsWhatIf();
  const [view, setView] = useState<TwoInputsView | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const { reference } = working;
  useEffect(() => {
    let isLeft = false;
    engine.twoInputs({ key: reference, down: down.place, across: across.place, percent }).then(
      (found) => !isLeft && setView(found),
      (error: Error) => !isLeft && setProblem(error.message),
    );
    return () => {
      isLeft = true;
    };
  }, [reference, down.place, across.place, percent]);
  const say = (amount: string, unit: string) => written(amount, digitsOf(amount, unit, style), style);
  const open = (row: string, column: string) => {
    const found = openAs(`${working.name}: ${down.name.toLowerCase()} ${row}, ${across.name.toLowerCase()} ${column}`, [
      { ...down.place, value: row },
      { ...across.place, value: column },
    ]);
    if (found === null) onClose();
    else setProblem(found);
  };
  return (
    <div className="mt-3 overflow-auto">
      <table className="table w-auto" aria-label={`${working.name} over ${label(down)} and ${label(across)}`}>
        <caption className="text-left text-note text-soft">
          {working.name}, {unitWords(working.unit)}. Down: {label(down)}. Across: {label(across)}. What is below zero is
          shaded.
        </caption>
        <thead>
          <tr>
            <td />
            {view?.across.values.map((each, index) => (
              <th key={each} scope="col" className={`text-right ${index === view.across.today ? 'underline' : ''}`}>
                {say(each, across.unit)}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {view?.down.values.map((row, place) => (
            <tr key={row}>
              <th scope="row" className={`text-right ${place === view.down.today ? 'underline' : ''}`}>
                {say(row, down.unit)}
              </th>
              {view.across.values.map((column, index) => {
                const amount = view.figures[place]?.[index]?.amount ?? null;
                const isToday = place === view.down.today && index === view.across.today;
                return (
                  <td key={column} className={`text-right ${amount?.startsWith('-') === true ? 'bg-error/15' : ''}`}>
                    <button
                      type="button"
                      className={`figure ${isToday ? 'font-bold' : ''}`}
                      disabled={!mayEdit || amount === null || isToday}
                      title="Open as a what-if"
                      onClick={() => open(row, column)}
                    >
                      {amount === null ? 'not yet' : say(amount, working.unit)}
                    </button>
                  </td>
                );
              })}
            </tr>
          ))}
        </tbody>
      </table>
      <ProblemLine problem={problem} />
    </div>
  );
}
