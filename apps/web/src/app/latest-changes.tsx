import { useEffect, useState } from 'react';
import { Link } from 'react-router';
import { useBookPath, useSettings } from '../book/use-book.js';
import { model } from '../book/model.js';
import { transport, type HistoryEntry } from '../book/transport.js';
import { labelOf } from '../book/undo-stacks.js';
import { momentWords } from '../figures/format.js';
import { useAppSelector } from '../state/store.js';

const MOST = 6;

/** What changed lately, by whom. */
export function LatestChanges() {
  const bookId = useAppSelector(({ book }) => book.id);
  const revision = useAppSelector(({ book }) => book.revision);
  const { locale } = useSettings();
  const path = useBookPath();
  const [entries, setEntries] = useState<readonly HistoryEntry[]>([]);
  useEffect(() => {
    if (bookId === null) return;
    let left = false;
    void transport.latest(bookId).then((answer) => {
      if (answer.ok && !left) setEntries(answer.value);
    });
    return () => {
      left = true;
    };
  }, [bookId, revision]);
  return (
    <section aria-label="What changed lately" className="mt-6">
      <h2 className="section-title">What changed lately</h2>
      <ul className="changes">
        {entries.slice(0, MOST).map((entry) => (
          <li key={entry.revision}>
            <span>
              {entry.revision === 1 ? 'The book was made' : labelOf(model.rows, entry.writes, entry.writeCount)}
            </span>
            <span className="text-soft text-sm">
              {entry.userName}, {momentWords(entry.at, locale)}
            </span>
          </li>
        ))}
      </ul>
      <Link className="link" to={`${path}/history`}>
        The whole history
      </Link>
    </section>
  );
}
