import { Link } from 'react-router';
import { useBookPath, useRow, useRowsOf, useSettings } from '../book/use-book.js';
import { RowField } from '../controls/row-field.js';
import { useView } from '../engine/use-view.js';
import { unitWords } from '../figures/format.js';
import { Amount } from '../figures/amount.js';
import { LeadFigure } from '../figures/lead-figure.js';
import { ConversionsGrid } from './conversions-grid.js';
import { MATERIAL_KIND_WORDS } from './material-columns.js';
import { shownPrice } from './material-rows.js';

/** One material beside the grid: its price in every unit that fits, where the price comes from, and what it goes into. */
export function MaterialDetail({ id }: { id: string }) {
  const material = useRow('material', id);
  const price = shownPrice(useRowsOf('supplierPrice', 'materialId', id));
  const view = useView('material', id);
  const path = useBookPath();
  const { currency } = useSettings();
  if (material === undefined) {
    return (
      <section className="detail" aria-label="Material">
        <p className="empty">This material is no longer in the book.</p>
      </section>
    );
  }
  return (
    <section className="detail" aria-label={material.name}>
      <h2 className="detail-title">{material.name}</h2>
      <LeadFigure figure={view?.perBaseUnit} digits={4} unit={`${currency} per ${unitWords(material.baseUnit)}`} />
      <div className="fields">
        <RowField kind="material" id={id} field="name" />
        <RowField kind="material" id={id} field="kind" words={MATERIAL_KIND_WORDS} />
        {price && (
          <>
            <RowField kind="supplierPrice" id={price.id} field="supplierId" />
            <RowField kind="supplierPrice" id={price.id} field="packQuantity" suffix={price.packUnit} />
            <RowField kind="supplierPrice" id={price.id} field="price" suffix={price.currency} />
            {price.currency !== currency && <RowField kind="supplierPrice" id={price.id} field="currency" />}
            <RowField kind="supplierPrice" id={price.id} field="validFrom" />
          </>
        )}
        <RowField kind="material" id={id} field="note" />
      </div>
      <div className="mt-4">
        <ConversionsGrid of="material" id={id} baseUnit={material.baseUnit} />
      </div>
      {view && Object.keys(view.perOtherUnit).length > 0 && (
        <>
          <h3 className="detail-heading">The same price by other units</h3>
          <table className="plain-table">
            <tbody>
              {Object.entries(view.perOtherUnit).map(([unit, figure]) => (
                <tr key={unit}>
                  <th scope="row">
                    {currency} per {unit === 'each' ? 'piece' : unit}
                  </th>
                  <td className="text-right">
                    <Amount figure={figure} />
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </>
      )}
      <h3 className="detail-heading">Goes into</h3>
      {view?.usedIn.length === 0 && <p className="text-soft">Nothing yet. Use it in a bill of materials under Make.</p>}
      <ul>
        {view?.usedIn.map((product) => (
          <li key={product.id}>
            <Link className="link" to={`${path}/make/${product.id}`}>
              {product.name}
            </Link>
          </li>
        ))}
      </ul>
    </section>
  );
}
