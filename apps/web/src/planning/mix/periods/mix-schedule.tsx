import type { FigureView, MixScheduleView } from '@nuvar/core';
import { useMemo } from 'react';
import { useRowsOf, useSettings, useVersion } from '../../../book/use-book.js';
import { Grid } from '../../../controls/grid/grid.js';
import type { Column } from '../../../controls/grid/grid-model.js';
import { Amount } from '../../../figures/amount.js';
import { unitWords } from '../../../figures/format.js';
import { useStyle } from '../../../figures/use-style.js';
import { amountText } from '../words.js';
import { type PeriodCell, periodColumns, type PeriodPatch, periodWriter } from './period-columns.js';

interface MixScheduleProps {
  readonly planId: string;
  /** As it is tried by hand. */
  readonly schedule: MixScheduleView;
  readonly best: MixScheduleView | null;
}

/** What is made and sold in each period: tried by hand, with the stock that follows from it; and the best under it. */
export function MixSchedule({ planId, schedule, best }: MixScheduleProps) {
  return (
    <div className="mt-3">
      <Tried planId={planId} schedule={schedule} />
      <ScheduleTable title="Stock by hand" schedule={schedule} parts="stock" />
      {best !== null && <ScheduleTable title="Best schedule" schedule={best} parts="all" />}
    </div>
  );
}

/** A row of the schedule that is typed: what is made of a product or a component, or what is sold of a line. */
interface TriedRow {
  readonly id: string;
  readonly name: string;
  readonly of: 'made' | 'sold' | 'component';
  readonly rowId: string;
}

const rowsOf = ({ products, components }: MixScheduleView): TriedRow[] => [
  ...products.flatMap(({ id, name, lines }): TriedRow[] => [
    { id: `${id}.made`, name: `${name}, made`, of: 'made', rowId: id },
    ...lines.map((line): TriedRow => ({
      id: `${line.id}.sold`,
      name: `${line.name}, sold`,
      of: 'sold',
      rowId: line.id,
    })),
  ]),
  ...components.map(({ id, name }): TriedRow => ({
    id: `${id}.component`,
    name: `${name}, made`,
    of: 'component',
    rowId: id,
  })),
];

const cellOf = ({ of, rowId }: TriedRow): PeriodCell =>
  of === 'component'
    ? { field: 'made', of: (periodId) => ({ kind: 'mixPeriodResource', resourceId: rowId, periodId }) }
    : { field: of, of: (periodId) => ({ kind: 'mixPeriodProduct', mixProductId: rowId, periodId }) };

const WRITER = periodWriter(cellOf);

function Tried({ planId, schedule }: Pick<MixScheduleProps, 'planId' | 'schedule'>) {
  const periods = useRowsOf('mixPeriod', 'planId', planId);
  const { locale } = useSettings();
  const version = useVersion('mixPeriodProduct', 'mixPeriodResource');
  const columns = useMemo(
    (): Column<TriedRow, PeriodPatch>[] => [
      { id: 'row', header: 'By hand', type: 'shown', text: ({ name }) => name, cell: ({ name }) => name },
      ...periodColumns(periods, locale, cellOf),
    ],
    // eslint-disable-next-line react-hooks/exhaustive-deps -- what is typed is that of this version
    [periods, locale, version],
  );
  const rows = useMemo(() => rowsOf(schedule), [schedule]);
  return (
    <Grid
      title="Schedule by hand"
      rows={rows}
      columns={columns}
      writer={WRITER}
      hasNewRow={false}
      canRemove={false}
      nameOf={({ name }) => name}
    />
  );
}

interface ScheduleTableProps {
  readonly title: string;
  readonly schedule: MixScheduleView;
  /** What is made and sold as well, or the stock alone. */
  readonly parts: 'all' | 'stock';
}

/** A schedule period by period: what is made and sold, and what is in stock at the end. */
function ScheduleTable({ title, schedule: { periods, products, components }, parts }: ScheduleTableProps) {
  return (
    <table className="table mt-5 w-auto" aria-label={title}>
      <caption className="text-left font-serif text-base">{title}</caption>
      <thead>
        <tr>
          <th scope="col">Product</th>
          {parts === 'stock' && (
            <th scope="col" className="text-right">
              At the beginning
            </th>
          )}
          {periods.map(({ id, name }) => (
            <th key={id} scope="col" className="text-right">
              {name}
            </th>
          ))}
          {parts === 'all' && (
            <th scope="col" className="text-right">
              Together
            </th>
          )}
        </tr>
      </thead>
      {products.map(({ id, name, unit, made, madeInAll, lines, closing, opening }) => (
        <tbody key={id}>
          {parts === 'all' && (
            <>
              <Quantities name={`${name}, ${unitWords(unit)}: made`} quantities={made} total={madeInAll} />
              {lines.map((line) => (
                <Quantities key={line.id} name={`${line.name}: sold`} quantities={line.sold} total={line.soldInAll} />
              ))}
            </>
          )}
          <tr>
            <th scope="row" className="font-normal text-soft">
              {name}: in stock at the end
            </th>
            {(parts === 'stock' ? [opening, ...closing] : closing).map((figure) => (
              <td key={figure.key} className="text-right">
                <Amount figure={figure} digits={digitsOf(closing)} />
              </td>
            ))}
            {parts === 'all' && <td />}
          </tr>
        </tbody>
      ))}
      {components.map(({ id, name, unit, made, madeInAll, left }) => (
        <tbody key={id}>
          {parts === 'all' && (
            <Quantities name={`${name}, ${unitWords(unit)}: made`} quantities={made} total={madeInAll} />
          )}
          <tr>
            <th scope="row" className="font-normal text-soft">
              {name}: in stock at the end
            </th>
            {parts === 'stock' && <td />}
            {left.map((figure) => (
              <td key={figure.key} className="text-right">
                <Amount figure={figure} digits={digitsOf(left)} />
              </td>
            ))}
            {parts === 'all' && <td />}
          </tr>
        </tbody>
      ))}
    </table>
  );
}

/** Whole pieces need no digits. */
const digitsOf = (figures: readonly FigureView[]): number =>
  figures.every(({ amount }) => Number.isInteger(Number(amount ?? 0))) ? 0 : 2;

interface QuantitiesProps {
  readonly name: string;
  /** By period, as decimals. */
  readonly quantities: readonly string[];
  readonly total: string;
}

function Quantities({ name, quantities, total }: QuantitiesProps) {
  const style = useStyle();
  return (
    <tr>
      <th scope="row" className="font-normal">
        {name}
      </th>
      {[...quantities, total].map((quantity, at) => (
        <td key={at} className="figure text-right">
          {amountText(Number(quantity), style)}
        </td>
      ))}
    </tr>
  );
}
