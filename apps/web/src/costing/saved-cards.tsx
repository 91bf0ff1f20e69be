import { newId, type StoredRow } from '@nuvar/book';
import { useSearchParams } from 'react-router';
import { today } from '../state/today.js';
import { createOf } from '../book/operations.js';
import { useEdit, useMayEdit, useRowsOf, useSettings } from '../book/use-book.js';
import { AsField } from '../controls/fields/as-field.js';
import { FormProblem } from '../controls/fields/form-entry.js';
import { useCheckedForm } from '../controls/fields/use-checked-form.js';
import { removalInBook } from '../controls/grid/rows-writer.js';
import { engine } from '../engine/engine.js';
import { useView } from '../engine/use-view.js';
import { Amount } from '../figures/amount.js';
import { counted, dayText, unitWords } from '../figures/format.js';
import { MovedLines } from './moved-lines.js';
import { Empty } from '../figures/empty.js';

/** Cards kept under a name and a day, and the card of today against one of them, line by line. */
export function FrozenCards({ product }: { readonly product: StoredRow<'product'> }) {
  const cards = useRowsOf('frozenCard', 'productId', product.id);
  const [parameters, setParameters] = useSearchParams();
  const chosen = cards.find(({ id }) => id === parameters.get('card')) ?? cards.at(-1);
  const edit = useEdit();
  const mayEdit = useMayEdit();
  const { locale } = useSettings();
  return (
    <section aria-label="Saved cost cards">
      {mayEdit && <Freeze product={product} />}
      {cards.length === 0 && (
        <Empty>
          Save today's cost card under a name, such as "Spring prices". Later you can see line by line which prices and
          quantities have changed, and what that does to the unit cost.
        </Empty>
      )}
      {cards.length > 0 && (
        <ul className="flex flex-wrap gap-1.5" aria-label="Saved cost cards">
          {cards.map((card) => (
            <li key={card.id}>
              <button
                type="button"
                className="btn"
                aria-pressed={card.id === chosen?.id}
                onClick={() =>
                  setParameters(
                    (known) => {
                      known.set('card', card.id);
                      return known;
                    },
                    { replace: true },
                  )
                }
              >
                {card.name}, {dayText(card.frozenOn, locale)}
              </button>
            </li>
          ))}
        </ul>
      )}
      {chosen && <Comparison card={chosen} unit={unitWords(product.outputUnit)} />}
      {chosen && mayEdit && (
        <button
          type="button"
          className="btn btn-ghost mt-2"
          onClick={() => edit(removalInBook('frozenCard', chosen.id))}
        >
          Remove "{chosen.name}"
        </button>
      )}
    </section>
  );
}

/** What a kept card is called. */
class FreezeForm {
  @AsField('frozenCard', 'name')
  name!: string;
}

function Freeze({ product }: { readonly product: StoredRow<'product'> }) {
  const form = useCheckedForm(FreezeForm, { name: '' });
  const edit = useEdit();
  const { currency } = useSettings();
  const freeze = async (name: string): Promise<string | null> => {
    const [view] = await engine.ask('freezable', [product.id]);
    const gap = view?.missing[0];
    if (view == null || gap !== undefined)
      return `A card with something missing cannot be saved: ${gap?.sentence ?? 'it is not calculated yet'}.`;
    const id = newId();
    const lines = view.lines.map((line, position) =>
      createOf('frozenLine', newId(), { frozenCardId: id, position, currency, ...line }),
    );
    const card = createOf('frozenCard', id, { productId: product.id, name: name.trim(), frozenOn: today() });
    return edit([card, ...lines])[0]?.sentence ?? null;
  };
  const submit = form.handleSubmit(async ({ name }) => {
    const problem = await freeze(name).catch((error: Error) => error.message);
    if (problem === null) form.reset();
    else form.setError('name', { message: problem });
  });
  return (
    <form className="mb-2 flex items-center gap-2" onSubmit={(event) => void submit(event)} noValidate>
      <label htmlFor="freeze-name">Save today's cost card as</label>
      <input id="freeze-name" className="input max-w-56" placeholder="a name" {...form.register('name')} />
      <button type="submit" className="btn">
        Save card
      </button>
      <FormProblem>{form.problemOf('name')}</FormProblem>
    </form>
  );
}

function Comparison({ card, unit }: { readonly card: StoredRow<'frozenCard'>; readonly unit: string }) {
  const view = useView('frozen', card.id);
  const { currency, locale } = useSettings();
  if (view == null) return null;
  const moved = view.lines.filter(({ hasMoved }) => hasMoved);
  return (
    <>
      <p className="mt-3">
        One {unit} cost <Amount figure={view.before} digits={4} /> {currency} on {dayText(card.frozenOn, locale)} and
        costs <Amount figure={view.now} digits={4} /> now. The difference is{' '}
        <Amount figure={view.difference} digits={4} />: <Amount figure={view.priceEffects} digits={4} /> from prices and
        rates, <Amount figure={view.quantityEffects} digits={4} /> from quantities.
      </p>
      {moved.length === 0 ? (
        <p className="text-soft">Nothing has changed since.</p>
      ) : (
        <MovedLines lines={moved} caption={`Changes since ${card.name}`} />
      )}
      {view.lines.length > moved.length && moved.length > 0 && (
        <p className="text-soft text-note">
          {counted(view.lines.length - moved.length, 'other line', locale)} unchanged.
        </p>
      )}
    </>
  );
}
