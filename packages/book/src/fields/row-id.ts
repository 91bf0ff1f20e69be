const UUID = /^[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}$/;

/** True for an id as rows and changes hold it: a UUID in small letters, so that an id is one text and not two. */
export function isRowId(value: unknown): value is string {
  return typeof value === 'string' && UUID.test(value);
}
