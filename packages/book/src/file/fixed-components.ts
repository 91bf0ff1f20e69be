type Rows = Readonly<Record<string, readonly Readonly<Record<string, unknown>>[]>>;

/** Says of the resources of mix plans that were written before components could be made beyond their stock that none of them is. */
export function withFixedComponents(rows: Rows): Rows {
  const resources = rows.mixResource;
  if (resources === undefined) return rows;
  return { ...rows, mixResource: resources.map((row) => ({ madeWhenShort: false, ...row })) };
}
