/** The kinds of product, in the owner's words. */
export const PRODUCT_KIND_WORDS = {
  made: 'made',
  bundle: 'bundle of products',
  resale: 'bought for resale',
  service: 'service',
};
