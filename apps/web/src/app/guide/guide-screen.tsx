import { newId, type StoredRow } from '@nuvar/book';
import { useEffect, useRef } from 'react';
import { Link, useNavigate, useParams, useSearchParams } from 'react-router';
import { createOf } from '../../book/operations.js';
import { useEdit, useRow, useSettings, useUnarchived } from '../../book/use-book.js';
import { TypedInput } from '../../controls/fields/typed-input.js';
import { useView } from '../../engine/use-view.js';
import { LeadFigure } from '../../figures/lead-figure.js';
import { unitWords } from '../../figures/format.js';
import { GUIDE_STEPS } from './guide-steps.js';
import { ScreenLink } from '../../figures/screen-link.js';
import { useAddress } from '../../book/place.js';

const ASKING = '[&>p]:mb-3 [&>p]:max-w-[42rem]';

/**
 * Asks for what people forget, one question at a time. Every answer is written where it belongs as it is given, so that the
 * guide can be left at any step and taken up again; which step is open stands in the address.
 */
export function GuideScreen() {
  const { rowId: productId } = useParams();
  const product = useRow('product', productId);
  const address = useAddress();
  return (
    <div className="max-w-page">
      <p>
        <Link className="link link-primary" to={product ? address('make', product.id) : address('make')}>
          Leave the guide (your entries are saved)
        </Link>
      </p>
      {product === undefined ? <ChooseProduct /> : <GuidedProduct product={product} />}
    </div>
  );
}

function ChooseProduct() {
  const products = useUnarchived('product');
  const navigate = useNavigate();
  const address = useAddress();
  const edit = useEdit();
  const begin = (name: string): string | null => {
    const id = newId();
    const problem = edit([createOf('product', id, { name: name.trim() })])[0];
    if (problem === undefined) void navigate(address('guide', id));
    return problem?.sentence ?? null;
  };
  return (
    <section aria-label="Guide" className={ASKING}>
      <h1 className="font-serif text-title">What do you make, or do, or sell?</h1>
      <p className="text-soft">
        One product is enough to begin with: a mug, a loaf, an hour of teaching. Type what it is called.
      </p>
      <div className="max-w-sm">
        <TypedInput label="Name of the product" value="" commit={begin} placeholder="name, then Enter" autoFocus />
      </div>
      {products.length > 0 && (
        <p className="mt-4">
          Or go on with{' '}
          {products.slice(0, 8).map(({ id, name }, index) => (
            <span key={id}>
              {index > 0 && ', '}
              <ScreenLink to="guide" row={id}>
                {name}
              </ScreenLink>
            </span>
          ))}
        </p>
      )}
    </section>
  );
}

function GuidedProduct({ product }: { readonly product: StoredRow<'product'> }) {
  const [parameters, setParameters] = useSearchParams();
  const asked = GUIDE_STEPS.findIndex(({ id }) => id === parameters.get('step'));
  const at = Math.max(0, asked);
  const step = GUIDE_STEPS[at];
  const view = useView('product', product.id);
  const { currency } = useSettings();
  const go = (index: number) => setParameters({ step: GUIDE_STEPS[index]?.id ?? '' });
  const asking = useRef<HTMLElement>(null);
  useEffect(() => {
    asking.current?.querySelector<HTMLElement>('input, select')?.focus();
  }, [at]);
  if (step === undefined) return null;
  const { Questions } = step;
  return (
    <div className="mt-3 grid gap-10 desk:grid-cols-[13rem_minmax(0,1fr)]">
      <nav aria-label="Steps of the guide">
        <ol className="grid list-inside list-decimal gap-0.5 marker:text-soft">
          {GUIDE_STEPS.map(({ id, short }, index) => (
            <li key={id}>
              <Link
                to={`?step=${id}`}
                aria-current={index === at ? 'step' : undefined}
                className={index === at ? 'border-b-2 border-primary px-1 font-semibold' : 'px-1 text-soft'}
              >
                {short}
              </Link>
            </li>
          ))}
        </ol>
        <p className="text-soft mt-4">One {unitWords(product.outputUnit)} so far</p>
        <LeadFigure figure={view?.fullCost} digits={2} unit={currency} inWords={false} />
      </nav>
      <section ref={asking} aria-label={step.question} className={ASKING}>
        <p className="text-soft">{product.name}</p>
        <h1 className="font-serif text-title">{step.question}</h1>
        <p className="text-soft">{step.why}</p>
        <Questions product={product} />
        <div className="mt-6 flex gap-3">
          {at > 0 && (
            <button type="button" className="btn" onClick={() => go(at - 1)}>
              Back
            </button>
          )}
          {at < GUIDE_STEPS.length - 1 && (
            <button type="button" className="btn btn-primary" onClick={() => go(at + 1)}>
              Next: {GUIDE_STEPS[at + 1]?.short}
            </button>
          )}
        </div>
      </section>
    </div>
  );
}
