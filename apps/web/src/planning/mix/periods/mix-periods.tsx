import type { StoredRow } from '@nuvar/book';
import { useMemo } from 'react';
import { model } from '../../../book/model.js';
import { nextPosition, updateOf } from '../../../book/operations.js';
import { useRowsOf, useSettings, useVersion } from '../../../book/use-book.js';
import { fieldColumn } from '../../../controls/grid/field-column.js';
import { Fields } from '../../../controls/fields/fields.js';
import { Grid, type GridProps } from '../../../controls/grid/grid.js';
import { type Column, figureColumn, type GridWriter } from '../../../controls/grid/grid-model.js';
import { RowField } from '../../../controls/fields/row-field.js';
import { rowsWriter } from '../../../controls/grid/rows-writer.js';
import { useView } from '../../../engine/use-view.js';
import { nameOfMixProduct, nameOfMixResource, type MixProductRow, type MixResourceRow } from '../mix-rows.js';
import { periodColumns, type PeriodRow, periodWriter } from './period-columns.js';

/** The periods of a plan, and what is different in each: what is asked for, what there is; and the stock that is carried over. */
export function MixPeriods({ planId }: { readonly planId: string }) {
  const periods = useRowsOf('mixPeriod', 'planId', planId);
  const { locale } = useSettings();
  const columns = useMemo(
    () => [
      fieldColumn<PeriodRow>('mixPeriod', 'name', locale, { placeholder: 'First week' }),
      {
        ...fieldColumn<PeriodRow>('mixPeriod', 'openDays', locale),
        emptyText: () => 'an equal part of the plan',
      },
    ],
    [locale],
  );
  const writer = useMemo(
    () =>
      rowsWriter<PeriodRow>('mixPeriod', {
        needs: 'name',
        fixed: (before) => ({
          planId,
          position: nextPosition('mixPeriod', model.rows.rowsWith('mixPeriod', 'planId', planId), before),
        }),
      }),
    [planId],
  );
  return (
    <>
      <Grid
        title="Periods"
        rows={periods}
        columns={columns}
        writer={writer}
        nameOf={({ name }) => name}
        empty="One period so far. Name several, a month by weeks: what is not sold in one is in stock for the next, and hours that are not used are gone."
      />
      {periods.length > 0 && (
        <>
          <Demand planId={planId} periods={periods} title="Sold at most" field="maximum" />
          <Demand planId={planId} periods={periods} title="Sold at least" field="minimum" />
          <Stock planId={planId} />
          <div className="mt-2">
            <Fields inTwo>
              <RowField
                kind="mixPlan"
                id={planId}
                field="interestPercent"
                label="Interest on stock"
                suffix="% a year"
              />
            </Fields>
          </div>
          <p className="mt-6 text-soft">
            Left empty, a period has its share of what the plan has, by its open days. Stock that is kept is all there
            at the start, and nothing comes in later.
          </p>
          <Supply planId={planId} periods={periods} title="Available in each period" field="available" />
          <Supply planId={planId} periods={periods} title="Extra in each period, up to" field="extra" />
        </>
      )}
    </>
  );
}

interface InPeriods<Field> {
  readonly planId: string;
  readonly periods: readonly PeriodRow[];
  readonly title: string;
  readonly field: Field;
}

type LinesProps<Row extends { readonly id: string }, Patch extends object> = Pick<
  GridProps<Row, Patch>,
  'title' | 'rows' | 'columns' | 'writer' | 'nameOf'
>;

/** Lines that are made and removed elsewhere, with what is different in each period; nothing where there are none. */
function Lines<Row extends { readonly id: string }, Patch extends object>(props: LinesProps<Row, Patch>) {
  if (props.rows.length === 0) return null;
  return (
    <div className="mt-6">
      <Grid {...props} hasNewRow={false} canRemove={false} />
    </div>
  );
}

/** How much of each line is asked for in each period. */
function Demand({ planId, periods, title, field }: InPeriods<'minimum' | 'maximum'>) {
  const rows = useRowsOf('mixProduct', 'planId', planId);
  const { locale } = useSettings();
  const version = useVersion('mixPeriodProduct', 'product', 'channel');
  const { columns, writer } = useMemo(() => {
    const cellOf = (row: MixProductRow) => ({
      of: (periodId: string) => ({ kind: 'mixPeriodProduct', mixProductId: row.id, periodId }) as const,
      field,
    });
    return { columns: [NAME_OF_PRODUCT, ...periodColumns(periods, locale, cellOf)], writer: periodWriter(cellOf) };
    // eslint-disable-next-line react-hooks/exhaustive-deps -- what is typed is that of this version
  }, [periods, locale, field, version]);
  return <Lines title={title} rows={rows} columns={columns} writer={writer} nameOf={nameOfMixProduct} />;
}

const NAME_OF_PRODUCT = {
  id: 'product',
  header: 'Product',
  type: 'shown',
  text: nameOfMixProduct,
  cell: nameOfMixProduct,
} as const;

/** The products with their stock before and after, and what holding it costs. */
function Stock({ planId }: { readonly planId: string }) {
  const all = useRowsOf('mixProduct', 'planId', planId);
  const view = useView('mix', planId);
  const { locale, currency } = useSettings();
  const heads = view?.schedule?.products.map(({ id }) => id);
  const rows = heads === undefined ? [] : all.filter(({ id }) => heads.includes(id));
  const columns = useMemo((): Column<MixProductRow, Partial<MixProductRow>>[] => {
    const field = (name: keyof MixProductRow & string, header?: string) =>
      fieldColumn<MixProductRow>('mixProduct', name, locale, header === undefined ? {} : { header });
    return [
      {
        id: 'product',
        header: 'Product',
        type: 'shown',
        text: nameOfProduct,
        cell: nameOfProduct,
      },
      figureColumn({
        id: 'makingCost',
        header: `Making cost, ${currency}`,
        view: 'mixStockTerms',
        digits: 2,
        of: ({ id }: MixProductRow) => id,
        pick: (terms) => terms.makingCost,
      }),
      field('openingStock'),
      { ...field('closingStock'), emptyText: () => 'as opening' },
      field('storageCost', `Storage per period, ${currency}`),
      { ...field('keepsFor'), emptyText: () => 'no limit' },
    ];
  }, [locale, currency]);
  return (
    <Lines title="Stock carried over" rows={rows} columns={columns} writer={STOCK_WRITER} nameOf={nameOfProduct} />
  );
}

/** A product without its channel: all of them take from one stock. */
const nameOfProduct = (row: MixProductRow): string => nameOfMixProduct({ ...row, channelId: null });

const STOCK_WRITER: GridWriter<MixProductRow, Partial<MixProductRow>> = {
  update: (row, patch) => updateOf('mixProduct', row, patch),
  create: () => null,
  remove: () => [],
};

const isOfHours = ({ gradeId, equipmentId, runId }: StoredRow<'mixResource'>): boolean =>
  gradeId !== null || equipmentId !== null || runId !== null;

/** How much of each resource there is in each period. */
function Supply({ planId, periods, title, field }: InPeriods<'available' | 'extra'>) {
  const all = useRowsOf('mixResource', 'planId', planId);
  const { locale } = useSettings();
  const version = useVersion('mixPeriodResource', 'product', 'material', 'labourGrade', 'equipment');
  const { columns, writer } = useMemo(() => {
    const cellOf = (row: MixResourceRow) => ({
      of: (periodId: string) => ({ kind: 'mixPeriodResource', resourceId: row.id, periodId }) as const,
      field,
    });
    return {
      columns: [NAME_OF_RESOURCE, ...periodColumns(periods, locale, cellOf)],
      writer: periodWriter(cellOf),
    };
    // eslint-disable-next-line react-hooks/exhaustive-deps -- what is typed is that of this version
  }, [periods, locale, field, version]);
  // The extra of what is kept is bought once, for all periods.
  const rows = field === 'extra' ? all.filter((row) => isOfHours(row) || (isOwn(row) && !row.isKept)) : all;
  return <Lines title={title} rows={rows} columns={columns} writer={writer} nameOf={nameOfMixResource} />;
}

const isOwn = ({ materialId, componentId }: StoredRow<'mixResource'>) => materialId === null && componentId === null;

const NAME_OF_RESOURCE = {
  id: 'resource',
  header: 'Resource',
  type: 'shown',
  text: nameOfMixResource,
  cell: nameOfMixResource,
} as const;
