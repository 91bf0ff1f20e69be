import type { ListFilter } from './grid-model.js';

/** Narrows a list to what holds the typed words. */
export function FilterBox<Row>({ label, words, onChange }: ListFilter<Row>) {
  return (
    <input
      type="search"
      className="input w-20"
      aria-label={label}
      placeholder="Filter"
      value={words}
      onChange={(event) => onChange(event.target.value)}
    />
  );
}
