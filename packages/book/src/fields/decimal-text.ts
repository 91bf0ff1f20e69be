/**
 * A decimal as it travels in rows, files and over HTTP: "12.50", "-0.003".
 * At most 15 digits before the point and 12 after it; no exponent, no plus sign, no leading zeros, no "-0".
 */
const DECIMAL_TEXT = /^(?!-0(\.0+)?$)-?(0|[1-9]\d{0,14})(\.\d{1,12})?$/;

/** Says whether a value is a decimal string in the form that rows hold. */
export function isDecimalText(value: unknown): value is string {
  return typeof value === 'string' && DECIMAL_TEXT.test(value);
}

/**
 * Compares two decimal strings without turning them into binary floats.
 * Returns a negative number, 0 or a positive number, as a sort function does.
 *
 * @example compareDecimalText('-0.5', '0.25') // -1
 */
export function compareDecimalText(left: string, right: string): number {
  const [one, other] = [partsOf(left), partsOf(right)];
  if (one.sign !== other.sign) return one.sign - other.sign;
  // Without leading zeros, more digits are a larger number; of as many digits the order of the alphabet is that of size.
  const magnitude =
    one.whole.length - other.whole.length || inOrder(one.whole, other.whole) || inOrder(one.fraction, other.fraction);
  // Two that are the same are 0, never the -0 that a negative sign would make of it.
  return magnitude === 0 ? 0 : one.sign * Math.sign(magnitude);
}

/**
 * The sum of decimal strings, without binary floats.
 *
 * @example sumOfDecimalTexts(['0.1', '0.2', '-1']) // "-0.7"
 */
export function sumOfDecimalTexts(texts: readonly string[]): string {
  const sum = texts.reduce((so, text) => {
    const { sign, whole, fraction } = partsOf(text);
    return so + BigInt(sign) * BigInt(whole + fraction);
  }, 0n);
  const digits = String(sum < 0n ? -sum : sum).padStart(DECIMALS + 1, '0');
  const fraction = digits.slice(-DECIMALS).replace(/0+$/, '');
  return `${sum < 0n ? '-' : ''}${digits.slice(0, -DECIMALS)}${fraction === '' ? '' : `.${fraction}`}`;
}

const DECIMALS = 12;

function partsOf(text: string) {
  const [whole = '0', fraction = ''] = (text.startsWith('-') ? text.slice(1) : text).split('.');
  const sign = /^[0.-]*$/.test(text) ? 0 : text.startsWith('-') ? -1 : 1;
  return { sign, whole, fraction: fraction.padEnd(DECIMALS, '0') };
}

const inOrder = (one: string, other: string) => (one < other ? -1 : one > other ? 1 : 0);
