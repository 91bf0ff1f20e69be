import { limitWords, type MixLimit, type MixModel } from '@nuvar/core';
import { Link } from 'react-router';
import { usePlaceHref } from '../../book/place.js';
import { useMixWriting } from './use-mix-writing.js';

interface ContradictionProps {
  readonly model: MixModel;
  readonly limits: readonly MixLimit[];
}

/** The few limits that cannot hold together, side by side, each with the way to its field. */
export function Contradiction({ model, limits }: ContradictionProps) {
  const hrefOf = usePlaceHref();
  const writing = useMixWriting();
  return (
    <ul className="mt-1 flex flex-wrap gap-x-8 gap-y-1" aria-label="Limits that contradict each other">
      {limits.map((limit) => {
        const { sentence, place } = limitWords(model, limit, writing);
        return (
          <li key={`${limit.of}.${limit.at}`}>
            {sentence}{' '}
            <Link className="link link-primary" to={hrefOf(place)}>
              Go there
            </Link>
          </li>
        );
      })}
    </ul>
  );
}
