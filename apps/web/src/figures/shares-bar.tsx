import type { CardLine } from '@nuvar/core';

/** The shares of the full cost as one band, in the order of the card. Absent while a part is missing. */
export function SharesBar({ lines }: { lines: readonly CardLine[] }) {
  const shared = lines.filter((line) => !line.subtotal && line.share !== null);
  if (shared.length === 0) return null;
  const words = shared.map((line) => `${line.label} ${line.share} %`).join(', ');
  return (
    <div className="strip shares" role="img" aria-label={`Shares of the full cost: ${words}`}>
      {shared.map((line) => (
        <div
          key={line.id}
          className={`share part-${line.id}`}
          style={{ width: `${line.share}%` }}
          title={`${line.label}: ${line.share} % of full cost`}
        />
      ))}
    </div>
  );
}
