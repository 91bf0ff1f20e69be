/** The kinds of product, in the owner's words. */
export const PRODUCT_KIND_WORDS = {
  made: 'made here',
  bundle: 'bundle of products',
  resale: 'sold on as bought',
  service: 'service',
};
