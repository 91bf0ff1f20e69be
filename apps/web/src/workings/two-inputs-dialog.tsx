import type { FigureView, GoalInput, WorkingView } from '@nuvar/core';
import { useEffect, useMemo, useState } from 'react';
import { useMayEdit } from '../book/use-book.js';
import { Dialog } from '../controls/dialogs/dialog.js';
import { Field, Fields } from '../controls/fields/fields.js';
import { engine } from '../engine/engine.js';
import { useView } from '../engine/use-view.js';
import { digitsOf, unitWords, written } from '../figures/format.js';
import { useStyle } from '../figures/use-style.js';
import { useOpenAsWhatIf } from './goal-dialog.js';

interface TwoInputsProps {
  readonly working: WorkingView;
  readonly onClose: () => void;
}

const STEPS = [-3, -2, -1, 0, 1, 2, 3];
const WIDTHS = ['1', '2', '5', '10', '20'];
const label = ({ name, subject }: GoalInput) => (subject === '' ? name : `${name}, ${subject}`);

/** The values around that of today, some percent apart. */
function valuesAround(input: GoalInput, percent: string): readonly string[] {
  const today = Number(input.amount ?? 0);
  return STEPS.map((step) =>
    step === 0 ? (input.amount ?? '0') : String(Number((today * (1 + (step * Number(percent)) / 100)).toPrecision(4))),
  );
}

/** One figure over two of its inputs: where it changes its sign is marked, and a cell opens as a what-if. */
export function TwoInputsDialog({ working, onClose }: TwoInputsProps) {
  const inputs = useView('goalInputs', working.reference) ?? [];
  const [places, setPlaces] = useState<readonly [number, number]>([0, 1]);
  const [percent, setPercent] = useState('5');
  const [down, across] = [inputs[places[0]], inputs[places[1]]];
  const rows = useMemo(() => down && valuesAround(down, percent), [down, percent]);
  const columns = useMemo(() => across && valuesAround(across, percent), [across, percent]);
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
          {down !== undefined &&
            across !== undefined &&
            rows !== undefined &&
            columns !== undefined &&
            down !== across && (
              <Grid working={working} down={down} across={across} rows={rows} columns={columns} onClose={onClose} />
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
  readonly rows: readonly string[];
  readonly columns: readonly string[];
}

function Grid({ working, down, across, rows, columns, onClose }: GridProps) {
  const style = useStyle();
  const mayEdit = useMayEdit();
  const openAs = useOpenAsWhatIf();
  const [grid, setGrid] = useState<readonly (readonly (FigureView | null)[])[]>([]);
  const [problem, setProblem] = useState<string | null>(null);
  const { reference } = working;
  useEffect(() => {
    let isLeft = false;
    engine.twoInputs(reference, { ...down.place, values: rows }, { ...across.place, values: columns }).then(
      (found) => !isLeft && setGrid(found),
      (error: Error) => !isLeft && setProblem(error.message),
    );
    return () => {
      isLeft = true;
    };
  }, [reference, down, across, rows, columns]);
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
          hatched.
        </caption>
        <thead>
          <tr>
            <td />
            {columns.map((each, index) => (
              <th key={each} scope="col" className={`text-right ${STEPS[index] === 0 ? 'underline' : ''}`}>
                {say(each, across.unit)}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map((row, place) => (
            <tr key={row}>
              <th scope="row" className={`text-right ${STEPS[place] === 0 ? 'underline' : ''}`}>
                {say(row, down.unit)}
              </th>
              {columns.map((column, index) => {
                const amount = grid[place]?.[index]?.amount ?? null;
                const isToday = STEPS[place] === 0 && STEPS[index] === 0;
                return (
                  <td key={column} className={`text-right ${amount?.startsWith('-') === true ? 'below-zero' : ''}`}>
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
      {problem !== null && (
        <p className="text-error" role="alert">
          {problem}
        </p>
      )}
    </div>
  );
}
