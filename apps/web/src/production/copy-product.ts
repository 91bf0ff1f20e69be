import { withoutVersion, type BookReader, type Kind, type Operation, type StoredRow } from '@nuvar/book';

const BELONGINGS = [
  'billLine',
  'labourStep',
  'equipmentUse',
  'otherCost',
  'recoveredScrap',
  'typedCost',
  'candidateBatch',
  'itemConversion',
] as const satisfies readonly Kind[];

/** The operations that duplicate a product with all that makes its cost, under another name. Its GTIN stays its own. */
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
  return [create('product', id, { ...withoutVersion(product), name, gtin: '' }), ...belongings];
}
