import type { ReactNode } from 'react';

interface ListAndDetailProps {
  readonly list: ReactNode;
  /** Null while no row is chosen: the list has all the room then. */
  readonly detail: ReactNode;
  /** Which of the two takes the room that is over, and how wide the other one is. */
  readonly wide: 'list' | 'detail';
  readonly narrow: string;
}

/** A list and the detail of the row that is chosen in it, side by side; below each other where there is no room for both. */
export function ListAndDetail({ list, detail, wide, narrow }: ListAndDetailProps) {
  const columns = wide === 'list' ? `minmax(0, 1fr) ${narrow}` : `${narrow} minmax(0, 1fr)`;
  const hasDetail = detail !== null;
  return (
    <div
      className="grid min-h-0 gap-5 desk:h-full desk:grid-cols-[var(--columns)] print:block print:h-auto"
      style={{ '--columns': hasDetail ? columns : 'minmax(0, 1fr)' } as Record<string, string>}
    >
      <div
        className={`flex min-h-0 min-w-0 flex-col ${hasDetail ? 'max-desk:max-h-[45dvh] print:mb-6 print:max-h-none' : ''}`}
      >
        {list}
      </div>
      {hasDetail && (
        <div className="min-h-0 min-w-0 overflow-auto print:overflow-visible" data-detail>
          {detail}
        </div>
      )}
    </div>
  );
}
