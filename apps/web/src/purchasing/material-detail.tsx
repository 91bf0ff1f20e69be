import { Link } from 'react-router';
import { useBookPath, useRow, useSettings } from '../book/use-book.js';
import { RowField } from '../controls/row-field.js';
import { useView } from '../engine/use-view.js';
import { unitWords } from '../figures/format.js';
import { Amount } from '../figures/amount.js';
import { LeadFigure } from '../figures/lead-figure.js';
import { ConversionsGrid } from './conversions-grid.js';
import { MATERIAL_KIND_WORDS } from './material-columns.js';
import { PLANNING_WORDS } from './planning-words.js';
import { PricesGrid } from './prices-grid.js';

/** One material beside the grid: its price in every unit that fits, where the price comes from, and what it goes into. */
export function MaterialDetail({ id }: { id: string }) {
  const material = useRow('material', id);
  const view = useView('material', id);
  const path = useBookPath();
  const settings = useSettings();
  const { currency } = settings;
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
        <RowField
          kind="material"
          id={id}
          field="planningBasis"
          words={{ ...PLANNING_WORDS, '': `as the book: ${PLANNING_WORDS[settings.planningBasis]}` }}
        />
        {(material.planningBasis ?? settings.planningBasis) !== 'latest' && (
          <RowField
            kind="material"
            id={id}
            field="planningMonths"
            suffix="months"
            placeholder={String(settings.planningMonths)}
          />
        )}
        <RowField
          kind="material"
          id={id}
          field="bufferPercent"
          suffix="% on top"
          placeholder={settings.bufferPercent}
        />
        <RowField kind="material" id={id} field="note" />
      </div>
      <div className="mt-4">
        <PricesGrid material={material} />
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
