import { newId, type StoredRow } from '@nuvar/book';
import { Link, useNavigate, useParams, useSearchParams } from 'react-router';
import { createOf } from '../../book/operations.js';
import { useBookPath, useEdit, useRow, useSettings, useUnarchived } from '../../book/use-book.js';
import { TypedInput } from '../../controls/typed-input.js';
import { useView } from '../../engine/use-view.js';
import { LeadFigure } from '../../figures/lead-figure.js';
import { unitWords } from '../../figures/format.js';
import { GUIDE_STEPS } from './guide-steps.js';

/**
 * Asks for what people forget, one question at a time. Every answer is written where it belongs as it is given, so that the
 * guide can be left at any step and taken up again; which step is open stands in the address.
 */
export function GuideScreen() {
  const { productId } = useParams();
  const product = useRow('product', productId);
  const path = useBookPath();
  return (
    <div className="page">
      <p>
        <Link className="link" to={product ? `${path}/make/${product.id}` : `${path}/make`}>
          Leave the guide; what you have typed is kept
        </Link>
      </p>
      {product === undefined ? <ChooseProduct /> : <GuidedProduct product={product} />}
    </div>
  );
}

function ChooseProduct() {
  const products = useUnarchived('product');
  const navigate = useNavigate();
  const path = useBookPath();
  const edit = useEdit();
  const begin = (name: string): string | null => {
    const id = newId();
    const problem = edit([createOf('product', id, { name: name.trim() })])[0];
    if (problem === undefined) void navigate(`${path}/make/guide/${id}`);
    return problem?.sentence ?? null;
  };
  return (
    <section aria-label="Guide" className="guide">
      <h1 className="screen-title">What do you make, or do, or sell?</h1>
      <p className="text-soft">
        One product is enough to begin with: a mug, a loaf, an hour of teaching. Type what it is called.
      </p>
      <div className="max-w-sm">
        <TypedInput label="Name of the product" value="" commit={begin} placeholder="its name, then Enter" />
      </div>
      {products.length > 0 && (
        <p className="mt-4">
          Or go on with{' '}
          {products.slice(0, 8).map(({ id, name }, index) => (
            <span key={id}>
              {index > 0 && ', '}
              <Link className="link" to={`${path}/make/guide/${id}`}>
                {name}
              </Link>
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
  if (step === undefined) return null;
  const { Questions } = step;
  return (
    <div className="guide-split">
      <nav aria-label="Steps of the guide">
        <ol className="guide-steps">
          {GUIDE_STEPS.map(({ id, short }, index) => (
            <li key={id}>
              <Link to={`?step=${id}`} aria-current={index === at ? 'step' : undefined} className="guide-step">
                {short}
              </Link>
            </li>
          ))}
        </ol>
        <p className="text-soft mt-4">One {unitWords(product.outputUnit)} so far</p>
        <LeadFigure figure={view?.fullCost} digits={2} unit={currency} />
      </nav>
      <section aria-label={step.question} className="guide">
        <p className="text-soft">{product.name}</p>
        <h1 className="screen-title">{step.question}</h1>
        <p className="text-soft">{step.why}</p>
        <Questions product={product} />
        <div className="guide-buttons">
          {at > 0 && (
            <button type="button" className="button" onClick={() => go(at - 1)}>
              Back
            </button>
          )}
          {at < GUIDE_STEPS.length - 1 && (
            <button type="button" className="button button-main" onClick={() => go(at + 1)}>
              Next: {GUIDE_STEPS[at + 1]?.short}
            </button>
          )}
        </div>
      </section>
    </div>
  );
}
