import { useLooseEnds } from './use-loose-ends.js';
import { LooseEndList } from './loose-end-list.js';
import { Empty } from '../figures/empty.js';

/** Everything that keeps figures from being whole or right, what affects most first. */
export function LooseEndsScreen() {
  const ends = useLooseEnds();
  return (
    <div className="max-w-page">
      <h1 className="font-serif text-title">Loose ends</h1>
      <p className="text-soft">
        What keeps figures from being complete or right. What affects most products comes first.
      </p>
      {ends?.length === 0 && <Empty>None: every figure is complete, and every price covers its cost.</Empty>}
      {ends && <LooseEndList ends={ends} />}
    </div>
  );
}
