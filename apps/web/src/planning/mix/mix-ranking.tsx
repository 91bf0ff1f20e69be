import {
  furthestRanking,
  type MixFindings,
  type MixModel,
  type MixView,
  oneInWords,
  quantitiesOfPlan,
  type RankedMix,
  rankingWords,
} from '@nuvar/core';
import { useState } from 'react';
import { useSettings } from '../../book/use-book.js';
import { useView } from '../../engine/use-view.js';
import { Amount } from '../../figures/amount.js';
import { DetailHeading } from '../../figures/detail-heading.js';
import { ResourceChoice } from './resource-choice.js';
import { useMixWriting } from './use-mix-writing.js';

interface MixRankingProps {
  readonly planId: string;
  readonly view: MixView;
  readonly findings: MixFindings;
  readonly best: readonly string[];
}

/** The ranking by one resource beside the best mix, and why the two differ. */
export function MixRankingPart({ planId, view, findings: { model, answer, ranked }, best }: MixRankingProps) {
  const [chosen, choose] = useState<number | null>(null);
  const at = chosen ?? furthestRanking(ranked, answer.goal);
  const [resource, ofResource] = [model.resources[at], ranked[at]];
  if (resource === undefined || ofResource === undefined) return null;
  return (
    <div className="mt-4">
      <DetailHeading>Ranking beside it</DetailHeading>
      <label className="mt-1 flex items-center gap-2">
        Contribution for each unit of
        <ResourceChoice label="Resource of the ranking" model={model} value={at} choose={choose} />
      </label>
      <Ranking
        planId={planId}
        key={resource.id}
        view={view}
        model={model}
        at={at}
        ranked={ofResource}
        best={best}
        goal={answer.goal}
      />
    </div>
  );
}

interface RankingProps {
  readonly planId: string;
  readonly view: MixView;
  readonly model: MixModel;
  readonly at: number;
  readonly ranked: RankedMix;
  readonly best: readonly string[];
  readonly goal: number;
}

function Ranking({ planId, view, model, at, ranked, best, goal }: RankingProps) {
  const writing = useMixWriting();
  const { currency } = useSettings();
  const { id: resourceId = '', name = '', unit = '' } = model.resources[at] ?? {};
  const figures = useView('mixRanking', resourceId);
  const quantities = quantitiesOfPlan(view.slots, model, ranked.quantities);
  const byRanking = useView('mixOutcome', `${planId}@${quantities.join('|')}`);
  const byBest = useView('mixOutcome', `${planId}@${best.join('|')}`);
  const isUnits = model.goal === 'units';
  const placeOf = (index: number) => model.products[index]?.place ?? index;
  const ranks = [
    ...ranked.order.map((each) => each.at),
    ...model.products
      .map((_product, index) => index)
      .filter((index) => !ranked.order.some((each) => each.at === index)),
  ];
  return (
    <>
      <table className="table mt-1 w-auto" aria-label={`Ranking by ${name}`}>
        <thead>
          <tr>
            <th scope="col">Product</th>
            <th scope="col" className="text-right">
              {currency} per {oneInWords(unit)}
            </th>
            <th scope="col" className="text-right">
              Throughput ratio
            </th>
            <th scope="col" className="text-right">
              By ranking
            </th>
            <th scope="col" className="text-right">
              Best
            </th>
          </tr>
        </thead>
        <tbody>
          {ranks.map((index) => {
            const product = model.products[index];
            const figure = figures?.find(({ id }) => id === product?.id);
            const takes = model.uses.some((use) => use.product === index && use.resource === at && use.perUnit > 0);
            return (
              <tr key={product?.id}>
                <th scope="row" className="font-normal">
                  {product?.name}
                </th>
                <td className="text-right">
                  {takes ? (
                    <Amount figure={figure?.contribution} digits={2} />
                  ) : (
                    <span className="text-soft">takes none</span>
                  )}
                </td>
                <td className="text-right">
                  {takes && figure?.throughputRatio != null ? (
                    <Amount figure={figure.throughputRatio} digits={2} />
                  ) : (
                    ''
                  )}
                </td>
                <td className="figure text-right">{writing.amount(ranked.quantities[index] ?? 0)}</td>
                <td className="figure text-right">{writing.amount(Number(best[placeOf(index)] ?? 0))}</td>
              </tr>
            );
          })}
          <tr className="border-t border-base-content font-semibold">
            <th scope="row">Goal</th>
            <td />
            <td />
            <td className="text-right">
              <Amount figure={byRanking?.outcome.goal} digits={isUnits ? 0 : 2} />
            </td>
            <td className="text-right">
              <Amount figure={byBest?.outcome.goal} digits={isUnits ? 0 : 2} />
            </td>
          </tr>
        </tbody>
      </table>
      <p className="mt-1">{rankingWords(model, at, ranked, goal, writing)}</p>
    </>
  );
}
