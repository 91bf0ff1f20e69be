import { newId, type StoredRow } from '@nuvar/book';
import type { BatchSizesView } from '@nuvar/core';
import { useMemo } from 'react';
import {
  CartesianGrid,
  Line,
  LineChart,
  ReferenceDot,
  ReferenceLine,
  ResponsiveContainer,
  XAxis,
  YAxis,
} from 'recharts';
import { createOf } from '../book/operations.js';
import { useEdit, useMayEdit, useRowsOf, useSettings } from '../book/use-book.js';
import { fieldColumn } from '../controls/field-column.js';
import { Grid } from '../controls/grid.js';
import { figureColumn, type Column } from '../controls/grid-model.js';
import { productRowsWriter } from '../controls/rows-writer.js';
import { useView } from '../engine/use-view.js';
import { Amount } from '../figures/amount.js';
import { unitWords, written } from '../figures/format.js';
import { useStyle } from '../figures/use-style.js';

type Row = StoredRow<'candidateBatch'>;
type Member = 'variableCost' | 'fullCost' | 'setUpPerUnit';

const USUAL_SIZES = ['1', '10', '25', '100'];

/** What one unit costs in batches of several sizes: as a table, and as a curve. */
export function BatchSizes({ product }: { readonly product: StoredRow<'product'> }) {
  const rows = useRowsOf('candidateBatch', 'productId', product.id);
  const view = useView('batchSizes', product.id);
  const edit = useEdit();
  const mayEdit = useMayEdit();
  const { locale, currency } = useSettings();
  const columns = useMemo((): Column<Row, Partial<Row>>[] => {
    const cost = (member: Member, header: string) =>
      figureColumn({
        id: member,
        header,
        width: '9rem',
        view: 'batchSizes',
        of: (row: Row) => row.productId,
        pick: (sizes, row) => sizes.sizes[row.id]?.[member],
        digits: 4,
      });
    return [
      fieldColumn<Row>('candidateBatch', 'batchSize', locale, { width: '8rem', placeholder: 'a size' }),
      cost('setUpPerUnit', `Set-up and the like, ${currency}`),
      cost('variableCost', `By itself, ${currency}`),
      cost('fullCost', `Full cost, ${currency}`),
    ];
  }, [locale, currency]);
  const writer = useMemo(() => productRowsWriter<Row>('candidateBatch', product.id, 'batchSize'), [product.id]);
  const unit = unitWords(product.outputUnit);
  const addUsual = () =>
    edit(
      USUAL_SIZES.map((batchSize, position) =>
        createOf('candidateBatch', newId(), { productId: product.id, position, batchSize }),
      ),
    );
  return (
    <section aria-label="Batch sizes">
      <p className="mb-2">
        One {unit} costs <Amount figure={view?.fullCost} digits={4} withUnit /> in batches of{' '}
        <Amount figure={view?.started} digits={0} />. <Amount figure={view?.costPerUnit} digits={4} /> of it by itself
        whatever the size; <Amount figure={view?.costPerBatch} digits={2} withUnit /> is spent on each batch once.
      </p>
      <Grid
        title="Batch sizes"
        rows={rows}
        columns={columns}
        writer={writer}
        nameOf={({ batchSize }) => `batches of ${batchSize ?? 'no size yet'}`}
        empty="Type a size into the empty row to see what one unit would cost in such batches."
      />
      {rows.length === 0 && mayEdit && (
        <button type="button" className="button mt-2" onClick={addUsual}>
          Compare 1, 10, 25 and 100
        </button>
      )}
      {view && view.curve.length > 0 && <BatchChart view={view} rows={rows} unit={unit} />}
    </section>
  );
}

interface BatchChartProps {
  readonly view: BatchSizesView;
  readonly rows: readonly Row[];
  readonly unit: string;
}

function BatchChart({ view, rows, unit }: BatchChartProps) {
  const style = useStyle();
  const { currency } = style;
  const started = Number(view.started.amount ?? 0);
  const now = Number(view.fullCost.amount ?? 0);
  const top = Math.min(Math.max(...view.curve.map(({ cost }) => cost)), now * 3);
  const largest = view.curve.at(-1);
  const title =
    view.costPerBatch.amount === '0'
      ? `The size of a batch makes no difference: nothing is spent on each batch once`
      : `Larger batches spread what each batch costs: from ${written(String(now), 2, style)} ${currency} in batches of ${written(String(started), 0, style)} to ${written(String(largest?.cost ?? 0), 2, style)} in batches of ${written(String(largest?.size ?? 0), 0, style)}`;
  return (
    <figure className="chart mt-4" aria-label={title}>
      <figcaption className="detail-heading">{title}</figcaption>
      <ResponsiveContainer width="100%" height={220}>
        <LineChart
          data={[...view.curve]}
          margin={{ top: 8, right: 24, bottom: 22, left: 12 }}
          accessibilityLayer={false}
        >
          <CartesianGrid stroke="var(--line)" vertical={false} />
          <XAxis
            dataKey="size"
            type="number"
            domain={[0, 'dataMax']}
            tickFormatter={(value: number) => value.toFixed(0)}
            stroke="var(--soft)"
            fontSize={12}
            label={{
              value: `${unit}s started in a batch`,
              position: 'insideBottom',
              offset: -12,
              fill: 'var(--soft)',
              fontSize: 12,
            }}
          />
          <YAxis
            domain={[0, top]}
            allowDataOverflow
            tickFormatter={(value: number) => written(String(value), 2, style)}
            stroke="var(--soft)"
            fontSize={12}
            width={64}
            label={{
              value: `full cost, ${currency} a ${unit}`,
              angle: -90,
              position: 'insideLeft',
              fill: 'var(--soft)',
              fontSize: 12,
              style: { textAnchor: 'middle' },
            }}
          />
          <Line dataKey="cost" stroke="var(--accent)" strokeWidth={2} dot={false} isAnimationActive={false} />
          <ReferenceLine
            x={started}
            stroke="var(--soft)"
            strokeDasharray="4 3"
            label={{ value: 'now', fill: 'var(--soft)', fontSize: 12, position: 'insideTopRight' }}
          />
          {rows.map(({ id, batchSize }) => {
            const cost = view.sizes[id]?.fullCost.amount;
            if (batchSize === null || cost == null || Number(cost) > top) return null;
            return (
              <ReferenceDot
                key={id}
                x={Number(batchSize)}
                y={Number(cost)}
                r={4}
                fill="var(--accent)"
                stroke="var(--paper)"
              />
            );
          })}
        </LineChart>
      </ResponsiveContainer>
    </figure>
  );
}
