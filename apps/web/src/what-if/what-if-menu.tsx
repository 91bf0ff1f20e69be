import { newId } from '@nuvar/book';
import { Popover, PopoverButton, PopoverPanel } from '@headlessui/react';
import { useState } from 'react';
import { openWhatIf } from '../book/open-what-if.js';
import { createOf } from '../book/operations.js';
import { useAll, useEdit, useMayEdit, useRow } from '../book/use-book.js';
import { BASELINE, whatIfNamed } from '../engine/view-key.js';
import { ScreenLink } from '../figures/screen-link.js';
import { useAppDispatch, useAppSelector } from '../state/store.js';
import { ProblemLine } from '../controls/dialogs/problem-line.js';

/** In the header: what is shown, the book or a what-if, and the way to another. */
export function WhatIfMenu() {
  const open = useAppSelector(({ book }) => book.whatIf);
  const isTrial = useAppSelector(({ book }) => book.trial.length > 0);
  const whatIf = useRow('whatIf', open);
  const isBook = whatIf === undefined;
  return (
    <Popover className="min-w-0">
      <PopoverButton
        className={`block max-w-36 truncate underline decoration-dotted ${isBook && !isTrial ? 'text-soft' : 'font-bold text-primary'}`}
      >
        {isTrial ? 'Trial' : isBook ? 'Baseline' : whatIf.name}
      </PopoverButton>
      <PopoverPanel
        anchor="bottom start"
        focus
        className="z-30 flex w-72 flex-col gap-2 border border-rule bg-base-100 p-3"
      >
        {({ close }) => <Choices open={open} close={close} />}
      </PopoverPanel>
    </Popover>
  );
}

function Choices({ open, close }: { readonly open: string | null; readonly close: () => void }) {
  const whatIfs = useAll('whatIf');
  const mayEdit = useMayEdit();
  const dispatch = useAppDispatch();
  const go = (id: string | null) => {
    dispatch(openWhatIf(id));
    close();
  };
  const sides = open === null ? BASELINE : `${BASELINE},${whatIfNamed(open)}`;
  return (
    <>
      <span className="font-semibold">Show</span>
      <ul className="menu max-h-64 w-full flex-nowrap overflow-auto p-0">
        {[{ id: null, name: 'The book (baseline)' }, ...whatIfs].map(({ id, name }) => (
          <li key={id ?? ''}>
            <button
              type="button"
              aria-current={id === open}
              className={id === open ? 'menu-active' : ''}
              onClick={() => go(id)}
            >
              <span className="truncate">{name}</span>
            </button>
          </li>
        ))}
      </ul>
      {mayEdit && <NewWhatIf go={go} />}
      <span className="flex flex-wrap gap-x-4" onClick={close}>
        <ScreenLink to="compare" search={`?sides=${sides}`}>
          Compare with ...
        </ScreenLink>
        <ScreenLink to="whatIfs">All what-ifs</ScreenLink>
      </span>
    </>
  );
}

/** Names a what-if and opens it. */
function NewWhatIf({ go }: { readonly go: (id: string) => void }) {
  const [name, setName] = useState('');
  const [problem, setProblem] = useState<string | null>(null);
  const edit = useEdit();
  const make = () => {
    const id = newId();
    const found = edit([createOf('whatIf', id, { name: name.trim() })])[0];
    if (found === undefined) go(id);
    else setProblem(found.sentence);
  };
  return (
    <form
      className="flex flex-col gap-1"
      onSubmit={(event) => {
        event.preventDefault();
        make();
      }}
    >
      <label className="text-soft" htmlFor="new-what-if">
        What if ...
      </label>
      <span className="flex gap-2">
        <input
          id="new-what-if"
          className="input min-w-0 grow"
          value={name}
          maxLength={120}
          placeholder="clay costs 8 % more"
          onChange={(event) => setName(event.target.value)}
        />
        <button type="submit" className="btn btn-primary" disabled={name.trim() === ''}>
          Open
        </button>
      </span>
      <ProblemLine problem={problem} />
    </form>
  );
}
