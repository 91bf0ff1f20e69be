import { useView } from '../engine/use-view.js';
import { Amount } from '../figures/amount.js';
import { manyUnits } from '../figures/format.js';
import { CostSteps } from './cost-steps.js';
import { LeadFigure } from '../figures/lead-figure.js';

interface AtSetPriceProps {
  readonly pointId: string;
  readonly against: 'ofBook' | 'ofShare' | 'ofCash';
  readonly unit: string;
  readonly currency: string;
}

/** What it takes to break even at the price that is set: the figure for which one comes here. */
export function AtSetPrice({ pointId, against, unit, currency }: AtSetPriceProps) {
  const view = useView('candidate', pointId);
  if (view === undefined) return null;
  return (
    <div className="mt-2">
      <p className="text-soft">
        At the set price of <Amount figure={view.price} digits={2} /> {currency} you break even at
      </p>
      <LeadFigure figure={view[against].units} digits={0} unit={`${manyUnits(unit)} a month`} isLarge />
      {view[against].units.amount !== null && (
        <p className="text-soft">
          <Amount figure={view[against].wholeUnitsPerOpenDay} digits={0} /> an open day (
          <Amount figure={view[against].unitsPerOpenDay} digits={1} /> exactly), with a net revenue of{' '}
          <Amount figure={view[against].revenue} digits={2} /> {currency}; each sale leaves{' '}
          <Amount figure={view.contribution} digits={2} /> {currency}
        </p>
      )}
      {against === 'ofBook' && <CostSteps steps={view.steps} unit={unit} currency={currency} />}
    </div>
  );
}
