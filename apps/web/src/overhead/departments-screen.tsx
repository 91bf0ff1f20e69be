import type { StoredRow } from '@nuvar/book';
import { useMemo } from 'react';
import { useAll, useSettings, useVersion } from '../book/use-book.js';
import { model } from '../book/model.js';
import { nextPosition } from '../book/operations.js';
import { fieldColumn } from '../controls/grid/field-column.js';
import { Grid } from '../controls/grid/grid.js';
import { figureColumn } from '../controls/grid/grid-model.js';
import { rowChoiceColumn } from '../controls/grid/row-choice-column.js';
import { rowsWriter } from '../controls/grid/rows-writer.js';
import { useView } from '../engine/use-view.js';
import { cellColumn, departmentColumns, departmentWriter } from './department-rows.js';
import { POOL_USE_WORDS } from './method-words.js';
import { RunPage } from './run-page.js';
import { Allocation } from './service-allocation.js';

type Basis = StoredRow<'apportionmentBasis'>;
type Pool = StoredRow<'costPool'>;

/** Run: cost pools and departments, how shared costs are apportioned, and how services pass on theirs. */
export function DepartmentsScreen() {
  const departments = useAll('department');
  const bases = useAll('apportionmentBasis');
  const cells = useVersion('departmentMeasure', 'serviceUse');
  const { locale, currency } = useSettings();
  const columns = useMemo(() => {
    const services = departments.filter(({ type }) => type === 'service');
    return [
      ...departmentColumns(locale, currency),
      ...bases.map(({ id, name, countedIn }) =>
        cellColumn('departmentMeasure', id, countedIn === '' ? name : `${name}, ${countedIn}`, locale),
      ),
      ...services.flatMap(({ id, name, variablePercent }) => [
        cellColumn('serviceUse', id, `Uses ${name}`, locale),
        ...(variablePercent === null
          ? []
          : [cellColumn('serviceUse', id, `Actual use of ${name}`, locale, 'actualAmount')]),
      ]),
    ];
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the cells are those of this version
  }, [departments, bases, locale, currency, cells]);
  const view = useView('departments', 'book');
  return (
    <RunPage>
      <div className="h-full space-y-6 overflow-auto">
        <Grid
          title="Departments"
          rows={departments}
          columns={columns}
          writer={departmentWriter}
          nameOf={({ name }) => name}
          empty="Rooms and teams with overhead of their own. A production department works on products; a service department serves the others. Labour grades, steps and machines say in which one they work."
        />
        <div className="grid items-start gap-6 desk:grid-cols-[minmax(0,3fr)_minmax(0,2fr)]">
          <Pools />
          <Bases />
        </div>
        {view && departments.length > 0 && <Allocation view={view} />}
      </div>
    </RunPage>
  );
}

const poolWriter = rowsWriter<Pool>('costPool', {
  needs: 'name',
  fixed: (before) => ({ position: nextPosition('costPool', model.rows.all('costPool'), before) }),
});

/** The pools with where their cost goes: to one department, or to all by a basis. */
function Pools() {
  const pools = useAll('costPool');
  const departments = useAll('department');
  const bases = useAll('apportionmentBasis');
  const { locale, currency } = useSettings();
  const columns = useMemo(
    () => [
      fieldColumn<Pool>('costPool', 'name', locale, { placeholder: 'Premises, office' }),
      fieldColumn<Pool>('costPool', 'use', locale, { words: POOL_USE_WORDS }),
      rowChoiceColumn<Pool>('departmentId', departments, { header: 'Department', none: 'several' }),
      rowChoiceColumn<Pool>('apportionmentBasisId', bases, { header: 'Apportioned by', none: 'not chosen' }),
      figureColumn({
        id: 'cost',
        header: `A month, ${currency}`,
        view: 'poolCost',
        of: ({ id }: Pool) => id,
        pick: (view) => view,
        digits: 2,
      }),
    ],
    [locale, currency, departments, bases],
  );
  return (
    <Grid
      title="Cost pools"
      rows={pools}
      columns={columns}
      writer={poolWriter}
      nameOf={({ name }) => name}
      empty="Running costs that are shared out together. Each running cost is put into a pool in the list of running costs."
    />
  );
}

const basisWriter = rowsWriter<Basis>('apportionmentBasis', {
  needs: 'name',
  fixed: (before) => ({ position: nextPosition('apportionmentBasis', model.rows.all('apportionmentBasis'), before) }),
});

function Bases() {
  const rows = useAll('apportionmentBasis');
  const { locale } = useSettings();
  const columns = useMemo(
    () => [
      fieldColumn<Basis>('apportionmentBasis', 'name', locale, { placeholder: 'Floor area, head count' }),
      fieldColumn<Basis>('apportionmentBasis', 'countedIn', locale, { placeholder: 'm²' }),
    ],
    [locale],
  );
  return (
    <Grid
      title="Apportionment bases"
      rows={rows}
      columns={columns}
      writer={basisWriter}
      nameOf={({ name }) => name}
      empty="By what shared costs are apportioned: floor area, head count, the value of equipment."
    />
  );
}
