import type { StoredRow } from '@nuvar/book';
import type { WhatIfChangeView } from '@nuvar/core';
import { useState } from 'react';
import { openWhatIf } from '../book/open-what-if.js';
import { useMayEdit, useRow } from '../book/use-book.js';
import { RowText } from '../controls/fields/row-text.js';
import { useViewIn } from '../engine/use-view.js';
import { BASELINE, whatIfNamed } from '../engine/view-key.js';
import { DetailHeading } from '../figures/detail-heading.js';
import { Empty, Gone } from '../figures/empty.js';
import { ScreenLink } from '../figures/screen-link.js';
import { useAppDispatch, useAppSelector } from '../state/store.js';
import { BulkDialog } from './bulk-dialog.js';
import { ChangeTable } from './change-table.js';
import { MergeDialog } from './merge-dialog.js';
import { useTakeOver } from './use-take-over.js';

/** One what-if: what it changes, like a page of corrections in a book, and what becomes of it. */
export function WhatIfDetail({ id }: { readonly id: string }) {
  const row = useRow('whatIf', id);
  const view = useViewIn(BASELINE, 'whatIf', id);
  if (row === undefined) return <Gone what="what-if" />;
  return (
    <section aria-label={row.name}>
      <h2 className="font-serif text-title">{row.name}</h2>
      <WhatIfTools row={row} />
      <RowText kind="whatIf" id={id} field="note" lines={2} placeholder="Why: after the call with the supplier" />
      <DetailHeading>Changes</DetailHeading>
      {view != null && view.changes.length === 0 && (
        <Empty>
          Nothing is changed yet. Open the what-if and change anything on any screen, or change many at once with
          “Change together”.
        </Empty>
      )}
      {view != null && view.changes.length > 0 && <Changes id={id} changes={view.changes} />}
    </section>
  );
}

function WhatIfTools({ row: { id } }: { readonly row: StoredRow<'whatIf'> }) {
  const isOpen = useAppSelector(({ book }) => book.whatIf === id);
  const mayEdit = useMayEdit();
  const dispatch = useAppDispatch();
  const [dialog, setDialog] = useState<'bulk' | 'merge' | null>(null);
  const close = () => setDialog(null);
  return (
    <p className="mt-1 flex flex-wrap items-center gap-2">
      <button
        type="button"
        className={`btn ${isOpen ? '' : 'btn-primary'}`}
        onClick={() => dispatch(openWhatIf(isOpen ? null : id))}
      >
        {isOpen ? 'Leave the what-if' : 'Open on all screens'}
      </button>
      {mayEdit && (
        <>
          <button type="button" className="btn" onClick={() => setDialog('bulk')}>
            Change together
          </button>
          <button type="button" className="btn" onClick={() => setDialog('merge')}>
            Merge with ...
          </button>
        </>
      )}
      <ScreenLink to="compare" search={`?sides=${BASELINE},${whatIfNamed(id)}`}>
        Compare with the book
      </ScreenLink>
      {dialog === 'bulk' && <BulkDialog whatIfId={id} onClose={close} />}
      {dialog === 'merge' && <MergeDialog whatIfId={id} onClose={close} />}
    </p>
  );
}

/** The changes with a tick each: what is ticked is taken over into the book, or dropped. */
function Changes({ id, changes }: { readonly id: string; readonly changes: readonly WhatIfChangeView[] }) {
  const [left, setLeft] = useState<ReadonlySet<string>>(new Set());
  const mayEdit = useMayEdit();
  const { take, drop } = useTakeOver(id);
  const chosen = changes.map((each) => each.id).filter((each) => !left.has(each));
  const toggle = (changeId: string) =>
    setLeft((known) => {
      const next = new Set(known);
      if (!next.delete(changeId)) next.add(changeId);
      return next;
    });
  const isAll = chosen.length === changes.length;
  return (
    <>
      <ChangeTable changes={changes} left={left} toggle={mayEdit ? toggle : null} />
      {mayEdit && (
        <p className="mt-2 flex flex-wrap items-center gap-2">
          <button type="button" className="btn btn-primary" disabled={chosen.length === 0} onClick={() => take(chosen)}>
            {isAll ? 'Take all over into the book' : `Take ${chosen.length} over into the book`}
          </button>
          <button type="button" className="btn" disabled={chosen.length === 0} onClick={() => drop(chosen)}>
            {isAll ? 'Drop all' : `Drop ${chosen.length}`}
          </button>
          <button
            type="button"
            className="link"
            onClick={() => setLeft(isAll ? new Set(changes.map((each) => each.id)) : new Set())}
          >
            {isAll ? 'Choose none' : 'Choose all'}
          </button>
        </p>
      )}
    </>
  );
}
