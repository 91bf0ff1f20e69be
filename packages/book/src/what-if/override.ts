import type { Kind } from '../kinds.js';

/** Puts another value in the place of a field of a row, in a what-if or a trial: set to it, moved by an amount, or multiplied. */
export type FieldOverride = { readonly kind: Kind; readonly id: string; readonly field: string } & (
  | { readonly how: 'set'; readonly value: string | number | boolean | null }
  | { readonly how: 'add' | 'scale'; readonly by: string }
);

/** Adds a whole row, or takes one away. */
export type RowOverride = { readonly kind: Kind; readonly id: string } & (
  | { readonly how: 'create'; readonly row: { readonly id: string } & Readonly<Record<string, unknown>> }
  | { readonly how: 'remove' }
);

export type Override = FieldOverride | RowOverride;

/** True for a change of one field. */
export const isOfField = (override: Override): override is FieldOverride => 'field' in override;
