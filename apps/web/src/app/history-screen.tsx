import { describeWrites } from '@nuvar/book';
import { useEffect, useState } from 'react';
import { model } from '../book/model.js';
import { transport, type HistoryEntry } from '../book/transport.js';
import { namesOf } from '../book/undo-stacks.js';
import { useSettings } from '../book/use-book.js';
import { momentWords } from '../figures/format.js';
import { useAppSelector } from '../state/store.js';
import { EditsSetAside } from './edits-set-aside.js';

const MOST_SENTENCES = 8;

/** Who changed what, and when. */
export function HistoryScreen() {
  const bookId = useAppSelector(({ book }) => book.id) ?? '';
  const revision = useAppSelector(({ book }) => book.revision);
  const [entries, setEntries] = useState<readonly HistoryEntry[]>([]);
  const [isAway, setIsAway] = useState(false);
  useEffect(() => {
    let left = false;
    void transport.latest(bookId).then((answer) => {
      if (left) return;
      setIsAway(!answer.ok);
      if (answer.ok)
        setEntries((known) => [
          ...answer.value,
          ...known.filter((entry) => entry.revision < (answer.value.at(-1)?.revision ?? 0)),
        ]);
    });
    return () => {
      left = true;
    };
  }, [bookId, revision]);
  const older = async () => {
    const answer = await transport.latest(bookId, entries.at(-1)?.revision);
    setIsAway(!answer.ok);
    if (answer.ok) setEntries([...entries, ...answer.value]);
  };
  return (
    <div className="page">
      <h1 className="screen-title">History</h1>
      <p className="text-soft">Every edit of the book. Ctrl+Z takes back your own latest one, on any screen.</p>
      <EditsSetAside />
      {isAway && <p role="alert">The server does not answer, so the history cannot be shown now.</p>}
      <ol className="history">
        {entries.map((entry) => (
          <Entry key={entry.revision} entry={entry} />
        ))}
      </ol>
      {(entries.at(-1)?.revision ?? 1) > 1 && (
        <button type="button" className="button" onClick={() => void older()}>
          Show older ones
        </button>
      )}
    </div>
  );
}

function Entry({ entry }: { entry: HistoryEntry }) {
  const { locale } = useSettings();
  const sentences = describeWrites(entry.writes.slice(0, MOST_SENTENCES), namesOf(model.rows, entry.writes));
  const left = entry.writeCount - sentences.length;
  return (
    <li>
      <p className="text-soft text-sm">
        {momentWords(entry.at, locale)}
        <br />
        {entry.userName}
      </p>
      <div>
        {entry.undoes !== null && <p className="font-semibold">Taken back:</p>}
        {entry.revision === 1 && <p className="font-semibold">The book was made</p>}
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
