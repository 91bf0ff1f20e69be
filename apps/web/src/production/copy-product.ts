import { withoutVersion, type BookReader, type Kind, type Operation, type StoredRow } from '@nuvar/book';

const BELONGINGS = ['billLine', 'labourStep', 'otherCost'] as const satisfies readonly Kind[];

/** The operations that duplicate a product with its bill, its steps and its other costs, under another name. */
export function copyOfProduct(
  book: BookReader,
  product: StoredRow<'product'>,
  id: string,
  name: string,
  newId: () => string,
  create: (kind: Kind, id: string, fields: Record<string, unknown>) => Operation,
): Operation[] {
  const belongings = BELONGINGS.flatMap((kind) =>
    book
      .rowsWith(kind, 'productId', product.id)
      .map((row) => create(kind, newId(), { ...withoutVersion(row), productId: id })),
  );
  return [create('product', id, { ...withoutVersion(product), name }), ...belongings];
}
