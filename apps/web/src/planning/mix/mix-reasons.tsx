import {
  inGoal,
  type OneMore,
  type MixModel,
  mixReasons,
  type MixView,
  type MixWriting,
  oneInWords,
  type MixReason,
} from '@nuvar/core';
import { useMemo } from 'react';
import { DetailHeading } from '../../figures/detail-heading.js';
import { MixRankingPart } from './mix-ranking.js';
import type { MixSearch } from './use-mix-search.js';
import { useMixWriting } from './use-mix-writing.js';

interface MixReasonsProps {
  readonly planId: string;
  readonly view: MixView;
  readonly search: MixSearch;
  readonly best: readonly string[];
}

/** Why the best mix is the best: what binds, what is spare, what one more is worth, and what would have to change. */
export function MixReasons({ planId, view, search, best }: MixReasonsProps) {
  const writing = useMixWriting();
  const { findings, isExplaining } = search;
  const reasons = useMemo(() => (findings === null ? [] : mixReasons(findings, writing)), [findings, writing]);
  if (findings === null) return null;
  const { model, explanation } = findings;
  return (
    <section className="mt-5" aria-label="Reasons">
      <DetailHeading>Why this mix</DetailHeading>
      {explanation !== null && (
        <p className="text-note text-soft">
          What one more is worth above its normal price is the shadow price of a limit; what a product would have to
          bring more is its reduced cost.
        </p>
      )}
      <Reasons reasons={reasons.slice(0, MOST_SAID)} model={model} writing={writing} label="Reasons for the best mix" />
      {reasons.length > MOST_SAID && (
        <details className="mt-1.5">
          <summary className="cursor-pointer text-soft">{reasons.length - MOST_SAID} more</summary>
          <Reasons reasons={reasons.slice(MOST_SAID)} model={model} writing={writing} label="More reasons" />
        </details>
      )}
      {isExplaining && <p className="text-soft">Working out the reasons.</p>}
      {findings.ranked.length > 0 && <MixRankingPart planId={planId} view={view} findings={findings} best={best} />}
    </section>
  );
}

/** More sentences than this are opened by a press. */
const MOST_SAID = 40;

interface ReasonsProps {
  readonly reasons: readonly MixReason[];
  readonly model: MixModel;
  readonly writing: MixWriting;
  readonly label: string;
}

function Reasons({ reasons, model, writing, label }: ReasonsProps) {
  return (
    <ul className="mt-1 grid gap-1.5" aria-label={label}>
      {reasons.map(({ id, sentence, worth }) => (
        <li key={id}>
          {worth === null || worth.changes.length === 0 ? (
            sentence
          ) : (
            <details>
              <summary className="cursor-pointer">{sentence}</summary>
              <Changes
                worth={worth}
                model={model}
                unit={worth.of === 'resource' ? unitOf(model, worth) : 'unit'}
                writing={writing}
              />
            </details>
          )}
        </li>
      ))}
    </ul>
  );
}

const unitOf = ({ resources }: MixModel, { at }: OneMore) => oneInWords(resources[at]?.unit ?? '');

interface ChangesProps {
  readonly worth: OneMore;
  readonly model: MixModel;
  /** One of the limit, in words. */
  readonly unit: string;
  readonly writing: MixWriting;
}

/** What is too little to be shown. */
const NOTHING = 0.005;

/** The working of what one more is worth: what it changes in the mix, and what that brings. */
function Changes({ worth: { changes, byExtra, up }, model, unit, writing }: ChangesProps) {
  const said = (value: number) => inGoal(model, value, writing);
  return (
    <table className="table my-1 ml-4 w-auto" aria-label={`What one ${unit} more changes`}>
      <thead>
        <tr>
          <th scope="col">With one {unit} more</th>
          {['Quantity', 'Each brings', 'Together'].map((header) => (
            <th key={header} scope="col" className="text-right">
              {header}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {changes.map(({ product, by, each, together }) => (
          <tr key={product}>
            <th scope="row" className="font-normal">
              {model.products[product]?.name}
            </th>
            <td className="figure text-right">{writing.amount(by)}</td>
            <td className="figure text-right">{said(each)}</td>
            <td className="figure text-right">{said(together)}</td>
          </tr>
        ))}
        {Math.abs(byExtra) > NOTHING && (
          <tr>
            <th scope="row" className="font-normal">
              Change in extra
            </th>
            <td colSpan={2} />
            <td className="figure text-right">{said(byExtra)}</td>
          </tr>
        )}
        <tr className="border-t border-base-content font-semibold">
          <th scope="row">Worth of one {unit} more</th>
          <td colSpan={2} />
          <td className="figure text-right">{said(up ?? 0)}</td>
        </tr>
      </tbody>
    </table>
  );
}
