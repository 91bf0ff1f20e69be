import { model } from '../book/model.js';
import { sentencesOf } from '../book/undo-stacks.js';
import { useSettings } from '../book/use-book.js';
import { momentWords } from '../figures/format.js';
import type { HistoryEntry } from '../state/api.js';
import { EditsSetAside } from './edits-set-aside.js';
import { useHistory } from './use-history.js';

const MOST_SENTENCES = 8;

/** Who changed what, and when. */
export function HistoryScreen() {
  const { entries, isAway, hasOlder, showOlder } = useHistory();
  return (
    <div className="max-w-page">
      <h1 className="font-serif text-title">History</h1>
      <p className="text-soft">Every edit of the book. Ctrl+Z undoes your own latest edit, on any screen.</p>
      <EditsSetAside />
      {isAway && <p role="alert">The server does not answer, so the history cannot be shown now.</p>}
      <ol>
        {entries.map((entry) => (
          <Entry key={entry.revision} entry={entry} />
        ))}
      </ol>
      {hasOlder && (
        <button type="button" className="btn mt-3 print:hidden" onClick={showOlder}>
          Show older ones
        </button>
      )}
    </div>
  );
}

function Entry({ entry }: { entry: HistoryEntry }) {
  const { locale } = useSettings();
  const sentences = sentencesOf(model.rows, entry.writes, MOST_SENTENCES);
  const left = entry.writeCount - sentences.length;
  return (
    <li className="grid gap-4 border-b border-base-300 py-2 desk:grid-cols-[9rem_minmax(0,1fr)]">
      <p className="text-soft text-note">
        {momentWords(entry.at, locale)}
        <br />
        {entry.userName}
      </p>
      <div>
        {entry.undoes !== null && <p className="font-semibold">Undone:</p>}
        {entry.revision === 1 && <p className="font-semibold">Book created</p>}
        <ul>
          {sentences.map((sentence, index) => (
            <li key={index}>{sentence}</li>
          ))}
        </ul>
        {left > 0 && <p className="text-soft">and {left} more</p>}
      </div>
    </li>
  );
}
