const FIELDS = 'input:not([type=checkbox]):not([type=radio]), select';

/** Moves to the next field: in a grid to the same column of the next row, elsewhere to the one that follows. */
export function moveOn(from: HTMLElement, step: 1 | -1 = 1): void {
  const row = from.closest<HTMLElement>('[data-grid-row]');
  if (row !== null) {
    moveInColumn(from, row, step);
    return;
  }
  const all = [...document.querySelectorAll<HTMLElement>(`main ${FIELDS}, aside ${FIELDS}`)].filter(
    (each) => each.offsetParent !== null,
  );
  all[all.indexOf(from) + step]?.focus();
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
