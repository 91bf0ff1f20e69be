import { type MixOutcomeView, type MixView, totalRule } from '@nuvar/core';
import { memo } from 'react';
import { Amount } from '../../figures/amount.js';
import { unitWords } from '../../figures/format.js';
import { useStyle } from '../../figures/use-style.js';
import { useMixWriting } from './use-mix-writing.js';
import { amountText } from './words.js';

interface MixResourcesProps {
  readonly view: MixView;
  readonly best: MixOutcomeView | undefined;
}

type Resource = MixView['resources'][number];

/** Where the rule at the limit is drawn, in parts of the bar: what is too much has the room behind it. */
const RULE = 0.8;

/** The resources as bars cut into the shares of the products, with a rule at what there is; what is too much goes beyond it, hatched. */
export function MixResources({ view, best }: MixResourcesProps) {
  const writing = useMixWriting();
  return (
    <table className="table" aria-label="Resources">
      <thead>
        <tr>
          <th scope="col">Resource</th>
          <th scope="col" className="text-right">
            Used
          </th>
          <th scope="col" className="text-right">
            Available
          </th>
          <th scope="col" className="text-right">
            Left
          </th>
        </tr>
      </thead>
      <tbody>
        {view.resources.map((resource, index) => (
          <ResourceRow key={resource.id} resource={resource} best={best?.resources[index]} />
        ))}
        {view.totals.map(({ id, name, rule, measure, stated, units, limit, isBroken }) => (
          <tr key={id}>
            <th scope="row" className="font-normal">
              {name}, {totalRule({ rule, measure, stated: Number(stated.amount ?? 0) }, writing.amount)}
              {isBroken && <span className="text-error"> does not hold</span>}
            </th>
            <td className="text-right">
              <Amount figure={units} digits={2} />
            </td>
            <td className="text-right">
              <Amount figure={limit} digits={2} />
            </td>
            <td />
          </tr>
        ))}
      </tbody>
    </table>
  );
}

interface ResourceRowProps {
  readonly resource: Resource;
  readonly best: Resource | undefined;
}

/** One of the resources: drawn again only when something of it has changed. */
const ResourceRow = memo(function ResourceRow({ resource, best }: ResourceRowProps) {
  return (
    <tr className="align-top">
      <th scope="row" className="font-normal">
        {resource.name}, {unitWords(resource.unit)}
        <Bar resource={resource} best={best} />
        {resource.made !== null && Number(resource.made.amount ?? 0) > 0 && (
          <span className="text-soft">
            {' '}
            <Amount figure={resource.made} digits={2} /> made beyond its stock
          </span>
        )}
        {resource.extraUsed !== null && Number(resource.extraUsed.amount ?? 0) > 0 && (
          <span className="text-soft">
            {' '}
            with <Amount figure={resource.extraUsed} digits={2} /> of extra
          </span>
        )}
      </th>
      <td className="text-right">
        <Amount figure={resource.used} digits={2} />
      </td>
      <td className="text-right">
        <Amount figure={resource.available} digits={2} />
      </td>
      <td className="text-right">
        <Amount figure={resource.left} digits={2} />
      </td>
    </tr>
  );
});

const SHADES = ['bg-base-content/45', 'bg-base-content/25', 'bg-base-content/35', 'bg-base-content/15'];

function Bar({ resource, best }: ResourceRowProps) {
  const style = useStyle();
  const there =
    Number(resource.available.amount ?? 0) + Number(resource.extra?.amount ?? 0) + Number(resource.made?.amount ?? 0);
  const used = resource.shares.reduce((so, { amount }) => so + amount, 0);
  // The rule stands at the same place in every bar; a bar that goes far beyond it is scaled to fit.
  const full = Math.max(there / RULE, used, 1e-9);
  const width = (amount: number) => `${(amount / full) * 100}%`;
  const bestUsed = Number(best?.used.amount ?? 0);
  return (
    <span className="block pt-1" aria-hidden="true">
      <span className="relative flex h-4 bg-base-200 [print-color-adjust:exact]">
        {piecesOf(resource.shares, there).map(({ name, shade, length, isBeyond }) => (
          <span
            key={`${shade}.${String(isBeyond)}`}
            className={isBeyond ? 'part-loss' : `${SHADES[shade % SHADES.length] ?? ''} border-r border-base-100`}
            style={{ width: width(length) }}
            title={`${name}: ${amountText(length, style)}${isBeyond ? ' too much' : ''}`}
          />
        ))}
        <span className="absolute -inset-y-0.5 w-0.5 bg-base-content" style={{ left: width(there) }} />
      </span>
      {best !== undefined && (
        <span
          className="mt-0.5 block h-1 border-r-2 border-primary bg-primary/30 [print-color-adjust:exact]"
          style={{ width: width(Math.min(full, bestUsed)) }}
          title={`Best: ${amountText(bestUsed, style)}`}
        />
      )}
    </span>
  );
}

interface Piece {
  readonly name: string;
  readonly shade: number;
  readonly length: number;
  /** True for what lies beyond what there is. */
  readonly isBeyond: boolean;
}

/** The shares end to end, each cut where what there is ends. */
function piecesOf(shares: Resource['shares'], there: number): Piece[] {
  return shares.flatMap(({ name, shade, amount }, index) => {
    const from = shares.slice(0, index).reduce((so, share) => so + share.amount, 0);
    const within = Math.max(0, Math.min(amount, there - from));
    const beyond = amount - within;
    return [
      { name, shade, length: within, isBeyond: false },
      ...(beyond > 1e-9 * there ? [{ name, shade, length: beyond, isBeyond: true }] : []),
    ];
  });
}
