import type { Verdict } from '@nuvar/core';

const SIGNS: Readonly<Record<Verdict, string>> = { favourable: '▲', adverse: '▽', neither: '' };

/** Whether a difference is for better or for worse: in words, and by a shape. */
export function VerdictMark({ verdict }: { readonly verdict: Verdict | null }) {
  if (verdict === null || verdict === 'neither') return null;
  return (
    <span className={`text-[0.8em] ${verdict === 'adverse' ? 'text-error' : ''}`} title={verdict}>
      <span aria-hidden="true">{SIGNS[verdict]}</span>
      <span className="sr-only"> {verdict}</span>
    </span>
  );
}
