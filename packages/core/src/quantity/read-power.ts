import { decimal, type DecimalSign, isShortText, readNumber } from '../number/index.js';

/**
 * Kilowatts in one of each. The horsepower of 550 foot-pounds a second and the metric one of 75 kilopond metres a second
 * (NIST SP 811, appendix B.8) are exact.
 */
const KILOWATTS: Readonly<Record<string, string>> = {
  w: '0.001',
  watt: '0.001',
  watts: '0.001',
  kw: '1',
  kilowatt: '1',
  kilowatts: '1',
  mw: '1000',
  hp: '0.74569987158227022',
  ps: '0.73549875',
  ch: '0.73549875',
};

const MOST_DECIMALS = 12;

/**
 * Reads a power as it stands on a type plate, "115 W", "1.5 kW", "3/4 hp", in kilowatts; a bare number is in kilowatts.
 * At most 12 digits after the point. Null where it is no power.
 *
 * @example readPower('115 W', '.') → "0.115"
 */
export function readPower(text: string, sign: DecimalSign): string | null {
  const [, amount = text, word = 'kW'] = (isShortText(text) ? /^(.*?)\s*(\p{L}+)\s*$/u.exec(text) : null) ?? [];
  const factor = Object.hasOwn(KILOWATTS, word.toLowerCase()) ? KILOWATTS[word.toLowerCase()] : undefined;
  const read = readNumber(amount, sign);
  if (factor === undefined || read === null || read.unit !== null || read.percent) return null;
  return factor === '1' ? read.value : decimal(read.value).mul(factor).toDecimalPlaces(MOST_DECIMALS).toFixed();
}
