/** What one unit of each currency is worth in euros around the middle of 2026. Invented, at plausible sizes. */
const IN_EUROS: ReadonlyMap<string, number> = new Map(
  Object.entries({
    EUR: 1,
    USD: 0.92,
    GBP: 1.17,
    CHF: 1.05,
    JPY: 0.0061,
    CNY: 0.128,
    INR: 0.0109,
    CAD: 0.67,
    AUD: 0.6,
    NZD: 0.55,
    SEK: 0.0885,
    NOK: 0.0855,
    DKK: 0.134,
    PLN: 0.234,
    CZK: 0.0402,
    ZAR: 0.0495,
    BRL: 0.161,
  }),
);

const DAY = 86_400_000;

/** How far a currency has swung on a day, as a factor near 1: two slow waves of its own, the same at every call. */
function swing(currency: string, day: string): number {
  const seed = [...currency].reduce((sum, letter) => sum * 31 + letter.charCodeAt(0), 7) % 1000;
  const at = Date.parse(day) / DAY + seed;
  return currency === 'EUR' ? 1 : 1 + 0.025 * Math.sin(at / 53) + 0.008 * Math.sin(at / 11);
}

/**
 * The simulated rate of one unit of a currency in another on a day, with six significant digits; null for a currency that
 * the stand-in does not know. It looks like a market and is none.
 */
export function simulatedRate(currency: string, base: string, day: string): string | null {
  const [worth, unit] = [IN_EUROS.get(currency), IN_EUROS.get(base)];
  if (worth === undefined || unit === undefined) return null;
  return String(Number(((worth * swing(currency, day)) / (unit * swing(base, day))).toPrecision(6)));
}

export const SIMULATED_CURRENCIES: readonly string[] = [...IN_EUROS.keys()];
