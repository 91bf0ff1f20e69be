import { numberText } from '@nuvar/book';
import type { CardLine } from '@nuvar/core';
import { useSettings } from '../book/use-book.js';
import { partLook } from './part-looks.js';

/** The shares of the full cost as one band, in the order of the card. Absent while a part is missing. */
export function SharesBar({ lines }: { lines: readonly CardLine[] }) {
  const { locale } = useSettings();
  const shared = lines.filter((line) => !line.subtotal && line.share !== null);
  if (shared.length === 0) return null;
  const words = shared.map((line) => `${line.label} ${numberText(line.share ?? '', locale)} %`).join(', ');
  return (
    <div className="mt-1 mb-2 flex h-5 w-full" role="img" aria-label={`Shares of the full cost: ${words}`}>
      {shared.map((line) => (
        <div
          key={line.id}
          className={`h-full ${partLook(line.id)}`}
          style={{ width: `${line.share}%` }}
          title={`${line.label}: ${numberText(line.share ?? '', locale)} % of full cost`}
        />
      ))}
    </div>
  );
}
