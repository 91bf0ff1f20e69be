import type { CardLine, CardView } from '@nuvar/core';
import { useSettings } from '../book/use-book.js';
import { Amount } from '../figures/amount.js';
import { LeadFigure } from '../figures/lead-figure.js';
import { SharesBar } from '../figures/shares-bar.js';

interface CostCardProps {
  readonly card: CardView;
  readonly unit: string;
  readonly withoutLabour: boolean;
  readonly setWithoutLabour: (without: boolean) => void;
}

/** The cost card of a product, from materials to full cost: per good unit, per batch, and as shares. */
export function CostCard({ card, unit, withoutLabour, setWithoutLabour }: CostCardProps) {
  const { currency } = useSettings();
  const lead = withoutLabour ? card.withoutLabour : card.lines.find((line) => line.id === 'fullCost')?.perUnit;
  const lines = withoutLabour
    ? card.lines.filter((line) => !line.subtotal && line.id !== 'labour' && line.id !== 'overhead')
    : card.lines;
  return (
    <section aria-label="Cost card">
      <h3 className="detail-heading">{withoutLabour ? `One ${unit} without labour costs` : `One ${unit} costs`}</h3>
      <LeadFigure figure={lead} digits={2} unit={currency} />
      {!withoutLabour && <SharesBar lines={card.lines} />}
      <table className="plain-table card-table">
        <thead>
          <tr>
            <th scope="col">{currency}</th>
            <th scope="col" className="text-right">
              per {unit}
            </th>
            <th scope="col" className="text-right">
              per batch
            </th>
            <th scope="col" className="text-right">
              % of full cost
            </th>
          </tr>
        </thead>
        <tbody>
          {lines.map((line) => (
            <CardRow key={line.id} line={line} />
          ))}
          {withoutLabour && (
            <tr className="card-subtotal">
              <th scope="row">Cost without labour</th>
              <td className="text-right">
                <Amount figure={card.withoutLabour} digits={4} />
              </td>
              <td />
              <td />
            </tr>
          )}
        </tbody>
      </table>
      {withoutLabour && (
        <p className="text-soft text-sm">
          Labour, and the running costs that are shared out by its hours, are left out of this view only.
        </p>
      )}
      <p className="mt-2 flex flex-wrap gap-x-6 gap-y-1 text-sm text-soft">
        <span>
          Labour in one {unit}: <Amount figure={card.hoursPerUnit} withUnit />
        </span>
        <span>
          Good in a batch: <Amount figure={card.good} withUnit />
        </span>
      </p>
      <label className="mt-2 flex items-center gap-2">
        <input
          type="checkbox"
          className="checkbox checkbox-sm"
          checked={withoutLabour}
          onChange={(event) => setWithoutLabour(event.target.checked)}
        />
        Leave labour out of this view
      </label>
    </section>
  );
}

function CardRow({ line }: { line: CardLine }) {
  return (
    <tr className={line.subtotal ? 'card-subtotal' : ''}>
      <th scope="row">
        {!line.subtotal && <span className={`strip-key part-${line.id}`} aria-hidden="true" />}
        {line.label}
        {line.term !== '' && line.term.toLowerCase() !== line.label.toLowerCase() && (
          <span className="term">{line.term}</span>
        )}
      </th>
      <td className="text-right">
        <Amount figure={line.perUnit} digits={4} />
      </td>
      <td className="text-right">{line.perBatch && <Amount figure={line.perBatch} digits={2} />}</td>
      <td className="text-right figure-print">{line.share}</td>
    </tr>
  );
}
