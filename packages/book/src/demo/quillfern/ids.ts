/** The ids of rows by their names. */
export type Ids = Readonly<Record<string, string>>;

export const at = (ids: Ids, name: string): string => ids[name] as string;
