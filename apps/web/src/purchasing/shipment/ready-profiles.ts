/**
 * Customs profiles to begin with, by what the customs law of each takes as customs value and as base of the import tax.
 * The rates are the standard ones and change: each profile is to be checked before use.
 */
export const READY_PROFILES = [
  { label: 'EU', name: 'EU (check before use)', valueKind: 'CIF', importTaxPercent: '20' },
  { label: 'United Kingdom', name: 'United Kingdom (check before use)', valueKind: 'CIF', importTaxPercent: '20' },
  {
    label: 'Australia',
    name: 'Australia (check before use)',
    valueKind: 'FOB',
    importTaxPercent: '10',
    taxOnInland: false,
  },
  {
    label: 'Canada',
    name: 'Canada (check before use)',
    valueKind: 'FOB',
    importTaxPercent: '5',
    taxOnFreight: false,
    taxOnInsurance: false,
    taxOnInland: false,
  },
  {
    label: 'United States',
    name: 'United States (check before use)',
    valueKind: 'FOB',
    importTaxPercent: '0',
    taxOnFreight: false,
    taxOnInsurance: false,
    taxOnInland: false,
  },
] as const;
