import { useView } from '../engine/use-view.js';
import { LooseEndList } from './loose-end-list.js';

/** Everything that keeps figures from being whole or right, what affects most first. */
export function LooseEndsScreen() {
  const ends = useView('looseEnds');
  return (
    <div className="page">
      <h1 className="screen-title">Loose ends</h1>
      <p className="text-soft">
        What keeps figures from being whole or right. What touches most products stands first.
      </p>
      {ends?.length === 0 && (
        <p className="empty">There are none: every figure is whole, every price carries its cost.</p>
      )}
      {ends && <LooseEndList ends={ends} />}
    </div>
  );
}
