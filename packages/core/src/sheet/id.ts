const MARKS = /[%@|]/g;
const ESCAPED = /%(25|40|7C)/g;

/**
 * The id under which something is worked out that goes by several things: rows by their ids, texts such as a unit or a category.
 * What joins the parts cannot be told from what stands in them otherwise: a unit may be "box|12", a category "A@B".
 */
export const idOf = (...parts: readonly string[]): string => parts.map(escaped).join('@');

/** The parts of such an id. */
export const partsOf = (id: string): string[] => id.split('@').map(unescaped);

const escaped = (part: string): string =>
  part.replace(MARKS, (mark) => `%${mark.charCodeAt(0).toString(16).toUpperCase()}`);

const unescaped = (part: string): string =>
  part.replace(ESCAPED, (_all, code: string) => String.fromCharCode(Number.parseInt(code, 16)));
