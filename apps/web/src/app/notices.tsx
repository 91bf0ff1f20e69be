import { useEffect } from 'react';
import { archive } from '../book/archive.js';
import { takeBackAllTheSame } from '../book/edit.js';
import { dismissed, type Notice } from '../state/notices-slice.js';
import { useAppDispatch, useAppSelector } from '../state/store.js';

const SHOWN_FOR = 6000;

/** Short words at the foot of the screen: what was taken back, what could not be kept. */
export function Notices() {
  const notices = useAppSelector((state) => state.notices.list);
  return (
    <div className="toast toast-start z-40 max-w-[min(42rem,92vw)] print:hidden" role="status" aria-live="polite">
      {notices.map((notice) => (
        <NoticeLine key={notice.id} notice={notice} />
      ))}
    </div>
  );
}

function NoticeLine({ notice }: { notice: Notice }) {
  const dispatch = useAppDispatch();
  const { id, sentence, tone, question } = notice;
  const stays = tone === 'problem' || question !== undefined;
  useEffect(() => {
    if (stays) return;
    const timer = setTimeout(() => dispatch(dismissed(id)), SHOWN_FOR);
    return () => clearTimeout(timer);
  }, [dispatch, id, stays]);
  return (
    <p
      className={`alert flex px-4 py-1.5 bg-neutral text-neutral-content ${tone === 'problem' ? 'border-l-5 border-l-error' : ''}`}
    >
      <span>{sentence}</span>
      {question && (
        <button
          type="button"
          className="link whitespace-nowrap"
          onClick={() => {
            dispatch(dismissed(id));
            dispatch(
              question.action === 'force' ? takeBackAllTheSame(question.stack) : archive(question.kind, question.rowId),
            );
          }}
        >
          {question.action === 'force' ? 'Undo it' : 'Archive it'}
        </button>
      )}
      <button type="button" className="link whitespace-nowrap" onClick={() => dispatch(dismissed(id))}>
        {question ? 'Leave it' : 'Close'}
      </button>
    </p>
  );
}
