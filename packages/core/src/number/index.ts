export { adjusted, readAdjustment, type Adjustment } from './adjustment.js';
export { apportion, sharesInPercent } from './apportion.js';
export { CoreError } from './core-error.js';
export { Decimal, decimal, ExactDecimal, HUNDRED, isPositive, ONE, ZERO } from './decimal.js';
export { compared, orZero, subtracted, withoutNoise } from './noise.js';
export { readNumber, withPlainSigns, type DecimalSign, type ReadNumber } from './read-number.js';
export { isShortText } from './typed-text.js';
export { fallsShort, fixedDigits, roundToStep, type Rounding } from './round.js';
