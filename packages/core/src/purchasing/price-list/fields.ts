/** What a column of a supplier's price list or invoice can hold. */
export const PRICE_LIST_FIELDS = [
  'name',
  'code',
  'supplier',
  'pack',
  'unit',
  'price',
  'currency',
  'validFrom',
  'minimumOrder',
  'orderedPacks',
] as const;
export type PriceListField = (typeof PRICE_LIST_FIELDS)[number];

/** Which field each column holds, by its place; null where a column is passed over. */
export type ColumnMapping = readonly (PriceListField | null)[];

/** Words by which suppliers head their columns, in the languages that lists come in. */
const HEADINGS: Readonly<Record<PriceListField, RegExp>> = {
  code: /\b(code|sku|art(icle|ikel)?[ .-]*(no|nr|num\w*)|item[ .-]*(no|number|id)|ref(erence|\.)?|best(ell)?[ .-]*nr|référence)\b/i,
  validFrom: /\b(valid|from|date|since|datum|gültig|ab|fecha|depuis)\b/i,
  minimumOrder: /\b(min(imum)?\b.*|moq|mindest\w*)/i,
  orderedPacks: /\b(ordered|invoiced|order qty|menge bestellt)\b/i,
  currency: /\b(currency|curr|währung|devise|moneda|valuta)\b/i,
  supplier: /\b(supplier|vendor|lieferant|fournisseur|proveedor|seller)\b/i,
  price: /(price|preis|prix|precio|prezzo|\bcost\b|\bamount\b|^net$)/i,
  unit: /\b(unit|uom|einheit|unité|unidad|per)\b/i,
  pack: /(pack|size|\bqty\b|quantity|content|menge|gebinde|quantité|cantidad|weight)/i,
  name: /\b(name|description|article|item|product|material|bezeichnung|artikel|désignation|descripción|goods)\b/i,
};

const MOST_LETTERS_OF_A_HEADING = 120;

const ORDER = Object.keys(HEADINGS) as PriceListField[];

/** What a heading says that its column holds; null where none of the known words stands in it. */
export function fieldOfHeading(heading: string): PriceListField | null {
  const beginning = heading.slice(0, MOST_LETTERS_OF_A_HEADING);
  return ORDER.find((field) => HEADINGS[field].test(beginning)) ?? null;
}

/** True where a row looks like headings: at least two known words, and no cell that is a number. */
export function isHeading(cells: readonly string[]): boolean {
  const known = new Set(cells.map(fieldOfHeading).filter((field) => field !== null));
  return (
    known.size >= 2 &&
    !cells.some((cell) => /^[\p{Sc}\s]*-?\d+([.,]\d+)?$/u.test(cell.slice(0, MOST_LETTERS_OF_A_HEADING).trim()))
  );
}
