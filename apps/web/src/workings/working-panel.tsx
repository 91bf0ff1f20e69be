import { isKind } from '@nuvar/book';
import type { LeverView, PartView, WorkingView } from '@nuvar/core';
import { figureClosed, pinToggled, trailChanged, type OpenedFigure } from '../state/panel-slice.js';
import { useAppDispatch, useAppSelector } from '../state/store.js';
import { RowField } from '../controls/row-field.js';
import { useView } from '../engine/use-view.js';
import { digitsOf, unitWords, written } from '../figures/format.js';
import { GapList } from '../figures/gap-list.js';
import { useStyle } from '../figures/use-style.js';

/** The opened figures, beside whatever screen is shown. Pinned ones stay while others are opened. */
export function WorkingPanels() {
  const opened = useAppSelector(({ panel }) => panel.opened);
  if (opened.length === 0) return null;
  return (
    <aside className="working-panels" aria-label="Workings">
      {opened.map((each) => (
        <Working key={each.id} opened={each} />
      ))}
    </aside>
  );
}

function Working({ opened }: { opened: OpenedFigure }) {
  const dispatch = useAppDispatch();
  const { id, trail, pinned } = opened;
  const reference = trail.at(-1) ?? '';
  const working = useView('working', reference);
  const levers = useView('levers', reference);
  const goTo = (next: string[]) => dispatch(trailChanged({ id, trail: next }));
  const close = () => dispatch(figureClosed(id));
  return (
    <section
      className="working"
      aria-label={working ? `Working of ${working.name}` : 'Working'}
      onKeyDown={(event) => event.key === 'Escape' && !event.defaultPrevented && close()}
    >
      <header className="flex items-start gap-2">
        <div className="grow">
          <h2 className="font-semibold leading-tight">{working?.name ?? 'Working'}</h2>
          {working && working.subject !== '' && <p className="text-sm text-soft">{working.subject}</p>}
        </div>
        {trail.length > 1 && (
          <button type="button" className="quiet-button" onClick={() => goTo(trail.slice(0, -1))}>
            Back
          </button>
        )}
        <button type="button" className="quiet-button" aria-pressed={pinned} onClick={() => dispatch(pinToggled(id))}>
          {pinned ? 'Unpin' : 'Pin'}
        </button>
        <button type="button" className="quiet-button" onClick={close}>
          Close
        </button>
      </header>
      {working ? (
        <WorkingBody working={working} levers={levers ?? []} open={(part) => goTo([...trail, part])} />
      ) : (
        <p className="text-soft">{working === null ? 'This figure is no longer in the book.' : ''}</p>
      )}
    </section>
  );
}

interface BodyProps {
  readonly working: WorkingView;
  readonly levers: readonly LeverView[];
  readonly open: (reference: string) => void;
}

function WorkingBody({ working, levers, open }: BodyProps) {
  const style = useStyle();
  const say = (amount: string | null, unit: string) =>
    amount === null ? '?' : written(amount, digitsOf(amount, unit, style), style);
  return (
    <>
      {working.meaning !== '' && <p>{working.meaning}</p>}
      <p className="text-2xl figure-print">
        {working.amount === null ? '' : say(working.amount, working.unit)}
        {working.partial && ' + ?'} <span className="text-base text-soft">{unitWords(working.unit)}</span>
      </p>
      <GapList gaps={working.gaps} />
      {working.input ? (
        <InputInPlace input={working.input} />
      ) : (
        working.note !== '' && <p className="text-soft">{working.note}</p>
      )}
      {working.parts.length > 0 && (
        <>
          {working.formula.length > 0 && (
            <p className="formula">
              <span className="formula-words">
                {formulaOf(working, (part) => nameWithin(part, working), working.name)}
              </span>
              {formulaOf(
                working,
                (part) => say(part.amount, part.unit),
                working.amount === null ? '?' : say(working.amount, working.unit),
              )}
            </p>
          )}
          <ol className="parts" aria-label="Made from">
            {working.parts.map((part) => (
              <Part
                key={part.reference}
                part={part}
                text={say(part.amount, part.unit)}
                open={() => open(part.reference)}
              />
            ))}
          </ol>
        </>
      )}
      {levers.length > 1 && working.input === null && <Levers levers={levers} unit={working.unit} />}
    </>
  );
}

function InputInPlace({ input }: { input: NonNullable<WorkingView['input']> }) {
  if (!isKind(input.kind)) return null;
  return (
    <div className="rounded border border-line p-2">
      <RowField kind={input.kind} id={input.id} field={input.field} />
      <p className="text-sm text-soft">An input of the book. What you type here changes it everywhere.</p>
    </div>
  );
}

function Part({ part, text, open }: { part: PartView; text: string; open: () => void }) {
  const hint = part.operation === 'constant' ? part.note : part.subject;
  return (
    <li>
      <button type="button" className="part" onClick={open}>
        <span className="grow text-left">
          {part.name}
          {hint !== '' && <span className="text-soft">, {hint}</span>}
          {part.operation === 'input' && <span className="input-mark">input</span>}
        </span>
        <span className="figure-print whitespace-nowrap">
          {text}
          {part.partial && ' + ?'} <span className="text-soft text-sm">{unitWords(part.unit)}</span>
        </span>
      </button>
    </li>
  );
}

function Levers({ levers, unit }: { levers: readonly LeverView[]; unit: string }) {
  const style = useStyle();
  return (
    <div>
      <h3 className="text-sm font-semibold">What moves it most</h3>
      <table className="w-full text-sm">
        <caption className="text-left text-soft">Change in {unitWords(unit)} when the input rises by 1 %</caption>
        <tbody>
          {levers.map((lever) => (
            <tr key={`${lever.name}/${lever.subject}`}>
              <th scope="row" className="text-left font-normal">
                {lever.name}
                {lever.subject !== '' && <span className="text-soft">, {lever.subject}</span>}
              </th>
              <td className="text-right figure-print">
                {lever.perPercent.startsWith('-') ? '' : '+'}
                {written(lever.perPercent, digitsOf(lever.perPercent, unit, style), style)}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

/** The name of a part, with what it is of where that is something else than the whole is of. */
function nameWithin(part: PartView, whole: WorkingView): string {
  return part.subject === '' || part.subject === whole.subject ? part.name : `${part.name} (${part.subject})`;
}

/** The formula from the same parts as the list below it: once in their names, once in their figures. */
function formulaOf({ formula, parts }: WorkingView, say: (part: PartView) => string, result: string): string {
  const pieces = formula.map((token) => {
    if (typeof token === 'string') return token;
    const part = parts[token];
    return part === undefined ? '?' : say(part);
  });
  return `${result} = ${pieces.join('')}`;
}
