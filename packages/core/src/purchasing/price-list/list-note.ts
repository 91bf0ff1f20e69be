/** Why a row of a price list is not understood, or what it still lacks. `{name}` stands for a value of the note. */
const LIST_NOTES = {
  'no-name': 'it has no name',
  'name-too-long': 'its name has more than 120 characters',
  'name-not-text': 'its name contains a character that cannot be stored',
  'name-like-formula': 'its name looks like a formula: {name}',
  'no-price': 'it has no price',
  'not-a-price': '"{text}" is not a price',
  'price-below-zero': 'its price is below zero',
  'price-too-large': 'its price is too large',
  'not-a-currency': '"{text}" is not a currency code',
  'not-a-day': '"{text}" is not a day',
  'not-a-pack': '"{text}" is not a pack',
  'unknown-unit': '"{text}" is not a unit in this book yet',
  'supplier-too-long': 'the name of its supplier is too long',
  'code-too-long': 'its code is too long',
  'stands-already': 'it is the same as line {line}',
  'no-way-between-units': '{from} cannot be converted to {to} yet: add a unit conversion',
} as const;

/** Why a row of a price list is not understood, or what is to be known of it: a code, and the values of its sentence. */
export interface ListNote {
  readonly code: keyof typeof LIST_NOTES;
  readonly values: Readonly<Record<string, string>>;
}

/** The longest piece of a list that a note repeats. */
const MOST_LETTERS = 30;

/** A note with its values; the sentence is made last. */
export function listNote(code: ListNote['code'], values: Readonly<Record<string, string>> = {}): ListNote {
  const short = Object.entries(values).map(([name, value]) => [name, value.slice(0, MOST_LETTERS)]);
  return { code, values: Object.fromEntries(short) as Record<string, string> };
}

/** The sentence of a note, made last. */
export function listNoteSentence({ code, values }: ListNote): string {
  return LIST_NOTES[code].replace(/\{(\w+)\}/g, (_all, name: string) => values[name] ?? '?');
}
