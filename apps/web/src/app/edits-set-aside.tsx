import { editAgain } from '../book/edit.js';
import { setAsideFile } from '../book/set-aside.js';
import { sync } from '../book/sync.js';
import { useSettings } from '../book/use-book.js';
import { saveFile } from '../controls/grid/csv.js';
import { momentWords } from '../figures/format.js';
import type { SetAside } from '../state/book-slice.js';
import { noticed } from '../state/notices-slice.js';
import { useAppDispatch, useAppSelector } from '../state/store.js';

/** The edits that the server could not store: they can be made again, saved as a file, or discarded. */
export function EditsSetAside() {
  const edits = useAppSelector(({ book }) => book.aside);
  const { name, locale } = useSettings();
  const dispatch = useAppDispatch();
  if (edits.length === 0) return null;
  const again = (edit: SetAside) => {
    const [problem] = dispatch(editAgain(edit));
    if (problem !== undefined) dispatch(noticed({ sentence: problem.sentence, tone: 'problem' }));
  };
  const save = () => saveFile(`${name} - edits set aside.json`, setAsideFile(name, edits), 'application/json');
  return (
    <section aria-labelledby="set-aside" className="mt-4 mb-6 flex flex-col items-start gap-2">
      <h2 id="set-aside" className="text-section">
        Edits set aside
      </h2>
      <p className="text-soft">
        The server could not store these edits. They are kept on this machine only and are not in the figures.
      </p>
      <ul className="w-full">
        {edits.map((edit) => (
          <li key={edit.change.id} className="flex items-baseline gap-4">
            <span className="text-soft text-note">{momentWords(edit.at, locale)}</span>
            <span className="grow">{edit.label}</span>
            <button type="button" className="btn btn-ghost" onClick={() => again(edit)}>
              Try again
            </button>
            <button type="button" className="btn btn-ghost" onClick={() => void sync.forget([edit.change.id])}>
              Discard
            </button>
          </li>
        ))}
      </ul>
      <button type="button" className="btn" onClick={save}>
        Download as a file
      </button>
    </section>
  );
}
