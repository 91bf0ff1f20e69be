import { screenOf, type ScreenId } from '../book/screens.js';
import { useRow, useSettings } from '../book/use-book.js';
import { dayText } from '../figures/format.js';
import { useAppSelector, useShownDay } from '../state/store.js';

/** What stands at the head of a printed page: the book, the screen, the day of the figures, and whether they are only tried. */
export function PrintHead({ screen }: { readonly screen: ScreenId | null }) {
  const { name, locale } = useSettings();
  const day = useShownDay();
  const isTrial = useAppSelector(({ book }) => book.trial.length > 0);
  const whatIf = useRow(
    'whatIf',
    useAppSelector(({ book }) => book.whatIf),
  );
  return (
    <div className="mb-3 hidden justify-between border-b-2 border-base-content pb-1 print:flex">
      <span>
        <strong>{name}</strong>
        {screen !== null && `, ${screenOf(screen).name}`}
      </span>
      <span>
        {whatIf !== undefined && `what if: ${whatIf.name}, `}
        {isTrial && 'trial, '}as of {dayText(day, locale)}
      </span>
    </div>
  );
}
