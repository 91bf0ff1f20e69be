import type { StoredRow } from '@nuvar/book';
import type { MethodsView } from '@nuvar/core';
import { useMemo } from 'react';
import { model } from '../book/model.js';
import { nextPosition } from '../book/operations.js';
import { useAll, useSettings } from '../book/use-book.js';
import { fieldColumn } from '../controls/grid/field-column.js';
import { Grid } from '../controls/grid/grid.js';
import { figureColumn, type Column } from '../controls/grid/grid-model.js';
import { rowsWriter } from '../controls/grid/rows-writer.js';
import { useParameter } from '../controls/layout/use-parameter.js';
import { useView } from '../engine/use-view.js';
import { Amount } from '../figures/amount.js';
import { DetailHeading } from '../figures/detail-heading.js';
import { MethodOfBook } from './method-of-book.js';
import { BASIS_WORDS, CAPACITY_WORDS, METHOD_TYPE_WORDS, SERVICE_WORDS } from './method-words.js';
import { RunPage } from './run-page.js';
import { SideBySide } from './side-by-side.js';

type Method = StoredRow<'costingMethod'>;

const writer = rowsWriter<Method>('costingMethod', {
  needs: 'name',
  fixed: (before) => ({ position: nextPosition('costingMethod', model.rows.all('costingMethod'), before) }),
});

/** Run: the methods by which overhead is shared out, up to four beside each other. */
export function MethodsScreen() {
  const methods = useAll('costingMethod');
  const [compared, compare] = useParameter('methods');
  const view = useView('methods', compared ?? '');
  return (
    <RunPage>
      <div className="h-full space-y-6 overflow-auto">
        <Methods methods={methods} />
        <div className="grid items-start gap-6 desk:grid-cols-[minmax(0,1fr)_22rem]">
          {view && <SideBySide view={view} methods={methods} compare={compare} />}
          <MethodOfBook methods={methods} />
        </div>
        {view && <Totals view={view} />}
      </div>
    </RunPage>
  );
}

/** What the methods are. */
function Methods({ methods }: { readonly methods: readonly Method[] }) {
  const { locale, currency } = useSettings();
  const columns = useMemo((): Column<Method, Partial<Method>>[] => {
    const own = (field: keyof Method & string, words?: Readonly<Record<string, string>>) =>
      fieldColumn<Method>('costingMethod', field, locale, words === undefined ? {} : { words });
    const total = (member: 'assigned' | 'unused' | 'unassigned', header: string) =>
      figureColumn({
        id: member,
        header,
        view: 'methodTotals',
        of: ({ id }: Method) => id,
        pick: (totals) => totals[member],
        digits: 2,
      });
    return [
      { ...own('name'), placeholder: 'A method to compare' },
      own('type', METHOD_TYPE_WORDS),
      {
        ...own('basis', BASIS_WORDS),
        applies: (row) => row?.type === 'single rate' || row?.type === 'by department',
      },
      {
        ...own('capacity', CAPACITY_WORDS),
        applies: (row) => row?.type === 'single rate' || row?.type === 'by department',
      },
      { ...own('normalCapacity'), applies: (row) => row?.type === 'single rate' },
      { ...own('serviceMethod', SERVICE_WORDS), applies: (row) => row?.type === 'by department' },
      total('assigned', `Charged to products, ${currency}`),
      total('unused', `Unused, ${currency}`),
      total('unassigned', `Not shared out, ${currency}`),
    ];
  }, [locale, currency]);
  return (
    <Grid
      title="Costing methods"
      rows={methods}
      columns={columns}
      writer={writer}
      nameOf={({ name }) => name}
      empty="Every book has one rate on productive hours. Add methods to see what others make of the same costs: by department, activity-based, time-driven."
    />
  );
}

/** What is shared out under each method, down to what is not. */
function Totals({ view }: { readonly view: MethodsView }) {
  const { currency } = useSettings();
  const lines = [
    ['To be shared out', 'toAssign'],
    ['Charged to products', 'assigned'],
    ['Unused capacity', 'unused'],
    ['Not shared out', 'unassigned'],
  ] as const;
  return (
    <section aria-label="Where the overhead goes">
      <DetailHeading as="h2">{`Where the overhead goes, ${currency} a month`}</DetailHeading>
      <div className="overflow-x-auto">
        <table className="table mt-1 w-auto">
          <thead>
            <tr>
              <th scope="col">Overhead</th>
              {view.methods.map(({ id, name }) => (
                <th key={id} scope="col" className="text-right">
                  {name}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {lines.map(([label, member]) => (
              <tr key={member} className={member === 'toAssign' ? 'font-semibold' : ''}>
                <th scope="row">{label}</th>
                {view.methods.map((method) => (
                  <td key={method.id} className="text-right">
                    <Amount figure={method[member]} digits={2} />
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
