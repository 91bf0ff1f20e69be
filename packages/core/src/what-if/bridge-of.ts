/** What is led from one side to the other: the result of a month, or what a product or a channel leaves in it. */
export type BridgeOf = { readonly of: 'month' } | { readonly of: 'product' | 'channel'; readonly id: string };
