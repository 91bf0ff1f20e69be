import { useEffect } from 'react';
import { openWhatIf, reopenWhatIf } from '../book/open-what-if.js';
import { useWhatIfMarks } from '../engine/use-what-if-marks.js';
import { BASELINE, whatIfNamed } from '../engine/view-key.js';
import { counted } from '../figures/format.js';
import { ScreenLink } from '../figures/screen-link.js';
import { useRow, useSettings } from '../book/use-book.js';
import { useAppDispatch, useAppSelector } from '../state/store.js';

/** On every screen while a what-if is open: its name, what it changes, and the way out. */
export function WhatIfBand() {
  const id = useAppSelector(({ book }) => book.whatIf);
  const whatIf = useRow('whatIf', id);
  const marks = useWhatIfMarks();
  const { locale } = useSettings();
  const dispatch = useAppDispatch();
  const isGone = id !== null && whatIf === undefined;
  useEffect(() => void dispatch(reopenWhatIf()), [dispatch]);
  // Somebody has removed it, or it was taken back: then there is nothing to be in.
  useEffect(() => {
    if (isGone) dispatch(openWhatIf(null));
  }, [isGone, dispatch]);
  if (id === null || whatIf === undefined) return null;
  const count = marks?.count ?? 0;
  return (
    <div
      className="flex flex-none flex-wrap items-center gap-x-4 gap-y-1 border-b-3 border-double border-what-if bg-what-if/10 px-4 py-1.5 text-what-if print:hidden"
      role="status"
      data-what-if
    >
      <span className="grow">
        What if: <strong>{whatIf.name}</strong>
        {count === 0
          ? '. What you change now is changed in this what-if, and not in the book.'
          : `. ${counted(count, 'change', locale)}; the book stays as it is.`}
        {(marks?.refused ?? 0) > 0 && ` ${counted(marks?.refused ?? 0, 'change', locale)} cannot count.`}
      </span>
      <ScreenLink to="whatIfs" row={id} className="link">
        Changes
      </ScreenLink>
      <ScreenLink to="compare" search={`?sides=${BASELINE},${whatIfNamed(id)}`} className="link">
        Compare with the book
      </ScreenLink>
      <button type="button" className="btn border-what-if text-what-if" onClick={() => dispatch(openWhatIf(null))}>
        Leave the what-if
      </button>
    </div>
  );
}
