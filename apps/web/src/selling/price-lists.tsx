import { useState } from 'react';
import { useAll } from '../book/use-book.js';
import { DocumentLinks } from '../controls/layout/document-links.js';

const FORMATS = ['pdf', 'xlsx', 'csv'] as const;

/** The price list of one channel, to hand out. */
export function PriceLists() {
  const channels = useAll('channel');
  const [chosen, choose] = useState('');
  const of = channels.find(({ id }) => id === chosen)?.id ?? channels[0]?.id;
  if (of === undefined) return null;
  return (
    <span className="flex items-center gap-2">
      <select
        className="select w-40"
        aria-label="Price list of"
        value={of}
        onChange={(event) => choose(event.target.value)}
      >
        {channels.map(({ id, name }) => (
          <option key={id} value={id}>
            {name}
          </option>
        ))}
      </select>
      <DocumentLinks key={of} label="price list" document="price list" of={of} formats={FORMATS} />
    </span>
  );
}
