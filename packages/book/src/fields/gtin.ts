/**
 * The check digit of a Global Trade Item Number: weights 3 and 1 in turn from the digit next to it leftwards; what is
 * missing to the next ten (GS1 General Specifications, section 7.9).
 */
export function gtinCheckDigit(digitsBefore: string): string {
  const sum = [...digitsBefore]
    .reverse()
    .reduce((total, digit, index) => total + Number(digit) * (index % 2 === 0 ? 3 : 1), 0);
  return String((10 - (sum % 10)) % 10);
}

/** True for a GTIN-8, -12, -13 or -14 whose check digit is right. */
export function isGtin(text: string): boolean {
  return /^(\d{8}|\d{12,14})$/.test(text) && gtinCheckDigit(text.slice(0, -1)) === text.slice(-1);
}
