import { newId, type StoredRow } from '@nuvar/book';
import { useState, type FormEvent } from 'react';
import { useSearchParams } from 'react-router';
import { today } from '../state/today.js';
import { createOf } from '../book/operations.js';
import { useEdit, useMayEdit, useRowsOf, useSettings } from '../book/use-book.js';
import { removalInBook } from '../controls/rows-writer.js';
import { engine } from '../engine/engine.js';
import { useView } from '../engine/use-view.js';
import { Amount } from '../figures/amount.js';
import { unitWords } from '../figures/format.js';
import { MovedLines } from './moved-lines.js';

/** Cards kept under a name and a day, and the card of today against one of them, line by line. */
export function FrozenCards({ product }: { readonly product: StoredRow<'product'> }) {
  const cards = useRowsOf('frozenCard', 'productId', product.id);
  const [parameters, setParameters] = useSearchParams();
  const chosen = cards.find(({ id }) => id === parameters.get('card')) ?? cards.at(-1);
  const edit = useEdit();
  const mayEdit = useMayEdit();
  return (
    <section aria-label="Earlier cards">
      {mayEdit && <FreezeForm product={product} />}
      {cards.length === 0 && (
        <p className="empty">
          Freeze the card of today under a name, such as "Spring prices". Later it tells line by line what has become
          dearer, what goes in more or less, and what that makes of one unit.
        </p>
      )}
      {cards.length > 0 && (
        <ul className="chips" aria-label="Frozen cards">
          {cards.map((card) => (
            <li key={card.id}>
              <button
                type="button"
                className="chip"
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
                {card.name}, {card.frozenOn}
              </button>
            </li>
          ))}
        </ul>
      )}
      {chosen && <Comparison card={chosen} unit={unitWords(product.outputUnit)} />}
      {chosen && mayEdit && (
        <button
          type="button"
          className="quiet-button mt-2"
          onClick={() => edit(removalInBook('frozenCard', chosen.id))}
        >
          Remove "{chosen.name}"
        </button>
      )}
    </section>
  );
}

function FreezeForm({ product }: { readonly product: StoredRow<'product'> }) {
  const [name, setName] = useState('');
  const [problem, setProblem] = useState<string | null>(null);
  const edit = useEdit();
  const { currency } = useSettings();
  const freeze = async () => {
    const [view] = await engine.ask('freezable', [product.id]);
    const gap = view?.missing[0];
    if (view == null || gap !== undefined) {
      setProblem(`A card with something missing is not frozen: ${gap?.sentence ?? 'it is not worked out yet'}.`);
      return;
    }
    const id = newId();
    const lines = view.lines.map((line, position) =>
      createOf('frozenLine', newId(), { frozenCardId: id, position, currency, ...line }),
    );
    const found = edit([
      createOf('frozenCard', id, { productId: product.id, name: name.trim(), frozenOn: today() }),
      ...lines,
    ])[0];
    setProblem(found?.sentence ?? null);
    if (found === undefined) setName('');
  };
  const submit = (event: FormEvent) => {
    event.preventDefault();
    if (name.trim() === '') setProblem('Give the card a name first.');
    else freeze().catch((error: Error) => setProblem(error.message));
  };
  return (
    <form className="flex items-center gap-2 mb-2" onSubmit={submit}>
      <label htmlFor="freeze-name">Keep the card of today as</label>
      <input
        id="freeze-name"
        className="input-line max-w-56"
        value={name}
        maxLength={120}
        placeholder="a name"
        onChange={(event) => setName(event.target.value)}
      />
      <button type="submit" className="button">
        Freeze it
      </button>
      {problem !== null && (
        <span className="hint-refused" role="alert">
          {problem}
        </span>
      )}
    </form>
  );
}

function Comparison({ card, unit }: { readonly card: StoredRow<'frozenCard'>; readonly unit: string }) {
  const view = useView('frozen', card.id);
  const { currency } = useSettings();
  if (view == null) return null;
  const moved = view.lines.filter(({ hasMoved }) => hasMoved);
  return (
    <>
      <p className="mt-3">
        One {unit} cost <Amount figure={view.before} digits={4} /> {currency} on {card.frozenOn} and costs{' '}
        <Amount figure={view.now} digits={4} /> now: a difference of <Amount figure={view.difference} digits={4} />, of
        which prices and rates make <Amount figure={view.priceEffects} digits={4} /> and quantities{' '}
        <Amount figure={view.quantityEffects} digits={4} />.
      </p>
      {moved.length === 0 ? (
        <p className="text-soft">No line has moved since.</p>
      ) : (
        <MovedLines lines={moved} caption={`What has moved since ${card.name}`} />
      )}
      {view.lines.length > moved.length && moved.length > 0 && (
        <p className="text-soft text-sm">{view.lines.length - moved.length} other lines are as they were.</p>
      )}
    </>
  );
}
