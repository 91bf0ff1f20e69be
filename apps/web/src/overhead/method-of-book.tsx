import type { StoredRow } from '@nuvar/book';
import type { PriceEffect } from '@nuvar/core';
import { useState } from 'react';
import { updateOf } from '../book/operations.js';
import { useEdit, useMayEdit, useSettings } from '../book/use-book.js';
import { SelectInput } from '../controls/fields/select-input.js';
import { useView } from '../engine/use-view.js';
import { DetailHeading } from '../figures/detail-heading.js';
import { written } from '../figures/format.js';
import { useStyle } from '../figures/use-style.js';

type Method = StoredRow<'costingMethod'>;

/** The method of the book: what feeds cards, prices and break-even. Another one shows its effect on all prices first. */
export function MethodOfBook({ methods }: { readonly methods: readonly Method[] }) {
  const overhead = useView('overhead', 'book');
  const edit = useEdit();
  const mayEdit = useMayEdit();
  const [tried, setTried] = useState<string | null>(null);
  const ofBook = methods.find(({ role }) => role === 'book');
  const chosen = methods.find(({ id }) => id === tried);
  const take = () => {
    if (chosen === undefined) return;
    const taken = ofBook === undefined ? [] : updateOf('costingMethod', ofBook, { role: 'comparison' });
    edit([...taken, ...updateOf('costingMethod', chosen, { role: 'book' })]);
    setTried(null);
  };
  return (
    <section aria-label="Method of the book">
      <DetailHeading as="h2">Method of the book</DetailHeading>
      <p>
        <strong>{overhead?.method ?? ''}</strong>{' '}
        <span className="text-soft">feeds every cost card, price, floor and break-even.</span>
      </p>
      {mayEdit && methods.some(({ role }) => role !== 'book') && (
        <span className="mt-1.5 flex max-w-72">
          <SelectInput
            label="Another method"
            value={tried ?? ''}
            options={[
              { value: '', label: 'Try another method' },
              ...methods.filter(({ role }) => role !== 'book').map(({ id, name }) => ({ value: id, label: name })),
            ]}
            commit={(id) => {
              setTried(id === '' ? null : id);
              return null;
            }}
          />
        </span>
      )}
      {chosen && (
        <>
          <Effects methodId={chosen.id} name={chosen.name} />
          <div className="mt-2 flex gap-2">
            <button type="button" className="btn btn-primary" onClick={take}>
              Use {chosen.name}
            </button>
            <button type="button" className="btn" onClick={() => setTried(null)}>
              Leave it
            </button>
          </div>
        </>
      )}
    </section>
  );
}

/** What every price would leave under another method. */
function Effects({ methodId, name }: { readonly methodId: string; readonly name: string }) {
  const effects = useView('methodEffect', methodId);
  const { currency } = useSettings();
  const style = useStyle();
  if (effects === undefined) return <p className="text-soft">The effect is being worked out.</p>;
  const say = (amount: string | null, digits: number) => (amount === null ? '' : written(amount, digits, style));
  const turned = effects.filter(({ profit }) => loses(profit[0]) !== loses(profit[1]));
  return (
    <>
      <p className="mt-2">
        Under {name},{' '}
        {turned.length === 0
          ? 'no price turns from profit to loss or back.'
          : `${turned.map(({ product, profit }) => `${product} ${loses(profit[1]) ? 'would lose' : 'would make a profit'}`).join(', ')}.`}
      </p>
      <table className="table mt-1" aria-label={`Prices under ${name}`}>
        <thead>
          <tr>
            <th scope="col">Profit, {currency}</th>
            <th scope="col" className="text-right">
              now
            </th>
            <th scope="col" className="text-right">
              then
            </th>
            <th scope="col" className="text-right">
              margin then, %
            </th>
          </tr>
        </thead>
        <tbody>
          {effects.map((effect: PriceEffect) => (
            <tr key={`${effect.productId}/${effect.channel}`}>
              <th scope="row" className="font-normal">
                {effect.product}
                <span className="block text-note text-soft">{effect.channel}</span>
              </th>
              <td className="figure-print text-right">{say(effect.profit[0], 2)}</td>
              <td className="figure-print text-right">{say(effect.profit[1], 2)}</td>
              <td className="figure-print text-right">{say(effect.margin[1], 1)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </>
  );
}

const loses = (amount: string | null) => amount !== null && amount.startsWith('-');
