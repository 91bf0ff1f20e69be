import type { MovementType } from '@nuvar/book';

/** What a movement is called in a list. */
export const MOVEMENT_WORDS: Readonly<Record<MovementType, string>> = {
  opening: 'Opening stock',
  receipt: 'Receipt',
  'return from customer': 'Return from customer',
  'late charge': 'Late charge',
  issue: 'Issue',
  'return to supplier': 'Return to supplier',
  'write-off': 'Write-off',
  count: 'Count',
};
