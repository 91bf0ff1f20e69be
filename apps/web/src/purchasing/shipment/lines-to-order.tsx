import { newId, type Operation, type StoredRow } from '@nuvar/book';
import { model } from '../../book/model.js';
import { useEdit, useMayEdit, useSettings } from '../../book/use-book.js';
import { useView } from '../../engine/use-view.js';
import { counted } from '../../figures/format.js';
import { noticed } from '../../state/notices-slice.js';
import { useAppDispatch } from '../../state/store.js';
import { lineWriter } from './line-writer.js';

/** Takes over what is at or below its reorder level, in the quantity that costs least in a year. */
export function LinesToOrder({ shipment }: { readonly shipment: StoredRow<'shipment'> }) {
  const toOrder = useView('toOrder', 'book') ?? [];
  const edit = useEdit();
  const mayEdit = useMayEdit();
  const { locale } = useSettings();
  const dispatch = useAppDispatch();
  const lines = model.rows.rowsWith('shipmentLine', 'shipmentId', shipment.id);
  const wanted = toOrder.filter(
    ({ materialId }) => isOfSupplier(materialId, shipment) && !lines.some((line) => line.materialId === materialId),
  );
  if (!mayEdit || wanted.length === 0) return null;
  const add = () => {
    const writer = lineWriter(shipment);
    const operations = wanted.reduce<readonly Operation[]>((before, { materialId, quantity }) => {
      const unit = model.rows.row('material', materialId)?.baseUnit ?? 'each';
      return [...before, ...(writer.create(newId(), { materialId, quantity, unit }, before) ?? [])];
    }, []);
    const [problem] = edit(operations);
    const done = `${counted(wanted.length, 'line', locale)} added, in the quantity that costs least in a year.`;
    dispatch(noticed(problem === undefined ? { sentence: done } : { sentence: problem.sentence, tone: 'problem' }));
  };
  return (
    <button type="button" className="link link-primary" onClick={add}>
      Add {counted(wanted.length, 'material', locale)} below the reorder level
    </button>
  );
}

/** True where the supplier of the shipment has a price for it, or the shipment names no supplier. */
function isOfSupplier(materialId: string, { supplierId }: StoredRow<'shipment'>): boolean {
  const prices = model.rows.rowsWith('supplierPrice', 'materialId', materialId);
  return supplierId === null || prices.some((price) => price.supplierId === supplierId);
}
