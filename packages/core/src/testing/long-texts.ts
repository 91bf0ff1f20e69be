const LENGTH = 1_000_000;
const over = (piece: string) => piece.repeat(Math.ceil(LENGTH / piece.length)).slice(0, LENGTH);

/**
 * Texts of a million letters, of the kinds over which patterns take their time: all of one sort, so that everything fits
 * almost to the end, and then something that does not.
 */
export const LONG_TEXTS: Readonly<Record<string, string>> = {
  spaces: over(' '),
  'spaces and a letter': `${over(' ')}a`,
  'a letter and spaces': `a${over(' ')}!`,
  digits: over('1'),
  'digits and a letter': `${over('1')}g!`,
  'digits and spaces': `${over('1 ')}x`,
  'digits and points': `${over('1.')}x`,
  'groups of three': `1${over(',234')}x`,
  factors: `${over('1 x ')}!`,
  hours: `${over('1h ')}!`,
  letters: `1 ${over('kg ')}!`,
  capitals: `${over('EUR')}1`,
  currencies: `${over('€ ')}1!`,
  'minus signs': `${over('-')}1`,
  'lines of spaces': `${over(' ')}\n${over(' ')}\n!`,
  'on top': `5${over(' on top')}!`,
  quotes: over('"'),
  commas: over(','),
  slashes: `${over('1/')}x`,
};
