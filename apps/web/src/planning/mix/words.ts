import { numberText } from '@nuvar/book';
import { minorDigits, moneyDigits, plainDecimal } from '@nuvar/core';
import { written, type Style } from '../../figures/format.js';

/** A quantity or a use as it is read: up to two digits, more where it is small. */
export function amountText(value: number, { locale }: Pick<Style, 'locale'>): string {
  const digits = value !== 0 && Math.abs(value) < 1 ? 3 : 2;
  return numberText(plainDecimal(Number(value.toFixed(digits))), locale).replace('-', '−');
}

/** Money as it is read: of less than one, with the digits that it needs. */
export const moneyText = (value: number, style: Style): string =>
  written(plainDecimal(value), moneyDigits(value, minorDigits(style.currency)), style);
