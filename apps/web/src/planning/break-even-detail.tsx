import type { StoredRow } from '@nuvar/book';
import { useMemo } from 'react';
import { Link, useSearchParams } from 'react-router';
import { nextPosition } from '../book/operations.js';
import { model } from '../book/model.js';
import { useAll, useBookPath, useRow, useRowsOf, useSettings } from '../book/use-book.js';
import { fieldColumn } from '../controls/field-column.js';
import { Grid } from '../controls/grid.js';
import { figureColumn, type Column } from '../controls/grid-model.js';
import { rowsWriter } from '../controls/rows-writer.js';
import { useView } from '../engine/use-view.js';
import { Amount } from '../figures/amount.js';
import { unitWords } from '../figures/format.js';
import { BreakEvenChart } from './break-even-chart.js';

type Row = StoredRow<'candidatePrice'>;
type Against = 'ofBook' | 'ofShare';

/** The break-even of one product at candidate prices side by side, kept in the book. */
export function BreakEvenDetail({ productId }: { productId: string }) {
  const product = useRow('product', productId);
  const channels = useAll('channel');
  const point = useRowsOf('pricePoint', 'productId', productId)[0];
  const candidates = useRowsOf('candidatePrice', 'productId', productId);
  const [parameters, setParameters] = useSearchParams();
  const against: Against = parameters.get('against') === 'share' ? 'ofShare' : 'ofBook';
  const path = useBookPath();
  const { locale, currency } = useSettings();
  const overhead = useView('overhead');
  const channelId = point?.channelId ?? channels[0]?.id;
  const taxInside = useSettings().pricesIncludeTax;
  const inside = point?.taxInside ?? taxInside;
  const columns = useMemo((): Column<Row, Partial<Row>>[] => {
    const figure = (
      id: string,
      header: string,
      width: string,
      name: 'units' | 'unitsPerOpenDay' | 'revenue',
      digits: number,
    ) =>
      figureColumn({
        id,
        header,
        width,
        view: 'candidate',
        of: (row: Row) => row.id,
        pick: (view) => view[against][name],
        digits,
      });
    return [
      fieldColumn<Row>('candidatePrice', 'price', locale, {
        width: '7rem',
        header: `Price, ${currency}`,
        placeholder: 'Another price',
      }),
      figureColumn({
        id: 'contribution',
        header: 'Each sale leaves',
        width: '7.5rem',
        view: 'candidate',
        of: (row: Row) => row.id,
        pick: (view) => view.contribution,
        digits: 2,
      }),
      figure('units', 'Units a month', '8rem', 'units', 0),
      figure('perDay', 'Units an open day', '8.5rem', 'unitsPerOpenDay', 1),
      figure('revenue', 'Revenue before tax', '9rem', 'revenue', 2),
    ];
  }, [locale, currency, against]);
  const writer = useMemo(
    () =>
      rowsWriter<Row>('candidatePrice', {
        needs: 'price',
        fixed: (before) => ({
          productId,
          channelId,
          position: nextPosition(
            'candidatePrice',
            model.rows.rowsWith('candidatePrice', 'productId', productId),
            before,
          ),
        }),
      }),
    [productId, channelId],
  );
  if (product === undefined) {
    return (
      <section className="detail" aria-label="Break-even">
        <p className="empty">This product is no longer in the book.</p>
      </section>
    );
  }
  if (channelId === undefined) {
    return (
      <section className="detail" aria-label={product.name}>
        <h2 className="detail-title">{product.name}</h2>
        <p>
          To say how many must be sold, set a first price.{' '}
          <Link className="link" to={`${path}/sell/${productId}`}>
            Set its price
          </Link>
        </p>
      </section>
    );
  }
  const unit = unitWords(product.outputUnit);
  return (
    <section className="detail" aria-label={product.name}>
      <h2 className="detail-title">{product.name}</h2>
      <p className="mb-1">How many must be sold in a month before the first is earned (break-even)?</p>
      <fieldset className="flex flex-wrap items-center gap-x-5 gap-y-1">
        <legend className="text-soft">To cover</legend>
        {(['ofBook', 'ofShare'] as const).map((choice) => (
          <label key={choice} className="flex items-center gap-2">
            <input
              type="radio"
              className="radio radio-sm"
              name="against"
              checked={against === choice}
              onChange={() => setParameters(choice === 'ofShare' ? { against: 'share' } : {}, { replace: true })}
            />
            {choice === 'ofBook'
              ? 'all running costs of the book, from this product alone'
              : 'the share of the running costs that it carries'}
          </label>
        ))}
      </fieldset>
      <FixedCost against={against} total={overhead?.total} candidate={candidates[0]?.id} currency={currency} />
      <Grid
        title={`Candidate prices${inside ? ', tax inside' : ', before tax'}`}
        rows={candidates}
        columns={columns}
        writer={writer}
        nameOf={(row) => `candidate price ${row.price ?? ''}`}
        empty={`Type a price into the empty row to see how many must be sold at it. The set price is ${point?.price ?? 'not there yet'}.`}
      />
      <p className="text-soft text-sm">
        Units are rounded up: a part of a {unit} cannot be sold. An open day counts the exact units.
      </p>
      {candidates.length > 0 && <BreakEvenChart candidates={candidates} against={against} unit={unit} />}
    </section>
  );
}

interface FixedCostProps {
  readonly against: Against;
  readonly total: Parameters<typeof Amount>[0]['figure'];
  readonly candidate: string | undefined;
  readonly currency: string;
}

function FixedCost({ against, total, candidate, currency }: FixedCostProps) {
  const view = useView('candidate', candidate ?? '');
  const figure = against === 'ofBook' ? total : candidate === undefined ? undefined : view?.ofShare.fixedCost;
  if (figure === undefined) return null;
  return (
    <p>
      Fixed cost to cover: <Amount figure={figure} digits={2} className="font-semibold" /> {currency} a month
    </p>
  );
}
