import type { MixWriting } from '@nuvar/core';
import { useMemo } from 'react';
import { useStyle } from '../../figures/use-style.js';
import { amountText, moneyText } from './words.js';

/** How the sentences about a mix write numbers in the open book. */
export function useMixWriting(): MixWriting {
  const style = useStyle();
  return useMemo(
    () => ({
      amount: (value: number) => amountText(value, style),
      money: (value: number) => moneyText(value, style),
      currency: style.currency,
    }),
    [style],
  );
}
