import type { StepPart, WorkingStep } from '@nuvar/core';
import { useView } from '../engine/use-view.js';
import { digitsOf, unitWords, written } from '../figures/format.js';
import { useStyle } from '../figures/use-style.js';

/** All steps down to the inputs, numbered as an accountant writes them: each with the numbers of those that it refers to. */
export function NumberedWorkings({ reference }: { readonly reference: string }) {
  const steps = useView('numbered', reference);
  if (steps === undefined) return null;
  return (
    <ol className="flex flex-col gap-2" aria-label="Numbered workings">
      {steps.map((step) => (
        <Step key={step.step} step={step} />
      ))}
    </ol>
  );
}

function Step({ step }: { readonly step: WorkingStep }) {
  const style = useStyle();
  const say = (amount: string | null, unit: string) =>
    amount === null ? '?' : written(amount, digitsOf(amount, unit, style), style);
  const piece = (part: string | StepPart) => {
    if (typeof part === 'string') return part;
    return `${say(part.amount, part.unit)}${part.step === null ? '' : ` (W${part.step})`}`;
  };
  return (
    <li className="border-b border-base-300 pb-1.5">
      <p className="font-semibold">
        Working {step.step}: {step.name}
        {step.subject !== '' && <span className="font-normal text-soft">, {step.subject}</span>}
      </p>
      <p className="text-note text-soft">
        {step.formula.map((part) => (typeof part === 'string' ? part : part.name)).join('')}
      </p>
      <p className="figure-print">
        {step.formula.map(piece).join('')} = {say(step.amount, step.unit)}{' '}
        <span className="text-note text-soft">{unitWords(step.unit)}</span>
      </p>
      {step.note !== '' && <p className="text-note text-soft">{step.note}</p>}
    </li>
  );
}
