const FIELDS = 'input:not([type=checkbox]):not([type=radio]), select';

/**
 * Moves to the next field, as Enter does. In a grid that is the same column of the next row; from the last field of a row
 * before the empty one it is the first field of the empty row, so that row after row can be typed.
 */
export function moveOn(from: HTMLElement): void {
  const row = from.closest<HTMLElement>('[data-grid-row]');
  if (row !== null) {
    if (!startNewRow(from, row)) moveInColumn(from, row, 1);
    return;
  }
  const all = [...document.querySelectorAll<HTMLElement>(`main ${FIELDS}, aside ${FIELDS}`)].filter(
    (each) => each.offsetParent !== null,
  );
  // A field that floats above the screen has none after it.
  const at = all.indexOf(from);
  if (at >= 0) all[at + 1]?.focus();
}

function startNewRow(from: HTMLElement, row: HTMLElement): boolean {
  const next = row.hasAttribute('data-new-row') ? row : row.nextElementSibling;
  const isLast = [...row.querySelectorAll<HTMLElement>(FIELDS)].at(-1) === from;
  const first = next?.hasAttribute('data-new-row') ? next.querySelector<HTMLElement>(FIELDS) : null;
  if (!isLast || first === null || first === undefined) return false;
  first.focus();
  return true;
}

/** Goes up or down within a column of a grid. Returns false where there is no row there. */
export function moveInColumn(from: HTMLElement, row: HTMLElement, step: 1 | -1): boolean {
  const column = from.closest<HTMLElement>('[data-column]')?.dataset.column;
  let next = step === 1 ? row.nextElementSibling : row.previousElementSibling;
  while (next !== null && !next.hasAttribute('data-grid-row'))
    next = step === 1 ? next.nextElementSibling : next.previousElementSibling;
  const field = next?.querySelector<HTMLElement>(`[data-column="${column}"] :is(${FIELDS}, button)`);
  field?.focus();
  return field != null;
}

/** Goes to the field of a label, where the one that had it was replaced by another. */
export function focusField(label: string): void {
  document.querySelector<HTMLElement>(`main [aria-label="${CSS.escape(label)}"]`)?.focus();
}

/** Goes to the next field of the same row, else on as from any field. */
export function moveAlong(from: HTMLElement): void {
  const next = from.closest('td')?.nextElementSibling?.querySelector<HTMLElement>(FIELDS);
  if (next) next.focus();
  else moveOn(from);
}
