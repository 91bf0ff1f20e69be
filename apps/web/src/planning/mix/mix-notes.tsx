import type { MixNote, MixView } from '@nuvar/core';
import { Link } from 'react-router';
import { usePlaceHref } from '../../book/place.js';

const SENTENCES: Readonly<Record<MixNote['code'], (name: string) => string>> = {
  'no-products': () => 'No products yet: add those that compete for what runs short.',
  'no-resources': () => 'Nothing is said to run short yet: add work, a machine, its space or a material.',
  'never-used': (name) => `Nothing in this plan uses ${name}.`,
  'set-up-twice': (name) =>
    `${name} is set up once for all its channels: the set-up and the lot of its first line count, and not those here.`,
  'same-name': (name) => `${name} is in this plan more than once.`,
};
const SIDE: Readonly<Partial<Record<MixNote['code'], string>>> = {
  'no-products': '?side=limits',
  'no-resources': '?side=uses',
};

/** What is odd about a plan, each with the way to it. */
export function MixNotes({ view: { notes } }: { readonly view: MixView }) {
  const hrefOf = usePlaceHref();
  if (notes.length === 0) return null;
  return (
    <ul className="my-2 grid gap-1" aria-label="Notes on this plan">
      {notes.map(({ code, name, place }) => (
        <li key={`${code}.${place?.id}`}>
          {SENTENCES[code](name)}{' '}
          <Link className="link link-primary" to={SIDE[code] ?? (place === null ? '' : hrefOf(place))}>
            Go there
          </Link>
        </li>
      ))}
    </ul>
  );
}
