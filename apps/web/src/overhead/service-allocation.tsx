import type { DepartmentsView } from '@nuvar/core';
import { useAll, useSettings } from '../book/use-book.js';
import { useParameter } from '../controls/layout/use-parameter.js';
import { Amount } from '../figures/amount.js';
import { DetailHeading } from '../figures/detail-heading.js';
import { SERVICE_WORDS } from './method-words.js';

/** What each department bears, step by step, under each way of passing on services. */
export function Allocation({ view }: { readonly view: DepartmentsView }) {
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
                  {service.toServices.amount !== '0' && (
                    <span className="block text-note text-soft">
                      of it <Amount figure={service.toServices} digits={2} /> to other services
                    </span>
                  )}
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
