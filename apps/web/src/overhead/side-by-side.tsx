import type { StoredRow } from '@nuvar/book';
import { MOST_METHODS, STANDARD_METHOD, type MethodsView } from '@nuvar/core';
import { useState } from 'react';
import { useSettings } from '../book/use-book.js';
import { DocumentLinks } from '../controls/layout/document-links.js';
import { Amount } from '../figures/amount.js';
import { DetailHeading } from '../figures/detail-heading.js';
import { useFirstRows } from '../figures/first-rows.js';
import { unitWords, written } from '../figures/format.js';
import { ScreenLink } from '../figures/screen-link.js';
import { useStyle } from '../figures/use-style.js';
import { markOf, MethodMarks } from './method-marks.js';

interface SideBySideProps {
  readonly view: MethodsView;
  readonly methods: readonly StoredRow<'costingMethod'>[];
  readonly compare: (ids: string) => null;
}

/** Every planned product under each method, those first on which the methods differ most. */
export function SideBySide({ view, methods, compare }: SideBySideProps) {
  const { currency } = useSettings();
  const style = useStyle();
  const { rows: products, more } = useFirstRows(view.products);
  const [chosen, choose] = useState<readonly string[]>([]);
  const shown = view.methods.map(({ id }) => id);
  const offered = [{ id: STANDARD_METHOD, name: 'Single rate on productive hours' }, ...methods];
  const toggle = (id: string) => {
    const next = shown.includes(id) ? shown.filter((each) => each !== id) : [...shown, id];
    if (next.length > 0) compare(next.slice(0, MOST_METHODS).join(','));
  };
  const pick = (id: string) => choose(chosen.includes(id) ? chosen.filter((each) => each !== id) : [...chosen, id]);
  const printed = view.products.filter(({ id }) => chosen.includes(id)).map(({ id }) => id);
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
                  <th scope="col" className="print:hidden">
                    <span className="sr-only">On the cost cards</span>
                  </th>
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
                {products.map((product) => (
                  <tr key={product.id}>
                    <td className="print:hidden">
                      <input
                        type="checkbox"
                        className="checkbox checkbox-xs"
                        aria-label={`Cost card of ${product.name}`}
                        checked={chosen.includes(product.id)}
                        onChange={() => pick(product.id)}
                      />
                    </td>
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
          {more}
          <Flattered view={view} />
          <DocumentLinks
            label={`Cost cards with workings of ${printed.length === 0 ? 'all planned products' : `${printed.length} chosen`}`}
            document="cost cards"
            of={`${printed.length === 0 ? '*' : printed.join(',')}@${shown.join(',')}`}
            formats={['pdf']}
          />
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
