import type { StoredRow } from '@nuvar/book';
import { useState } from 'react';
import { useEdit, useMayEdit, useSettings } from '../../book/use-book.js';
import { useView } from '../../engine/use-view.js';
import { dayText, written } from '../../figures/format.js';
import { useStyle } from '../../figures/use-style.js';
import { noticed } from '../../state/notices-slice.js';
import { useAppDispatch } from '../../state/store.js';
import { postingOperations, reopeningOperations } from './posting-operations.js';

type Shipment = StoredRow<'shipment'>;

/** Says that what has come in stays as it was posted, or that it still moves; posts it, or opens it again. */
export function PostedBand({ shipment }: { readonly shipment: Shipment }) {
  const { locale } = useSettings();
  if (shipment.postedOn === null)
    return ['received', 'settled'].includes(shipment.state) ? <NotPosted shipment={shipment} /> : null;
  return (
    <div className="text-soft mt-1.5 flex flex-wrap items-center gap-3">
      <span>
        Posted on {dayText(shipment.postedOn, locale)}: rates, shares, duty and tax stay as they were. Bills can still
        be entered.
      </span>
      <Reopen shipment={shipment} />
    </div>
  );
}

function NotPosted({ shipment }: { readonly shipment: Shipment }) {
  const view = useView('shipmentPosting', shipment.id);
  const edit = useEdit();
  const mayEdit = useMayEdit();
  if (view === undefined) return null;
  return (
    <p className="text-soft mt-1.5 flex flex-wrap items-center gap-3">
      <span>
        {view.missing.length === 0
          ? 'Not posted yet: its landed cost still follows rates, rules and tax registration.'
          : `It can be posted once its landed cost is complete: ${view.missing.join('; ')}.`}
      </span>
      {mayEdit && view.missing.length === 0 && (
        <button type="button" className="btn btn-sm" onClick={() => edit(postingOperations(view))}>
          Post as it is
        </button>
      )}
    </p>
  );
}

/** Opens a posted shipment to be corrected, once what that does was seen. */
function Reopen({ shipment }: { readonly shipment: Shipment }) {
  const [isShown, setShown] = useState(false);
  const view = useView('shipmentPosting', shipment.id);
  const style = useStyle();
  const edit = useEdit();
  const mayEdit = useMayEdit();
  const dispatch = useAppDispatch();
  const { currency } = useSettings();
  if (!mayEdit || view === undefined) return null;
  if (!isShown)
    return (
      <button type="button" className="btn btn-sm" onClick={() => setShown(true)}>
        Open again
      </button>
    );
  const say = (amount: string | null) =>
    amount === null ? 'not known in full' : `${written(amount, 2, style)} ${currency}`;
  const reopen = () => {
    const [problem] = edit(reopeningOperations(view));
    if (problem !== undefined) dispatch(noticed({ sentence: problem.sentence, tone: 'problem' }));
    setShown(false);
  };
  return (
    <span className="flex flex-wrap items-center gap-3">
      <span>
        {view.landed === view.landedReopened
          ? 'Its landed cost would stay as it is.'
          : `Its landed cost would be ${say(view.landedReopened)} in place of ${say(view.landed)}; what is in stock changes only by late charges.`}
      </span>
      <button type="button" className="btn btn-sm" onClick={reopen}>
        Open it again
      </button>
      <button type="button" className="btn btn-sm" onClick={() => setShown(false)}>
        Leave it
      </button>
    </span>
  );
}
