import { DecimalText, Name, Row } from '../fields/index.js';

/** The sales tax of the products of a category, where it is not that of the book. */
export class SalesTaxRate extends Row {
  @Name({ label: 'Category' })
  name!: string;

  @DecimalText({ label: 'Sales tax', from: '0', to: '100' })
  percent!: string;
}
