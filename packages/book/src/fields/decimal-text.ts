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
 */
export function compareDecimalText(left: string, right: string): number {
  const scale = 12;
  const scaled = (text: string) => {
    const [whole = '0', fraction = ''] = text.replace('-', '').split('.');
    const magnitude = BigInt(whole + fraction.padEnd(scale, '0'));
    return text.startsWith('-') ? -magnitude : magnitude;
  };
  const [first, second] = [scaled(left), scaled(right)];
  return first < second ? -1 : first > second ? 1 : 0;
}
