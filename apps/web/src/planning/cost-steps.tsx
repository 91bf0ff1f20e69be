import type { ViewOf } from '@nuvar/core';
import { Amount } from '../figures/amount.js';
import { manyUnits } from '../figures/format.js';

interface CostStepsProps {
  readonly steps: ViewOf<'candidate'>['steps'];
  readonly unit: string;
  readonly currency: string;
}

/** Every break-even where the fixed cost goes in steps, and what the first unit beyond each step costs. */
export function CostSteps({ steps, unit, currency }: CostStepsProps) {
  if (steps.length < 2) return null;
  return (
    <section aria-label="Steps of the fixed cost" className="mt-3">
      <table className="table">
        <caption className="text-soft text-left">
          The fixed cost goes in steps. A break-even counts only inside its own step.
        </caption>
        <thead>
          <tr>
            {[
              `Up to, ${manyUnits(unit)} a month`,
              `Fixed cost, ${currency}`,
              `Break-even, ${manyUnits(unit)}`,
              `First ${unit} beyond leaves, ${currency}`,
            ].map((label) => (
              <th key={label} scope="col" className="text-right">
                {label}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {steps.map(({ upTo, fixedCost, units, beyond }, index) => (
            <tr key={index}>
              <td className="text-right">{upTo === null ? 'no limit' : <Amount figure={upTo} digits={0} />}</td>
              <td className="text-right">
                <Amount figure={fixedCost} digits={2} />
              </td>
              <td className="text-right">{units.amount === null ? 'none' : <Amount figure={units} digits={0} />}</td>
              <td className="text-right">{beyond !== null && <Amount figure={beyond} digits={2} />}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}
