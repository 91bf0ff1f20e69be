import { Day, Name, Reference, Row } from '../fields/index.js';

/** The cost card of a product as it was on a day, kept under a name. */
export class FrozenCard extends Row {
  @Reference('product', { label: 'Product', goesWithTarget: true })
  productId!: string;

  @Name({ label: 'Name' })
  name!: string;

  @Day({ label: 'Saved on' })
  frozenOn!: string;
}
