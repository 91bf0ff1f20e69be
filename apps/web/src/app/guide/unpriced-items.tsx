import type { StoredRow } from '@nuvar/book';
import { useAll, useRowsOf, useVersion } from '../../book/use-book.js';
import { model } from '../../book/model.js';
import { PackPrice } from './pack-price.js';
import { DetailHeading } from '../../figures/detail-heading.js';
import { Fields } from '../../controls/fields/fields.js';

/** The materials of a product whose price nobody has typed yet, with the fields for it. */
export function UnpricedItems({ product }: { readonly product: StoredRow<'product'> }) {
  const lines = useRowsOf('billLine', 'productId', product.id);
  const materials = useAll('material');
  useVersion('supplierPrice');
  const used = materials.filter(({ id }) => lines.some(({ materialId }) => materialId === id));
  const open = used.filter(({ id }) =>
    model.rows.rowsWith('supplierPrice', 'materialId', id).every(({ price }) => price === null),
  );
  if (open.length === 0) return null;
  return (
    <section aria-label="Pack prices" className="mt-4">
      <DetailHeading as="h2">What does a pack cost?</DetailHeading>
      <Fields className="max-w-xl">
        {open.map((material) => (
          <PackPrice key={material.id} material={material} />
        ))}
      </Fields>
    </section>
  );
}
