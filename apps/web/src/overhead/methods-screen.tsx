import type { StoredRow } from '@nuvar/book';
import { MOST_METHODS, STANDARD_METHOD, type MethodsView } from '@nuvar/core';
import { useMemo } from 'react';
import { model } from '../book/model.js';
import { nextPosition } from '../book/operations.js';
import { useAll, useSettings } from '../book/use-book.js';
import { DocumentLinks } from '../controls/document-links.js';
import { fieldColumn } from '../controls/field-column.js';
import { Grid } from '../controls/grid.js';
import { figureColumn, type Column } from '../controls/grid-model.js';
import { rowsWriter } from '../controls/rows-writer.js';
import { useParameter } from '../controls/use-parameter.js';
import { useView } from '../engine/use-view.js';
import { Amount } from '../figures/amount.js';
import { DetailHeading } from '../figures/detail-heading.js';
import { unitWords, written } from '../figures/format.js';
import { ScreenLink } from '../figures/screen-link.js';
import { useStyle } from '../figures/use-style.js';
import { markOf, MethodMarks } from './method-marks.js';
import { MethodOfBook } from './method-of-book.js';
import { BASIS_WORDS, CAPACITY_WORDS, METHOD_TYPE_WORDS, SERVICE_WORDS } from './method-words.js';
import { RunPage } from './run-page.js';

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

interface SideBySideProps {
  readonly view: MethodsView;
  readonly methods: readonly Method[];
  readonly compare: (ids: string) => null;
}

/** Every planned product under each method, those first on which the methods differ most. */
function SideBySide({ view, methods, compare }: SideBySideProps) {
  const { currency } = useSettings();
  const style = useStyle();
  const shown = view.methods.map(({ id }) => id);
  const offered = [{ id: STANDARD_METHOD, name: 'Single rate on productive hours' }, ...methods];
  const toggle = (id: string) => {
    const next = shown.includes(id) ? shown.filter((each) => each !== id) : [...shown, id];
    if (next.length > 0) compare(next.slice(0, MOST_METHODS).join(','));
  };
  const [first] = view.methods;
  return (
    <section aria-label="Methods side by side">
      <DetailHeading as="h2">Full cost of a unit, by method</DetailHeading>
      <div className="my-1.5 flex flex-wrap gap-3" role="group" aria-label="Methods that are compared">
        {offered
          .filter(({ id }) => id !== STANDARD_METHOD || methods.length === 0 || shown.includes(id))
          .map(({ id, name }) => (
            <label key={id} className="flex items-center gap-1">
              <input
                type="checkbox"
                className="checkbox checkbox-xs"
                checked={shown.includes(id)}
                disabled={!shown.includes(id) && shown.length >= MOST_METHODS}
                onChange={() => toggle(id)}
              />
              {name}
            </label>
          ))}
      </div>
      {view.products.length === 0 ? (
        <p className="text-soft">
          No product is planned yet. Enter <ScreenLink to="volumes">planned volumes</ScreenLink> first.
        </p>
      ) : (
        <>
          <MethodMarks view={view} />
          <div className="overflow-x-auto">
            <table className="table mt-2" aria-label="Full cost by method">
              <thead>
                <tr>
                  <th scope="col">Product</th>
                  {view.methods.map(({ id, name }, index) => (
                    <th key={id} scope="col" className="text-right">
                      {markOf(index)} {name}
                    </th>
                  ))}
                  {view.methods.slice(1).map(({ id }, index) => (
                    <th key={id} scope="col" className="text-right">
                      {markOf(index + 1)} − {markOf(0)}, {currency}
                    </th>
                  ))}
                  {view.methods.slice(1).map(({ id }, index) => (
                    <th key={id} scope="col" className="text-right">
                      in %<span className="sr-only"> {markOf(index + 1)}</span>
                    </th>
                  ))}
                </tr>
              </thead>
              <tbody>
                {view.products.map((product) => (
                  <tr key={product.id}>
                    <th scope="row" className="font-normal">
                      <ScreenLink to="make" row={product.id} search="?side=methods">
                        {product.name}
                      </ScreenLink>
                    </th>
                    {product.fullCost.map((figure, index) => (
                      <td key={view.methods[index]?.id} className="text-right">
                        <Amount figure={figure} digits={4} />
                      </td>
                    ))}
                    {product.more.slice(1).map((more, index) => (
                      <td key={view.methods[index + 1]?.id} className="figure-print text-right">
                        {more === null ? '' : written(more, 4, style)}
                      </td>
                    ))}
                    {product.morePercent.slice(1).map((more, index) => (
                      <td key={view.methods[index + 1]?.id} className="figure-print text-right">
                        {more === null ? '' : written(more, 1, style)}
                      </td>
                    ))}
                  </tr>
                ))}
              </tbody>
            </table>
          </div>
          <Flattered view={view} />
          {first && (
            <DocumentLinks
              label="Cost cards with workings"
              document="cost cards"
              of={`*@${shown.join(',')}`}
              formats={['pdf']}
            />
          )}
        </>
      )}
    </section>
  );
}

/** In a sentence: whom the first method flatters, and whom it burdens. */
function Flattered({ view }: { readonly view: MethodsView }) {
  const style = useStyle();
  const [first, second] = view.methods;
  if (first === undefined || second === undefined) return null;
  const apart = view.products.flatMap((product) => {
    const all = product.morePercent.slice(1).flatMap((each) => (each === null ? [] : [each]));
    const furthest = all.sort((one, other) => Math.abs(Number(other)) - Math.abs(Number(one)))[0];
    return furthest === undefined ? [] : [{ product, furthest, at: product.morePercent.indexOf(furthest) }];
  });
  const flattered = apart.filter(({ furthest }) => Number(furthest) >= 1)[0];
  const burdened = apart.filter(({ furthest }) => Number(furthest) <= -1)[0];
  const say = (found: NonNullable<typeof flattered>, word: string) =>
    `${first.name} ${word} ${found.product.name} most: ${view.methods[found.at]?.name ?? ''} makes a ${unitWords(found.product.unit)} ${written(String(Math.abs(Number(found.furthest))), 1, style)} % ${Number(found.furthest) > 0 ? 'dearer' : 'cheaper'}.`;
  return (
    <p className="mt-2">
      {flattered && say(flattered, 'flatters')} {burdened && say(burdened, 'burdens')}
    </p>
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
