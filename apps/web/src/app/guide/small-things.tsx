import { newId, type StoredRow } from '@nuvar/book';
import { createOf, nextPosition } from '../../book/operations.js';
import { model } from '../../book/model.js';
import { useAll, useEdit, useRowsOf } from '../../book/use-book.js';
import { newMaterial } from '../../purchasing/material-rows.js';
import { PackPrice } from './pack-price.js';
import { Empty } from '../../figures/empty.js';
import { Fields } from '../../controls/fields/fields.js';

const SMALL_THINGS = ['Box', 'Label', 'Insert or card', 'Filling', 'Tape'] as const;

/** Packaging and the like: what nobody thinks of, and every piece needs. */
export function SmallThings({ product }: { readonly product: StoredRow<'product'> }) {
  const lines = useRowsOf('billLine', 'productId', product.id);
  const materials = useAll('material');
  const edit = useEdit();
  const packaging = materials.filter(
    ({ id, kind }) => kind === 'packaging' && lines.some(({ materialId }) => materialId === id),
  );
  const add = (name: string) => {
    const known = model.rows.rowsWith('material', 'name', name)[0];
    const id = known?.id ?? newId();
    const made = known === undefined ? newMaterial(id, { name, kind: 'packaging' }) : [];
    const line = {
      productId: product.id,
      position: nextPosition('billLine', lines, []),
      materialId: id,
      quantity: '1',
      unit: known?.baseUnit ?? 'each',
      basis: 'good unit',
    };
    edit([...made, createOf('billLine', newId(), line)]);
  };
  const left = SMALL_THINGS.filter((name) => !packaging.some((each) => each.name === name));
  return (
    <>
      <Fields className="max-w-xl">
        {packaging.map((material) => (
          <PackPrice key={material.id} material={material} />
        ))}
      </Fields>
      {packaging.length === 0 && <Empty>Nothing yet. Not even a bag or a label?</Empty>}
      <p className="mt-3">
        One for each piece:{' '}
        {left.map((name) => (
          <button key={name} type="button" className="btn mr-2" onClick={() => add(name)}>
            {name}
          </button>
        ))}
      </p>
      <p className="text-soft">
        Other quantities, and packaging that is in the book already, are entered under Materials.
      </p>
    </>
  );
}
