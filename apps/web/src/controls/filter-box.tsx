interface FilterBoxProps {
  readonly label: string;
  readonly value: string;
  readonly onChange: (value: string) => void;
}

/** Narrows a list to what holds the typed words. */
export function FilterBox({ label, value, onChange }: FilterBoxProps) {
  return (
    <input
      type="search"
      className="filter-box"
      aria-label={label}
      placeholder="Filter"
      value={value}
      onChange={(event) => onChange(event.target.value)}
    />
  );
}
