import { useMemo } from 'react';
import { useSettings } from '../book/use-book.js';
import type { Style } from './format.js';

/** How figures are written in the open book. */
export function useStyle(): Style {
  const { locale, currency, rounding } = useSettings();
  return useMemo(() => ({ locale, currency, rounding }), [locale, currency, rounding]);
}
