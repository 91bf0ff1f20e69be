import { v7 } from 'uuid';

/** An id for a new row or change: a UUIDv7, which sorts by the time at which it was made. */
export function newId(): string {
  return v7();
}
