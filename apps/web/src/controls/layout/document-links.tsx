import { useEffect, useState } from 'react';
import {
  problemsOf,
  useBeginDocumentMutation,
  useCancelDocumentMutation,
  useDocumentJobQuery,
  type DocumentJob,
} from '../../state/api.js';
import { noticed } from '../../state/notices-slice.js';
import { useAppDispatch, useAppSelector, useShownDay } from '../../state/store.js';

type DocumentFormat = 'pdf' | 'xlsx' | 'csv';
const USUAL_FORMATS: readonly DocumentFormat[] = ['pdf', 'xlsx'];

interface DocumentLinksProps {
  /** What is written, in a sentence: "landed cost sheet". */
  readonly label: string;
  readonly document: 'landed cost' | 'cost cards' | 'price list' | 'quote' | 'mix' | 'comparison';
  /** The row that it is of. */
  readonly of: string;
  readonly formats?: readonly DocumentFormat[];
}

const ASKED_EVERY = 400;

/** Asks the server for a document, says how far it is, and saves it when it is ready; until then it can be given up. */
export function DocumentLinks({ label, document, of, formats = USUAL_FORMATS }: DocumentLinksProps) {
  const bookId = useAppSelector(({ book }) => book.id) ?? '';
  const isWaiting = useAppSelector(({ book }) => book.pending.length > 0);
  const asOf = useShownDay();
  const dispatch = useAppDispatch();
  const [begin] = useBeginDocumentMutation();
  const [begun, setBegun] = useState<DocumentJob | null>(null);
  const start = async (format: string) => {
    const answer = await begin({ bookId, asOf, document, of, format });
    if (answer.data === undefined)
      dispatch(noticed({ sentence: problemsOf(answer.error)[0]?.sentence ?? '', tone: 'problem' }));
    else setBegun(answer.data);
  };
  return (
    <span className="flex flex-wrap items-center gap-3">
      <span className="text-soft">{label}</span>
      {formats.map((format) => (
        <button
          key={format}
          type="button"
          className="link link-primary"
          // The server writes what it has: edits that wait are sent first.
          disabled={begun !== null || isWaiting}
          onClick={() => void start(format)}
        >
          {format.toUpperCase()}
        </button>
      ))}
      {begun && <Progress key={begun.id} bookId={bookId} id={begun.id} label={label} done={() => setBegun(null)} />}
    </span>
  );
}

interface ProgressProps {
  readonly bookId: string;
  readonly id: string;
  readonly label: string;
  readonly done: () => void;
}

function Progress({ bookId, id, label, done }: ProgressProps) {
  const { data: job, isError } = useDocumentJobQuery({ bookId, id }, { pollingInterval: ASKED_EVERY });
  const [cancel] = useCancelDocumentMutation();
  const dispatch = useAppDispatch();
  const state = isError ? 'failed' : job?.state;
  useEffect(() => {
    if (state === undefined || state === 'under way') return;
    if (state === 'ready') save(`/api/books/${bookId}/documents/${id}/file`, job?.name ?? '');
    if (state === 'failed')
      dispatch(noticed({ sentence: job?.problem ?? `The ${label} could not be made. Try again.`, tone: 'problem' }));
    done();
    // eslint-disable-next-line react-hooks/exhaustive-deps -- once, when it has come to an end
  }, [state]);
  return (
    <>
      <progress className="progress w-28" value={job?.progress ?? 0} max={100} aria-label={`Making the ${label}`} />
      <button type="button" className="link" onClick={() => void cancel({ bookId, id }).then(done)}>
        Cancel
      </button>
    </>
  );
}

function save(href: string, name: string): void {
  const link = document.createElement('a');
  link.href = href;
  link.download = name;
  link.click();
}
