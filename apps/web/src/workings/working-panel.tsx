import { isKind } from '@nuvar/book';
import type { LeverView, PartView, WorkingView } from '@nuvar/core';
import { ArrowLeft, Pin, PinOff, X } from 'lucide-react';
import { useEffect, useLayoutEffect, useRef, useState } from 'react';
import { figureClosed, pinToggled, trailChanged, unpinnedClosed, type OpenedFigure } from '../state/panel-slice.js';
import { useAppDispatch, useAppSelector } from '../state/store.js';
import { RowField } from '../controls/fields/row-field.js';
import { useView } from '../engine/use-view.js';
import { digitsOf, unitWords, written } from '../figures/format.js';
import { GapList } from '../figures/gap-list.js';
import { useStyle } from '../figures/use-style.js';
import { GoalDialog } from './goal-dialog.js';
import { NumberedWorkings } from './numbered-workings.js';
import { TwoInputsDialog } from './two-inputs-dialog.js';

/**
 * The opened figures, beside whatever screen is shown; where the window has no room for that they lie over the detail, on
 * the side away from the figure that was opened. Another screen closes those that are not pinned.
 */
export function WorkingPanels({ screen }: { readonly screen: string | null }) {
  const opened = useAppSelector(({ panel }) => panel.opened);
  const dispatch = useAppDispatch();
  const panels = useRef<HTMLElement>(null);
  useEffect(() => () => void dispatch(unpinnedClosed()), [screen, dispatch]);
  const latest = opened.at(-1)?.id;
  useLayoutEffect(() => {
    if (latest !== undefined && panels.current !== null) lieAside(panels.current);
  }, [latest]);
  if (opened.length === 0) return null;
  return (
    <aside
      ref={panels}
      className="flex w-[20.5rem] flex-none flex-col gap-6 overflow-auto border-base-300 bg-base-200 p-3.5 max-desk:order-first max-desk:w-auto max-desk:border-t-2 desk:max-broad:absolute desk:max-broad:inset-y-0 desk:max-broad:z-10 desk:max-broad:border-x broad:border-l print:static! print:w-auto print:border-t print:bg-transparent"
      aria-label="Workings"
    >
      {opened.map((each) => (
        <Working key={each.id} opened={each} />
      ))}
    </aside>
  );
}

/** Where panels lie over the screen: at the left of the detail for a figure at its right, else at the right. */
function lieAside(panels: HTMLElement): void {
  const detail = document.querySelector('main [data-detail]')?.getBoundingClientRect();
  const figure = document.activeElement?.closest('main') ? document.activeElement.getBoundingClientRect() : undefined;
  const isAtLeft =
    detail !== undefined && figure !== undefined && figure.left + figure.width / 2 > detail.left + detail.width / 2;
  panels.style.left = isAtLeft ? `${detail.left}px` : '';
  panels.style.right = isAtLeft ? '' : '0';
}

function Working({ opened }: { opened: OpenedFigure }) {
  const dispatch = useAppDispatch();
  const { id, trail, pinned } = opened;
  const reference = trail.at(-1) ?? '';
  const working = useView('working', reference);
  const levers = useView('levers', reference);
  const [isNumbered, setNumbered] = useState(false);
  const { ref, giveBack } = useFocusWithin(reference);
  const goTo = (next: string[]) => dispatch(trailChanged({ id, trail: next }));
  const close = () => {
    giveBack();
    dispatch(figureClosed(id));
  };
  return (
    <section
      ref={ref}
      tabIndex={-1}
      className="flex flex-col gap-2.5 outline-none"
      aria-label={working ? `Working of ${working.name}` : 'Working'}
      onKeyDown={(event) => {
        if (event.key !== 'Escape' || event.defaultPrevented) return;
        event.preventDefault();
        close();
      }}
    >
      <header className="flex items-start gap-1">
        <div className="grow">
          <h2 className="leading-tight font-semibold">{working?.name ?? 'Working'}</h2>
          {working && working.subject !== '' && <p className="text-note text-soft">{working.subject}</p>}
        </div>
        {trail.length > 1 && (
          <button type="button" className="btn btn-ghost" onClick={() => goTo(trail.slice(0, -1))}>
            <ArrowLeft size={15} aria-hidden="true" />
            Back
          </button>
        )}
        <button
          type="button"
          className="btn btn-ghost"
          aria-pressed={pinned}
          title={pinned ? 'Let this working close with its screen' : 'Keep this working open on every screen'}
          onClick={() => dispatch(pinToggled(id))}
        >
          {pinned ? <PinOff size={15} aria-hidden="true" /> : <Pin size={15} aria-hidden="true" />}
          {pinned ? 'Unpin' : 'Pin'}
        </button>
        <button type="button" className="btn btn-ghost" title="Close (Esc)" onClick={close}>
          <X size={15} aria-hidden="true" />
          Close
        </button>
      </header>
      {working && working.parts.length > 0 && (
        <span className="flex flex-wrap gap-x-4">
          <button
            type="button"
            className="link text-note"
            aria-pressed={isNumbered}
            onClick={() => setNumbered(!isNumbered)}
          >
            {isNumbered ? 'One step at a time' : 'Numbered workings'}
          </button>
          {!reference.includes('#') && <Questions working={working} />}
        </span>
      )}
      {working && isNumbered ? (
        <NumberedWorkings reference={reference} />
      ) : working ? (
        <WorkingBody working={working} levers={levers ?? []} open={(part) => goTo([...trail, part])} />
      ) : (
        <p className="text-soft">{working === null ? 'This figure is no longer in the book.' : ''}</p>
      )}
    </section>
  );
}

/** What can be asked of a figure: which input makes it what it should be, and how two inputs move it together. */
function Questions({ working }: { readonly working: WorkingView }) {
  const [asked, ask] = useState<'goal' | 'two inputs' | null>(null);
  const close = () => ask(null);
  return (
    <>
      <button type="button" className="link text-note" onClick={() => ask('goal')}>
        Seek a goal
      </button>
      <button type="button" className="link text-note" onClick={() => ask('two inputs')}>
        Over two inputs
      </button>
      {asked === 'goal' && <GoalDialog working={working} onClose={close} />}
      {asked === 'two inputs' && <TwoInputsDialog working={working} onClose={close} />}
    </>
  );
}

/** Takes the focus when a figure is opened or another one is gone to within; it can be given back to where it came from. */
function useFocusWithin(reference: string) {
  const ref = useRef<HTMLElement>(null);
  const opener = useRef<Element | null>(null);
  useEffect(() => {
    if (!ref.current?.contains(document.activeElement)) opener.current ??= document.activeElement;
    ref.current?.focus({ preventScroll: true });
  }, [reference]);
  const giveBack = () => {
    const from = opener.current;
    if (from instanceof HTMLElement && from.isConnected && from !== document.body) from.focus();
    else document.getElementById('screen')?.focus();
  };
  return { ref, giveBack };
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
              <span className="block font-sans text-soft">
                {formulaOf(working, (part) => nameWithin(part, working), working.name)}
              </span>
              {formulaOf(
                working,
                (part) => say(part.amount, part.unit),
                working.amount === null ? '?' : say(working.amount, working.unit),
              )}
            </p>
          )}
          <ol className="[&>li]:border-b [&>li]:border-base-300" aria-label="Made from">
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
      {levers.length > 1 && working.input === null && <Levers levers={levers} unit={working.unit} open={open} />}
    </>
  );
}

function InputInPlace({ input }: { input: NonNullable<WorkingView['input']> }) {
  if (!isKind(input.kind)) return null;
  return (
    <div className="rounded border border-base-300 p-2">
      <RowField kind={input.kind} id={input.id} field={input.field} />
      <p className="text-note text-soft">This is an input. A new value here applies everywhere in the book.</p>
    </div>
  );
}

function Part({ part, text, open }: { part: PartView; text: string; open: () => void }) {
  const hint = part.operation === 'constant' ? part.note : part.subject;
  return (
    <li>
      <button
        type="button"
        className="flex w-full items-baseline gap-3 py-1 text-left hover:bg-base-100"
        onClick={open}
      >
        <span className="grow text-left">
          {part.name}
          {hint !== '' && <span className="text-soft">, {hint}</span>}
          {part.operation === 'input' && <span className="ml-1.5 border-b border-rule text-note">input</span>}
        </span>
        <span className="figure-print whitespace-nowrap">
          {text}
          {part.partial && ' + ?'} <span className="text-soft text-note">{unitWords(part.unit)}</span>
        </span>
      </button>
    </li>
  );
}

interface LeversProps {
  readonly levers: readonly LeverView[];
  readonly unit: string;
  readonly open: (reference: string) => void;
}

/** What moves a figure most: each input with the value to which it is moved, and the change that this makes. */
function Levers({ levers, unit, open }: LeversProps) {
  const style = useStyle();
  const say = (amount: string, of: string) => written(amount, digitsOf(amount, of, style), style);
  return (
    <div>
      <h3 className="text-note font-semibold">What moves it most</h3>
      <table className="w-full text-note">
        <caption className="text-left text-soft">Change in {unitWords(unit)} when one input changes by 1 %</caption>
        <tbody>
          {levers.map((lever) => (
            <tr key={lever.reference} className="hover:bg-base-100">
              <th scope="row" className="text-left font-normal">
                <button type="button" className="w-full py-0.5 text-left" onClick={() => open(lever.reference)}>
                  {lever.name}
                  {lever.subject !== '' && <span className="text-soft">, {lever.subject}</span>}
                  <span className="block text-soft figure-print">
                    {say(lever.amount ?? '0', lever.unit)} → {say(lever.movedTo, lever.unit)} {unitWords(lever.unit)}
                  </span>
                </button>
              </th>
              <td className="text-right align-top figure-print">
                {lever.effect.startsWith('-') ? '' : '+'}
                {say(lever.effect, unit)}
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
