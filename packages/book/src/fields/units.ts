/**
 * The units that a book may use, with their exact size in the base unit of their dimension.
 *
 * Sources: NIST SP 811 (2008), appendix B; NIST Handbook 44, appendix C; the international yard and pound of 1959
 * (1 lb = 0.45359237 kg, 1 in = 25.4 mm); 1 US gallon = 231 cubic inches; 1 imperial gallon = 4.54609 l
 * (UK Weights and Measures Act 1985); 1 troy ounce = 480 grains, 1 pound = 7,000 grains (NIST Handbook 44); 1 board foot =
 * 144 cubic inches (NIST Handbook 44); metric kitchen measures of 5, 15 and 250 ml and the Australian tablespoon of 20 ml
 * (common practice). Each size is an exact decimal.
 */
export type Dimension = 'mass' | 'volume' | 'length' | 'area' | 'count' | 'time' | 'energy';

export interface UnitOfMeasure {
  /** How rows name it. */
  readonly code: string;
  /** How it is read aloud, in the plural. */
  readonly label: string;
  readonly dimension: Dimension;
  /** Size in grams, millilitres, metres, square metres, pieces, hours or joules. */
  readonly size: string;
  /** Where the size is one base unit divided by a whole number (a minute is an hour / 60), that number. */
  readonly dividedBy?: string;
}

const unit = (code: string, label: string, dimension: Dimension, size: string, dividedBy?: string): UnitOfMeasure =>
  dividedBy === undefined ? { code, label, dimension, size } : { code, label, dimension, size, dividedBy };

export const UNITS: readonly UnitOfMeasure[] = [
  unit('mg', 'milligrams', 'mass', '0.001'),
  unit('g', 'grams', 'mass', '1'),
  unit('kg', 'kilograms', 'mass', '1000'),
  unit('t', 'tonnes', 'mass', '1000000'),
  unit('grain', 'grains', 'mass', '0.06479891'),
  unit('oz', 'ounces', 'mass', '28.349523125'),
  unit('oz t', 'troy ounces', 'mass', '31.1034768'),
  unit('lb', 'pounds', 'mass', '453.59237'),
  unit('US ton', 'short tons', 'mass', '907184.74'),
  unit('imp ton', 'long tons', 'mass', '1016046.9088'),
  unit('ml', 'millilitres', 'volume', '1'),
  unit('cl', 'centilitres', 'volume', '10'),
  unit('dl', 'decilitres', 'volume', '100'),
  unit('l', 'litres', 'volume', '1000'),
  unit('hl', 'hectolitres', 'volume', '100000'),
  unit('m³', 'cubic metres', 'volume', '1000000'),
  unit('in³', 'cubic inches', 'volume', '16.387064'),
  unit('ft³', 'cubic feet', 'volume', '28316.846592'),
  unit('yd³', 'cubic yards', 'volume', '764554.857984'),
  unit('board ft', 'board feet', 'volume', '2359.737216'),
  unit('metric tsp', 'metric teaspoons', 'volume', '5'),
  unit('metric tbsp', 'metric tablespoons', 'volume', '15'),
  unit('metric cup', 'metric cups', 'volume', '250'),
  unit('AU tbsp', 'Australian tablespoons', 'volume', '20'),
  unit('US fl oz', 'US fluid ounces', 'volume', '29.5735295625'),
  unit('US tsp', 'US teaspoons', 'volume', '4.92892159375'),
  unit('US tbsp', 'US tablespoons', 'volume', '14.78676478125'),
  unit('US cup', 'US cups', 'volume', '236.5882365'),
  unit('US pt', 'US liquid pints', 'volume', '473.176473'),
  unit('US qt', 'US liquid quarts', 'volume', '946.352946'),
  unit('US gal', 'US gallons', 'volume', '3785.411784'),
  unit('imp fl oz', 'imperial fluid ounces', 'volume', '28.4130625'),
  unit('imp pt', 'imperial pints', 'volume', '568.26125'),
  unit('imp qt', 'imperial quarts', 'volume', '1136.5225'),
  unit('imp gal', 'imperial gallons', 'volume', '4546.09'),
  unit('mm', 'millimetres', 'length', '0.001'),
  unit('cm', 'centimetres', 'length', '0.01'),
  unit('m', 'metres', 'length', '1'),
  unit('in', 'inches', 'length', '0.0254'),
  unit('ft', 'feet', 'length', '0.3048'),
  unit('yd', 'yards', 'length', '0.9144'),
  unit('mi', 'miles', 'length', '1609.344'),
  unit('mm²', 'square millimetres', 'area', '0.000001'),
  unit('cm²', 'square centimetres', 'area', '0.0001'),
  unit('m²', 'square metres', 'area', '1'),
  unit('ha', 'hectares', 'area', '10000'),
  unit('in²', 'square inches', 'area', '0.00064516'),
  unit('ft²', 'square feet', 'area', '0.09290304'),
  unit('yd²', 'square yards', 'area', '0.83612736'),
  unit('each', 'pieces', 'count', '1'),
  unit('pair', 'pairs', 'count', '2'),
  unit('dozen', 'dozens', 'count', '12'),
  unit('gross', 'gross', 'count', '144'),
  unit('ream', 'reams of 500', 'count', '500'),
  unit('min', 'minutes', 'time', '1', '60'),
  unit('h', 'hours', 'time', '1'),
  unit('Wh', 'watt-hours', 'energy', '3600'),
  unit('kWh', 'kilowatt-hours', 'energy', '3600000'),
  unit('MJ', 'megajoules', 'energy', '1000000'),
];

const BY_CODE = new Map(UNITS.map((entry) => [entry.code, entry]));

export const UNIT_CODES: readonly string[] = UNITS.map((entry) => entry.code);

/** The unit of that code, or undefined where no such unit is known. */
export function unitOfMeasure(code: string): UnitOfMeasure | undefined {
  return BY_CODE.get(code);
}

/** The units that measure the same thing as the given one, itself included, in the table's order. */
export function unitsThatFit(code: string): readonly UnitOfMeasure[] {
  const dimension = BY_CODE.get(code)?.dimension;
  return UNITS.filter((entry) => entry.dimension === dimension);
}
