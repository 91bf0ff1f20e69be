import type { MixLimit, MixModel, MixView } from '@nuvar/core';
import { Link } from 'react-router';
import { usePlaceHref } from '../../book/place.js';
import { useStyle } from '../../figures/use-style.js';
import { amountText } from './words.js';

interface ContradictionProps {
  readonly view: MixView;
  readonly model: MixModel;
  readonly limits: readonly MixLimit[];
}

/** The few limits that cannot hold together, side by side, each with its field. */
export function Contradiction({ model, limits }: ContradictionProps) {
  const hrefOf = usePlaceHref();
  const style = useStyle();
  return (
    <>
      <p>No mix fits: these limits contradict each other. Ease one of them.</p>
      <ul className="mt-1 flex flex-wrap gap-x-8 gap-y-1" aria-label="Limits that contradict each other">
        {limits.map((limit) => {
          const { words, place } = said(model, limit, (value) => amountText(value, style));
          return (
            <li key={`${limit.of}.${limit.at}`}>
              {words}{' '}
              <Link className="link link-primary" to={hrefOf(place)}>
                Go there
              </Link>
            </li>
          );
        })}
      </ul>
    </>
  );
}

/** A limit in words, and where it is typed. */
function said({ products, resources, totals }: MixModel, { of, at }: MixLimit, text: (value: number) => string) {
  const product = products[at];
  const ofProduct = (words: string, field: string) => ({
    words: `${product?.name ?? ''}: ${words}`,
    place: { kind: 'mixProduct', id: product?.id ?? '', field },
  });
  switch (of) {
    case 'resource': {
      const { name = '', unit = '', available = 0, extra = 0, id = '' } = resources[at] ?? {};
      return {
        words: `${name}: ${text(available + extra)} ${unit} in all`,
        place: { kind: 'mixResource', id, field: 'available' },
      };
    }
    case 'total': {
      const { name = '', rule = '', units = 0, id = '' } = totals[at] ?? {};
      return { words: `${name}: ${rule} ${text(units)}`, place: { kind: 'mixTotal', id, field: 'units' } };
    }
    case 'least':
      return ofProduct(`at least ${text(product?.least ?? 0)}`, 'minimum');
    case 'most':
      return ofProduct(`at most ${text(product?.most ?? 0)}`, 'maximum');
    case 'lot':
      return ofProduct(`${text(product?.lot ?? 0)} or none`, 'lot');
    case 'whole':
      return ofProduct(`made in steps of ${text(product?.step ?? 1)}`, 'countedIn');
  }
}
