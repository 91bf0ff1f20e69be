import type { ScreenId } from '../book/screens.js';
import { useCount } from '../book/use-book.js';
import { ScreenLink } from '../figures/screen-link.js';

interface Step {
  readonly done: boolean;
  readonly to: ScreenId;
  readonly words: string;
  readonly why: string;
}

/** What to do first in a young book: each step goes when it is done. */
export function FirstSteps() {
  const materials = useCount('material');
  const products = useCount('product');
  const lines = useCount('billLine');
  const grades = useCount('labourGrade');
  const costs = useCount('runningCost');
  const points = useCount('pricePoint');
  const steps: readonly Step[] = [
    {
      done: materials > 0,
      to: 'buy',
      words: 'Enter what your materials cost',
      why: 'a pack and its price give the cost per gram or piece',
    },
    {
      done: products > 0 && lines > 0,
      to: 'make',
      words: 'Add what goes into your first product',
      why: 'materials, packaging, other products',
    },
    { done: grades > 0, to: 'grades', words: 'Enter what an hour of work costs', why: 'your own time counts too' },
    { done: costs > 0, to: 'run', words: 'Enter the running costs', why: 'rent, insurance, the yearly bills' },
    { done: points > 0, to: 'sell', words: 'Set a price', why: 'and see your profit, and how many you must sell' },
  ];
  const left = steps.filter((step) => !step.done);
  if (left.length === 0) return null;
  return (
    <section className="mb-6" aria-label="First steps">
      <h2 className="text-section">From a pack price to a selling price</h2>
      <p>
        <ScreenLink to="guide">Cost your first product step by step</ScreenLink>{' '}
        <span className="text-soft">one question at a time; you can leave and come back at any time</span>
      </p>
      <ol>
        {left.map((step, index) => (
          <li
            key={step.to}
            className="grid grid-cols-[3rem_minmax(0,1fr)] gap-2 border-b border-base-300 py-1 desk:grid-cols-[3rem_18rem_minmax(0,1fr)]"
          >
            <span className="font-semibold text-primary">{index === 0 ? 'next' : ''}</span>
            <ScreenLink to={step.to}>{step.words}</ScreenLink>
            <span className="text-soft">{step.why}</span>
          </li>
        ))}
      </ol>
    </section>
  );
}
