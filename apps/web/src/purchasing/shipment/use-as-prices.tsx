import { newId, type Operation, type StoredRow } from '@nuvar/book';
import { createOf, updateOf } from '../../book/operations.js';
import { model } from '../../book/model.js';
import { useEdit, useMayEdit, useSettings } from '../../book/use-book.js';
import { useView } from '../../engine/use-view.js';
import { counted } from '../../figures/format.js';
import { noticed } from '../../state/notices-slice.js';
import { useAppDispatch } from '../../state/store.js';

/**
 * Makes the prices of a shipment those that its materials are planned by: a supplier price from the day of the shipment,
 * and what came on top as the landed add-on. One undo takes it all back.
 */
export function UseAsPrices({ shipment }: { readonly shipment: StoredRow<'shipment'> }) {
  const { prices, missing } = useView('landedPrices', shipment.id) ?? { prices: [], missing: [] };
  const edit = useEdit();
  const mayEdit = useMayEdit();
  const { locale } = useSettings();
  const dispatch = useAppDispatch();
  if (!mayEdit || (prices.length === 0 && missing.length === 0)) return null;
  const use = () => {
    const operations = prices.flatMap(({ materialId, addOn, ...price }): Operation[] => {
      const material = model.rows.row('material', materialId);
      if (material === undefined) return [];
      const { supplierId, date } = shipment;
      return [
        createOf('supplierPrice', newId(), { ...price, materialId, supplierId, validFrom: date, orderedPacks: '1' }),
        ...updateOf('material', material, {
          landedAddOn: addOn === '0' ? null : addOn,
          landedAddOnBasis: 'amount per base unit',
        }),
      ];
    });
    const problem = edit(operations)[0];
    const done = `Prices and landed add-ons of ${counted(prices.length, 'material', locale)} set. One undo takes them back.`;
    dispatch(noticed(problem === undefined ? { sentence: done } : { sentence: problem.sentence, tone: 'problem' }));
  };
  return (
    <p className="mt-3 flex flex-wrap items-center gap-3">
      <button type="button" className="btn" disabled={missing.length > 0} onClick={use}>
        Use for planning
      </button>
      <span className="text-soft">
        {missing.length === 0
          ? 'Sets the price and the landed add-on of each material from this shipment.'
          : `The landed cost has to be complete before materials are planned by it: ${missing.join('; ')}.`}
      </span>
    </p>
  );
}
