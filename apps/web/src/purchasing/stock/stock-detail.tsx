import type { StoredRow } from '@nuvar/book';
import type { StockMethodView, StockRowView } from '@nuvar/core';
import { useRow, useSettings } from '../../book/use-book.js';
import { useLedger } from '../../book/ledger-rows.js';
import { SelectInput } from '../../controls/fields/select-input.js';
import { useParameter } from '../../controls/layout/use-parameter.js';
import { useView } from '../../engine/use-view.js';
import { Amount } from '../../figures/amount.js';
import { DetailHeading } from '../../figures/detail-heading.js';
import { Gone } from '../../figures/empty.js';
import { unitWords } from '../../figures/format.js';
import { LeadFigure } from '../../figures/lead-figure.js';
import { ScreenLink } from '../../figures/screen-link.js';
import { useShownDay } from '../../state/store.js';
import { LedgerGrid } from './ledger-grid.js';
import { periodsBefore, type Period } from './periods.js';

/** The stock of one material: what there is, the ledger of a period, and what each method makes of it. */
export function StockDetail({ id }: { readonly id: string }) {
  const material = useRow('material', id);
  const view = useView('stockRow', id);
  const { locale, currency } = useSettings();
  const periods = periodsBefore(useShownDay(), locale);
  const [chosen, choose] = useParameter('period');
  const period = periods.find((each) => each.id === chosen) ?? (periods[0] as Period);
  if (material === undefined) return <Gone what="material" />;
  return (
    <section aria-label={material.name}>
      <h2 className="font-serif text-detail">{material.name}</h2>
      {view == null ? (
        <p className="text-soft">
          Nothing in the ledger yet. Enter what is there as opening stock, or receive it with a{' '}
          <ScreenLink to="shipments">shipment</ScreenLink>.
        </p>
      ) : (
        <InStock material={material} view={view} currency={currency} />
      )}
      <span className="mt-2 flex max-w-56">
        <SelectInput
          label="Period"
          value={period.id}
          options={periods.map((each) => ({ value: each.id, label: each.label }))}
          commit={choose}
        />
      </span>
      <Ledger material={material} period={period} />
    </section>
  );
}

function InStock({
  material,
  view,
  currency,
}: {
  readonly material: StoredRow<'material'>;
  readonly view: StockRowView;
  readonly currency: string;
}) {
  const unit = unitWords(material.baseUnit);
  return (
    <>
      <LeadFigure figure={view.value} digits={2} unit={`${currency} in stock`} />
      <p className="text-soft">
        <Amount figure={view.quantity} digits={2} /> {unit}
        {view.perBaseUnit && (
          <>
            {' '}
            at <Amount figure={view.perBaseUnit} digits={4} /> {currency} per {unit}
          </>
        )}
        .
        {view.average && (
          <>
            {' '}
            Moving average <Amount figure={view.average} digits={4} />
          </>
        )}
        {view.oldest && (
          <>
            , oldest stock <Amount figure={view.oldest} digits={4} />.
          </>
        )}
      </p>
      {view.isBelowZero && (
        <p role="alert" className="alert alert-warning alert-soft mt-1.5">
          More went out than ever came in. What is short is costed provisionally until a receipt covers it: enter the
          receipt that is missing, or count what is there.
        </p>
      )}
      {view.writeDown && (
        <p className="alert alert-warning alert-soft mt-1.5">
          <span>
            The stock is worth <Amount figure={view.writeDown} digits={2} withUnit /> more than it brings:{' '}
            {view.isForResale
              ? 'sold, less the costs to sell it, it brings'
              : 'what it goes into sells below cost, and buying it again would cost'}{' '}
            <Amount figure={view.writtenDownTo ?? undefined} digits={4} /> {currency} per {unit}.
          </span>
        </p>
      )}
    </>
  );
}

function Ledger({ material, period }: { readonly material: StoredRow<'material'>; readonly period: Period }) {
  const { begun, problems } = useLedger('stockMovement', material.id, period.from, period.to);
  const key = `${material.id}@${period.from}@${period.to}@${begun ?? period.from}`;
  const view = useView('stockPeriod', key);
  const [problem] = problems;
  if (problem !== undefined) return <p className="mt-2 text-error">{problem.sentence}</p>;
  return (
    <>
      <LedgerGrid
        material={material}
        period={period}
        viewKey={key}
        entries={view?.entries ?? []}
        isThere={begun !== null}
      />
      {view && begun !== null && view.methods.length > 0 && view.entries.length > 0 && (
        <MethodsTable methods={view.methods} label={period.label} />
      )}
    </>
  );
}

const METHOD_LABELS: Readonly<Record<StockMethodView['method'], string>> = {
  'moving average': 'Moving average',
  'first in, first out': 'First in, first out',
  'periodic average': 'Average of the period',
  'periodic first in, first out': 'First in, first out of the period',
  standard: 'Standard price',
};

/** What each method of valuation makes of the same movements. */
function MethodsTable({ methods, label }: { readonly methods: readonly StockMethodView[]; readonly label: string }) {
  const { currency } = useSettings();
  const isThere = (member: 'toSupplier' | 'writtenOff') => methods.some((method) => method[member] !== null);
  const numbers = [
    ['opening', 'Opening'],
    ['received', 'Received'],
    ['used', 'Cost of use'],
    ...(isThere('toSupplier') ? [['toSupplier', 'To supplier'] as const] : []),
    ...(isThere('writtenOff') ? [['writtenOff', 'Written off'] as const] : []),
    ['closing', 'Closing'],
  ] as const;
  const hasVariance = methods.some(({ priceVariance }) => priceVariance?.amount != null);
  return (
    <section aria-label="Methods of valuation" className="mt-4">
      <DetailHeading>{`${label} by each method, ${currency}`}</DetailHeading>
      <div className="overflow-x-auto">
        <table className="table mt-1.5">
          <thead>
            <tr>
              <th scope="col">Method</th>
              {[
                ...numbers.map(([, header]) => header),
                'per unit',
                ...(hasVariance ? ['Price variance', 'Revaluation'] : []),
              ].map((header) => (
                <th key={header} scope="col" className="text-right">
                  {header}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {methods
              .filter(({ method }) => method !== 'standard' || hasVariance)
              .map(({ method, ...figures }) => (
                <tr key={method}>
                  <th scope="row" className="font-normal">
                    {METHOD_LABELS[method]}
                  </th>
                  {numbers.map(([member]) => (
                    <td key={member} className="text-right">
                      <Amount figure={figures[member] ?? undefined} digits={2} />
                    </td>
                  ))}
                  <td className="text-right">
                    <Amount figure={figures.perUnit ?? undefined} digits={4} />
                  </td>
                  {hasVariance &&
                    (['priceVariance', 'revaluation'] as const).map((member) => (
                      <td key={member} className="text-right">
                        <Amount figure={figures[member] ?? undefined} digits={2} />
                      </td>
                    ))}
                </tr>
              ))}
          </tbody>
        </table>
      </div>
    </section>
  );
}
