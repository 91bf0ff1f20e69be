import type { StoredRow } from '@nuvar/book';
import type { DepartmentsView } from '@nuvar/core';
import { useMemo } from 'react';
import { useAll, useSettings, useVersion } from '../book/use-book.js';
import { model } from '../book/model.js';
import { nextPosition } from '../book/operations.js';
import { fieldColumn } from '../controls/field-column.js';
import { Grid } from '../controls/grid.js';
import { figureColumn } from '../controls/grid-model.js';
import { rowChoiceColumn } from '../controls/row-choice-column.js';
import { rowsWriter } from '../controls/rows-writer.js';
import { useParameter } from '../controls/use-parameter.js';
import { useView } from '../engine/use-view.js';
import { Amount } from '../figures/amount.js';
import { DetailHeading } from '../figures/detail-heading.js';
import { cellColumn, departmentColumns, departmentWriter } from './department-rows.js';
import { POOL_USE_WORDS, SERVICE_WORDS } from './method-words.js';
import { RunPage } from './run-page.js';

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
      ...services.map(({ id, name }) => cellColumn('serviceUse', id, `Uses ${name}`, locale)),
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

/** What each department bears, step by step, under each way of passing on services. */
function Allocation({ view }: { readonly view: DepartmentsView }) {
  const departments = useAll('department');
  const { currency } = useSettings();
  const [chosen, choose] = useParameter('services');
  const [at, go] = useParameter('step');
  const method =
    view.methods.find((each) => each.method === chosen) ??
    view.methods.find((each) => each.method === view.serviceMethod);
  if (method === undefined) return null;
  const last = method.services.length;
  const step = Math.min(last, Math.max(0, at === null ? last : Number(at)));
  const shown = method.services.slice(0, step);
  return (
    <section aria-label="Allocation">
      <DetailHeading as="h2">{`Overhead by department, ${currency} a month`}</DetailHeading>
      <div className="flex flex-wrap items-center gap-3">
        <span className="join" role="group" aria-label="How services pass on their cost">
          {view.methods.map((each) => (
            <button
              key={each.method}
              type="button"
              className="btn join-item"
              aria-pressed={each.method === method.method}
              onClick={() => choose(each.method)}
            >
              {SERVICE_WORDS[each.method]}
            </button>
          ))}
        </span>
        {last > 0 && (
          <span className="flex items-center gap-2">
            <button type="button" className="btn" disabled={step === 0} onClick={() => go(String(step - 1))}>
              Step back
            </button>
            <span className="text-soft">
              {step} of {last} services passed on
            </span>
            <button type="button" className="btn" disabled={step === last} onClick={() => go(String(step + 1))}>
              Next step
            </button>
          </span>
        )}
      </div>
      <div className="overflow-x-auto">
        <table className="table mt-1">
          <thead>
            <tr>
              <th scope="col">Overhead</th>
              {departments.map(({ id, name }) => (
                <th key={id} scope="col" className="text-right">
                  {name}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            <tr>
              <th scope="row" className="font-normal">
                From the cost pools
              </th>
              {departments.map(({ id }) => (
                <td key={id} className="text-right">
                  <Amount figure={method.departments[id]?.primary} digits={2} />
                </td>
              ))}
            </tr>
            {shown.map((service) => (
              <tr key={service.serviceId}>
                <th scope="row" className="font-normal">
                  {service.name} passes on <Amount figure={service.cost} digits={2} />
                  {service.leftOut.length > 0 && (
                    <span className="block text-note text-soft">
                      what {service.leftOut.join(' and ')} {service.leftOut.length === 1 ? 'uses' : 'use'} of it is left
                      out
                    </span>
                  )}
                </th>
                {departments.map(({ id }) => (
                  <td key={id} className="text-right">
                    {id === service.serviceId ? (
                      <span className="text-soft">passed on</span>
                    ) : (
                      <Amount figure={service.shares[id]} digits={2} />
                    )}
                  </td>
                ))}
              </tr>
            ))}
            {step === last && (
              <tr className="font-semibold">
                <th scope="row">To be absorbed</th>
                {departments.map(({ id, type }) => (
                  <td key={id} className="text-right">
                    {type === 'production' && <Amount figure={method.departments[id]?.total} digits={2} />}
                  </td>
                ))}
              </tr>
            )}
          </tbody>
        </table>
      </div>
      {method.unassigned.map(({ label, why, cost }) => (
        <p key={label} className="mt-1 text-warning">
          Not shared out: {label}, <Amount figure={cost} digits={2} withUnit />: {why}.
        </p>
      ))}
      {view.methods.length > 1 && last > 0 && <Compared view={view} />}
    </section>
  );
}

/** The production departments under the three ways, beside each other. */
function Compared({ view }: { readonly view: DepartmentsView }) {
  const departments = useAll('department').filter(({ type }) => type === 'production');
  return (
    <>
      <DetailHeading>The three ways beside each other</DetailHeading>
      <table className="table mt-1 w-auto">
        <thead>
          <tr>
            <th scope="col">Department</th>
            {view.methods.map(({ method }) => (
              <th key={method} scope="col" className="text-right">
                {SERVICE_WORDS[method]}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {departments.map(({ id, name }) => (
            <tr key={id}>
              <th scope="row" className="font-normal">
                {name}
              </th>
              {view.methods.map(({ method, departments: costs }) => (
                <td key={method} className="text-right">
                  <Amount figure={costs[id]?.total} digits={2} />
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </>
  );
}
