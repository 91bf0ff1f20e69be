import type { Operation } from '@nuvar/book';
import type { GridWriter } from './grid-model.js';

/**
 * The patches of several cells of a row, put together into as few as can be. Of a field the later one counts. What a cell says
 * as an object of its own (the number of a month, the use of a resource) stays apart, so that none takes the place of another.
 */
export function together<Patch extends object>(patches: readonly Patch[]): Patch[] {
  const groups: Patch[] = [];
  for (const patch of patches) {
    const own = Object.entries(patch).flatMap(([key, said]) => (isCell(said) ? [key] : []));
    const free = groups.findIndex((group) => !own.some((key) => Object.hasOwn(group, key)));
    if (free < 0) groups.push(patch);
    else groups[free] = { ...(groups[free] as Patch), ...patch };
  }
  return groups;
}

const isCell = (said: unknown): boolean => typeof said === 'object' && said !== null;

/** What writes the patches of several cells to a row that is there; `before` is what the same change does already. */
export function updateWith<Row, Patch extends object>(
  writer: GridWriter<Row, Patch>,
  row: Row,
  patches: readonly Patch[],
  before: readonly Operation[],
): Operation[] {
  const operations: Operation[] = [];
  for (const patch of together(patches)) operations.push(...writer.update(row, patch, [...before, ...operations]));
  return operations;
}

/** What makes a row of the patches of several cells; null where they say too little for one. */
export function createWith<Row, Patch extends object>(
  writer: GridWriter<Row, Patch>,
  id: string,
  patches: readonly Patch[],
  before: readonly Operation[],
): Operation[] | null {
  const [first = {} as Patch, ...others] = together(patches);
  const made = writer.create(id, first, before);
  if (made === null) return null;
  const created = made.find((each) => each.action === 'create' && each.row.id === id);
  if (created?.action !== 'create') return [...made];
  return [...made, ...updateWith(writer, created.row as Row, others, [...before, ...made])];
}
