import type { StoredRow } from '@nuvar/book';
import { useAll, useRow, useSettings, useVersion } from '../book/use-book.js';
import { RowField } from '../controls/fields/row-field.js';
import { Sides, useSide } from '../controls/layout/sides.js';
import { useView } from '../engine/use-view.js';
import { typedText, unitWords } from '../figures/format.js';
import { Amount } from '../figures/amount.js';
import { LeadFigure } from '../figures/lead-figure.js';
import { UsedInList } from '../figures/used-in-list.js';
import { MissingConversions } from './missing-conversions.js';
import { ConversionsGrid, unitsWithoutWay } from './conversions-grid.js';
import { InForce } from './in-force.js';
import { MATERIAL_KIND_WORDS } from './material-columns.js';
import { OrderSide } from './order-side.js';
import { PLANNING_WORDS } from './planning-words.js';
import { PriceHistory } from './price-history.js';
import { PricesGrid } from './prices-grid.js';
import { ReplaceMaterial } from './replace-material.js';
import { StandardPrices } from './standard-prices.js';
import { Gone } from '../figures/empty.js';
import { DetailHeading } from '../figures/detail-heading.js';
import { Fields } from '../controls/fields/fields.js';

const SIDES = { price: 'Price', order: 'Order', units: 'Units', about: 'Details', uses: 'Where used' };

/** One material beside the grid: what it is planned to cost and why, its units, what it is, and what it goes into. */
export function MaterialDetail({ id }: { readonly id: string }) {
  const material = useRow('material', id);
  const view = useView('material', id);
  const { currency } = useSettings();
  if (material === undefined) {
    return (
      <section aria-label="Material">
        <Gone what="material" />
      </section>
    );
  }
  return (
    <section aria-label={material.name}>
      <h2 className="font-serif text-detail">{material.name}</h2>
      <LeadFigure figure={view?.perBaseUnit} digits={4} unit={`${currency} per ${unitWords(material.baseUnit)}`} />
      <InForce material={material} priceId={view?.priceInForce ?? null} />
      {view?.landed && (
        <p className="text-soft">
          <Amount figure={view.landed} digits={4} /> of it is the landed add-on.
        </p>
      )}
      <Sides sides={SIDES} label="Material details" />
      <MaterialSide material={material} />
    </section>
  );
}

function MaterialSide({ material }: { readonly material: StoredRow<'material'> }) {
  switch (useSide(SIDES)) {
    case 'order':
      return <OrderSide material={material} />;
    case 'units':
      return <MaterialUnits material={material} />;
    case 'about':
      return <AboutMaterial id={material.id} />;
    case 'uses':
      return <MaterialUses material={material} />;
    default:
      return <MaterialPrices material={material} />;
  }
}

function MaterialPrices({ material }: { readonly material: StoredRow<'material'> }) {
  const settings = useSettings();
  const suppliers = useAll('supplier');
  const { id } = material;
  const basis = material.planningBasis ?? settings.planningBasis;
  const perUnit = `${settings.currency} per ${unitWords(material.baseUnit)}`;
  useVersion('supplierPrice', 'billLine', 'itemConversion');
  const missing = unitsWithoutWay('materialId', id, material.baseUnit).map((unit) => ({
    owner: 'materialId' as const,
    id,
    name: material.name,
    unit,
    baseUnit: material.baseUnit,
  }));
  return (
    <>
      <MissingConversions missing={missing} />
      <Fields>
        <RowField
          kind="material"
          id={id}
          field="planningBasis"
          words={{ ...PLANNING_WORDS, '': `same as book: ${PLANNING_WORDS[settings.planningBasis]}` }}
        />
        {(basis === 'highest' || basis === 'average') && (
          <RowField
            kind="material"
            id={id}
            field="planningMonths"
            suffix="months"
            placeholder={String(settings.planningMonths)}
          />
        )}
        {basis === 'latest' && suppliers.length > 1 && (
          <RowField kind="material" id={id} field="preferredSupplierId" words={{ '': 'any supplier' }} />
        )}
        {basis !== 'standard' && (
          <>
            <RowField
              kind="material"
              id={id}
              field="landedAddOn"
              placeholder="none"
              {...(material.landedAddOnBasis === 'percent' ? { suffix: '% of the price' } : {})}
            />
            {material.landedAddOn !== null && (
              <RowField
                kind="material"
                id={id}
                field="landedAddOnBasis"
                words={{ percent: '% of the price', 'amount per base unit': perUnit }}
              />
            )}
          </>
        )}
        <RowField
          kind="material"
          id={id}
          field="bufferPercent"
          suffix="% on top"
          placeholder={typedText(settings.bufferPercent, settings.locale)}
        />
      </Fields>
      {basis === 'standard' && <StandardPrices material={material} />}
      <PriceHistory id={id} baseUnit={material.baseUnit} />
      <PricesGrid material={material} />
    </>
  );
}

function MaterialUnits({ material }: { readonly material: StoredRow<'material'> }) {
  const view = useView('material', material.id);
  const { currency } = useSettings();
  return (
    <>
      <ConversionsGrid of="material" id={material.id} baseUnit={material.baseUnit} />
      {view && Object.keys(view.perOtherUnit).length > 0 && (
        <>
          <DetailHeading>The same price by other units</DetailHeading>
          <table className="table">
            <tbody>
              {Object.entries(view.perOtherUnit).map(([unit, figure]) => (
                <tr key={unit}>
                  <th scope="row">
                    {currency} per {unitWords(unit)}
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
    </>
  );
}

function AboutMaterial({ id }: { readonly id: string }) {
  return (
    <Fields>
      <RowField kind="material" id={id} field="name" />
      <RowField kind="material" id={id} field="kind" words={MATERIAL_KIND_WORDS} />
      <RowField kind="material" id={id} field="code" />
      <RowField kind="material" id={id} field="category" />
      <RowField kind="material" id={id} field="tags" placeholder="between commas" />
      <RowField kind="material" id={id} field="ruleSet" placeholder="none" />
      <RowField kind="material" id={id} field="sheetLength" label="Sheet length" suffix="mm" placeholder="no sheet" />
      <RowField kind="material" id={id} field="sheetWidth" label="Sheet width" suffix="mm" placeholder="no sheet" />
      <RowField kind="material" id={id} field="cutWidth" label="Cut width" suffix="mm" />
      <RowField kind="material" id={id} field="note" />
      <RowField kind="material" id={id} field="archived" />
    </Fields>
  );
}

function MaterialUses({ material }: { readonly material: StoredRow<'material'> }) {
  const view = useView('material', material.id);
  return (
    <>
      <DetailHeading>Used in</DetailHeading>
      {view?.usedIn.length === 0 && <p className="text-soft">Nothing yet. Use it in a bill of materials under Make.</p>}
      <UsedInList usedIn={view?.usedIn ?? []} />
      {view && view.usedIn.length > 0 && <ReplaceMaterial material={material} usedIn={view.usedIn} />}
    </>
  );
}
