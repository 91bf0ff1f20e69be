import { QUOTE_STATES, type StoredRow } from '@nuvar/book';
import type { QuoteOptionView } from '@nuvar/core';
import { useState } from 'react';
import { useEdit, useMayEdit } from '../../book/use-book.js';
import { Field } from '../../controls/fields/fields.js';
import { changedState } from './quote-rows.js';

type Quote = StoredRow<'quote'>;

interface QuoteStateProps {
  readonly quote: Quote;
  readonly views: readonly QuoteOptionView[];
}

/** The state of a quote. What is sent keeps its prices and costs; while an option has no whole price it is not sent. */
export function QuoteState({ quote, views }: QuoteStateProps) {
  const edit = useEdit();
  const mayEdit = useMayEdit();
  const [refusal, refuse] = useState<string | null>(null);
  const take = (state: Quote['state']) => {
    const leavesDraft = quote.state === 'draft' && state !== 'draft' && state !== 'lost';
    const lacking = leavesDraft && views.some(({ sending }) => sending === null);
    refuse(
      lacking
        ? 'The price or the cost of an option is not whole yet, so there is nothing to send. What it lacks is named below.'
        : (edit(changedState(quote, state, views))[0]?.sentence ?? null),
    );
  };
  return (
    <Field label="State">
      <select
        className="select"
        aria-label="State"
        value={quote.state}
        disabled={!mayEdit}
        onChange={(event) => take(event.target.value as Quote['state'])}
      >
        {QUOTE_STATES.map((state) => (
          <option key={state} value={state}>
            {state}
          </option>
        ))}
      </select>
      {refusal !== null && (
        <span role="alert" className="text-error">
          {refusal}
        </span>
      )}
    </Field>
  );
}
