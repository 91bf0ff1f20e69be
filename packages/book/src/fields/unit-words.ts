import { UNITS } from './units.js';

/**
 * The words by which people name units, in English, German and French, with the code of the unit; without full stops and
 * capitals. Kitchen measures and liquid measures of one name differ by country and stand in tables of their own.
 */
const WORDS: Readonly<Record<string, string>> = {
  ...all('g', 'gr gram grams gramm gramme grammes'),
  ...all('kg', 'kgs kilo kilos kilogram kilograms kilogramm kilogramme kilogrammes'),
  ...all('mg', 'milligram milligrams milligramm milligramme milligrammes'),
  ...all('t', 'tonne tonnes tonnen'),
  ...all('lb', 'lbs pound pounds'),
  ...all('oz', 'ounce ounces'),
  ...all('oz t', 'ozt'),
  ...all('grain', 'grains'),
  ...all('l', 'ltr litre litres liter liters'),
  ...all('ml', 'millilitre millilitres milliliter milliliters'),
  ...all('cl', 'centilitre centilitres zentiliter centiliter'),
  ...all('dl', 'decilitre decilitres deziliter deciliter'),
  ...all('hl', 'hectolitre hectolitres hektoliter'),
  ...all('m', 'metre metres meter meters mètre mètres'),
  ...all('cm', 'centimetre centimetres centimeter centimeters zentimeter centimètre centimètres'),
  ...all('mm', 'millimetre millimetres millimeter millimeters millimètre millimètres'),
  ...all('in', 'inch inches'),
  ...all('ft', 'foot feet'),
  ...all('yd', 'yard yards yds'),
  ...all('mi', 'mile miles'),
  ...all('m²', 'm2 sqm qm quadratmeter'),
  ...all('cm²', 'cm2'),
  ...all('mm²', 'mm2'),
  ...all('in²', 'in2 sqin'),
  ...all('ft²', 'ft2 sqft'),
  ...all('yd²', 'yd2'),
  ...all('m³', 'm3 cbm kubikmeter'),
  ...all('in³', 'in3'),
  ...all('ft³', 'ft3'),
  ...all('yd³', 'yd3'),
  ...all('each', 'ea pc pcs piece pieces unit units stück stücke stueck stk pce pces pièce pièces unité unités'),
  ...all('pair', 'pairs pr paar paare paire paires'),
  ...all('dozen', 'dozens doz dutzend douzaine douzaines'),
  ...all('ream', 'reams ries rame rames'),
  ...all('min', 'mins minute minutes minuten'),
  ...all('h', 'hr hrs hour hours std stunde stunden heure heures'),
  'mètre carré': 'm²',
  'mètres carrés': 'm²',
  'square metre': 'm²',
  'square metres': 'm²',
  'square foot': 'ft²',
  'square feet': 'ft²',
  'sq ft': 'ft²',
};

/** Spoons and cups: those of the United States, of Australia, and the metric ones of everywhere else. */
const KITCHEN: Readonly<Record<string, { readonly tsp: string; readonly tbsp: string; readonly cup: string }>> = {
  US: { tsp: 'US tsp', tbsp: 'US tbsp', cup: 'US cup' },
  AU: { tsp: 'metric tsp', tbsp: 'AU tbsp', cup: 'metric cup' },
  '': { tsp: 'metric tsp', tbsp: 'metric tbsp', cup: 'metric cup' },
};

const KITCHEN_WORDS = {
  ...all('tsp', 'tsps teaspoon teaspoons tl teelöffel'),
  ...all('tbsp', 'tbsps tbs tablespoon tablespoons el esslöffel'),
  ...all('cup', 'cups'),
  'c à c': 'tsp',
  'c à s': 'tbsp',
  'cuillère à café': 'tsp',
  'cuillères à café': 'tsp',
  'cuillère à soupe': 'tbsp',
  'cuillères à soupe': 'tbsp',
} as Readonly<Record<string, 'tsp' | 'tbsp' | 'cup'>>;

const LIQUID_WORDS: Readonly<Record<string, string>> = {
  ...all('fl oz', 'floz'),
  ...all('pt', 'pint pints pts'),
  ...all('qt', 'quart quarts qts'),
  ...all('gal', 'gallon gallons gals'),
  'fluid ounce': 'fl oz',
  'fluid ounces': 'fl oz',
};

function all(code: string, words: string): Record<string, string> {
  return Object.fromEntries([code, ...words.split(' ')].map((word) => [word, code]));
}

const CODES = new Set(UNITS.map(({ code }) => code));
const CODES_WITHOUT_CAPITALS = new Map(UNITS.map(({ code }) => [code.toLowerCase(), code]));

/**
 * The code of the unit that a word names in a country ("US", "DE"), or undefined: by its code, with or without capitals,
 * or by a word for it. Spoons, cups, pints and gallons are those of the country.
 *
 * @example unitNamed('KG', 'IE') // 'kg'
 * @example unitNamed('tbsp', 'US') // 'US tbsp'
 */
export function unitNamed(text: string, region = ''): string | undefined {
  const tidy = text.trim();
  if (CODES.has(tidy)) return tidy;
  // In American recipes a capital T is a tablespoon; nobody weighs tonnes of flour by it.
  if (tidy === 'T' && region === 'US') return 'US tbsp';
  const word = tidy.replace(/\./g, '').replace(/\s+/g, ' ').trim().toLowerCase();
  return (
    CODES_WITHOUT_CAPITALS.get(word) ??
    (Object.hasOwn(WORDS, word) ? WORDS[word] : undefined) ??
    kitchenUnit(word, region) ??
    liquidUnit(word, region)
  );
}

function kitchenUnit(word: string, region: string): string | undefined {
  const measure = Object.hasOwn(KITCHEN_WORDS, word) ? KITCHEN_WORDS[word] : undefined;
  return measure && (KITCHEN[region] ?? KITCHEN[''])?.[measure];
}

function liquidUnit(word: string, region: string): string | undefined {
  if (/^tons?$/.test(word)) return region === 'US' ? 'US ton' : undefined;
  const measure = Object.hasOwn(LIQUID_WORDS, word) ? LIQUID_WORDS[word] : undefined;
  return measure && `${region === 'US' ? 'US' : 'imp'} ${measure}`;
}
