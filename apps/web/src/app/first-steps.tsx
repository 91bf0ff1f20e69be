import { Link } from 'react-router';
import { useBookPath, useCount } from '../book/use-book.js';

/** What to do first in a young book; it goes away when all of it is done. */
export function FirstSteps() {
  const path = useBookPath();
  const materials = useCount('material');
  const products = useCount('product');
  const lines = useCount('billLine');
  const grades = useCount('labourGrade');
  const costs = useCount('runningCost');
  const points = useCount('pricePoint');
  const candidates = useCount('candidatePrice');
  const steps = [
    {
      done: materials > 0,
      to: '/buy',
      words: 'Enter what your materials cost',
      why: 'a pack, its price, and you have the price per gram or piece',
    },
    {
      done: products > 0 && lines > 0,
      to: '/make',
      words: 'Say what goes into your first product',
      why: 'materials, packaging, other products',
    },
    { done: grades > 0, to: '/make/grades', words: 'Say what an hour of work costs', why: 'your own time counts too' },
    { done: costs > 0, to: '/run', words: 'Enter the running costs', why: 'rent, insurance, the yearly bills' },
    { done: points > 0, to: '/sell', words: 'Set a price', why: 'and see what is left for you' },
    {
      done: candidates > 0,
      to: '/plan',
      words: 'See how many you must sell',
      why: 'break-even at several prices side by side',
    },
  ];
  const isMature = steps.every((step) => step.done);
  const next = steps.find((step) => !step.done);
  if (isMature) return null;
  return (
    <section className="first-steps" aria-label="First steps">
      <h2 className="section-title">From a pack price to a selling price</h2>
      <p>
        <Link className="link" to={`${path}/make/guide`}>
          Be guided through your first product
        </Link>{' '}
        <span className="text-soft">question by question; you can leave it and come back at any time</span>
      </p>
      <ol>
        {steps.map((step) => (
          <li key={step.to} className={step.done ? 'step-done' : ''}>
            <span className="step-mark">{step.done ? 'done' : step === next ? 'next' : ''}</span>
            <Link className="link" to={`${path}${step.to}`}>
              {step.words}
            </Link>
            <span className="text-soft">{step.why}</span>
          </li>
        ))}
      </ol>
    </section>
  );
}
