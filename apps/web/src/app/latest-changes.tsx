import { useSettings } from '../book/use-book.js';
import { model } from '../book/model.js';
import { labelOf } from '../book/undo-stacks.js';
import { momentWords } from '../figures/format.js';
import { ScreenLink } from '../figures/screen-link.js';
import { useHistory } from './use-history.js';

const MOST = 6;

/** Latest changes, by whom. */
export function LatestChanges() {
  const { entries } = useHistory();
  const { locale } = useSettings();
  return (
    <section aria-label="Latest changes" className="mt-6">
      <h2 className="text-section">Latest changes</h2>
      <ul>
        {entries.slice(0, MOST).map((entry) => (
          <li key={entry.revision} className="flex flex-col border-b border-base-300 py-1.5">
            <span>{entry.revision === 1 ? 'Book created' : labelOf(model.rows, entry.writes, entry.writeCount)}</span>
            <span className="text-note text-soft">
              {entry.userName}, {momentWords(entry.at, locale)}
            </span>
          </li>
        ))}
      </ul>
      <ScreenLink to="history">Full history</ScreenLink>
    </section>
  );
}
