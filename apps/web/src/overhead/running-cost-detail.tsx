import type { StoredRow } from '@nuvar/book';
import { useMemo } from 'react';
import { today } from '../state/today.js';
import { useRow, useRowsOf, useSettings } from '../book/use-book.js';
import { Fields } from '../controls/fields/fields.js';
import { fieldColumn } from '../controls/grid/field-column.js';
import { Grid } from '../controls/grid/grid.js';
import { RowField } from '../controls/fields/row-field.js';
import { rowsWriter } from '../controls/grid/rows-writer.js';
import { useView } from '../engine/use-view.js';
import { Amount } from '../figures/amount.js';
import { DetailHeading } from '../figures/detail-heading.js';
import { Gone } from '../figures/empty.js';
import { dayText, typedText, unitWords, written } from '../figures/format.js';
import { ScreenLink } from '../figures/screen-link.js';
import { useStyle } from '../figures/use-style.js';
import { BEHAVIOUR_WORDS, DRIVER_WORDS, RHYTHM_WORDS } from './running-cost-rows.js';

type Cost = StoredRow<'runningCost'>;
type Increase = StoredRow<'costIncrease'>;
type Step = StoredRow<'costStep'>;

/** One running cost: when it comes, how it behaves, and what it is in each product. */
export function RunningCostDetail({ id }: { readonly id: string }) {
  const cost = useRow('runningCost', id);
  const view = useView('overhead', 'book');
  const { currency } = useSettings();
  if (cost === undefined) return <Gone what="running cost" />;
  const isVariable = cost.behaviour === 'variable';
  return (
    <section aria-label={cost.name}>
      <header className="flex items-baseline gap-4">
        <h2 className="mt-3 font-serif text-detail">{cost.name}</h2>
        <ScreenLink to="run" className="link print:hidden">
          Close
        </ScreenLink>
      </header>
      <p>
        <Amount figure={view?.costs[id]?.perMonth} digits={2} inWords />{' '}
        <span className="text-soft">{currency} a month</span>
      </p>
      <Fields>
        <RowField kind="runningCost" id={id} field="behaviour" words={BEHAVIOUR_WORDS} />
        {cost.behaviour !== 'fixed' && <RowField kind="runningCost" id={id} field="driver" words={DRIVER_WORDS} />}
        {cost.behaviour !== 'stepped' && (
          <RowField
            kind="runningCost"
            id={id}
            field="amount"
            suffix={isVariable ? `${currency} per ${DRIVER_WORDS[cost.driver]}` : currency}
          />
        )}
        {!isVariable && <RowField kind="runningCost" id={id} field="rhythm" words={RHYTHM_WORDS} />}
        {!isVariable && (cost.rhythm === 'year' || cost.rhythm === 'quarter') && (
          <RowField kind="runningCost" id={id} field="dueMonth" suffix="1 to 12" placeholder="as it starts" />
        )}
        <RowField kind="runningCost" id={id} field="poolId" words={{ '': 'none: production' }} />
        <RowField kind="runningCost" id={id} field="startsOn" placeholder="always" />
        <RowField kind="runningCost" id={id} field="endsOn" placeholder="open" />
        {!isVariable && <RowField kind="runningCost" id={id} field="paidInCash" />}
        <RowField kind="runningCost" id={id} field="accountCode" />
        <RowField kind="runningCost" id={id} field="taxPercent" suffix="%" placeholder="none" />
        <RowField kind="runningCost" id={id} field="taxInside" />
      </Fields>
      {cost.behaviour === 'stepped' ? <Steps cost={cost} /> : <Increases cost={cost} />}
      <InEachProduct cost={cost} />
    </section>
  );
}

/** Amounts that are known in advance. */
function Increases({ cost }: { readonly cost: Cost }) {
  const rows = useRowsOf('costIncrease', 'runningCostId', cost.id);
  const { locale, currency } = useSettings();
  const sorted = useMemo(() => [...rows].sort((one, other) => (one.validFrom < other.validFrom ? -1 : 1)), [rows]);
  const columns = useMemo(
    () => [
      fieldColumn<Increase>('costIncrease', 'validFrom', locale, { placeholder: 'From a day on' }),
      fieldColumn<Increase>('costIncrease', 'amount', locale, { header: `New amount, ${currency}` }),
    ],
    [locale, currency],
  );
  const writer = useMemo(
    () =>
      rowsWriter<Increase>('costIncrease', {
        needs: 'amount',
        isCopied: false,
        fixed: () => ({ runningCostId: cost.id, validFrom: today() }),
      }),
    [cost.id],
  );
  return (
    <div className="mt-3">
      <Grid
        title="Increases known in advance"
        rows={sorted}
        columns={columns}
        writer={writer}
        nameOf={({ validFrom }) => `the amount from ${dayText(validFrom, locale)}`}
        empty="A rent that goes up in July: enter the day and the new amount."
      />
    </div>
  );
}

/** The steps of a cost that goes up in steps. */
function Steps({ cost }: { readonly cost: Cost }) {
  const rows = useRowsOf('costStep', 'runningCostId', cost.id);
  const { locale, currency } = useSettings();
  const sorted = useMemo(
    () => [...rows].sort((one, other) => Number(one.upTo ?? Infinity) - Number(other.upTo ?? Infinity)),
    [rows],
  );
  const columns = useMemo(
    () => [
      {
        ...fieldColumn<Step>('costStep', 'upTo', locale, { header: `Up to, ${cost.driver} a month` }),
        emptyText: () => 'above that',
      },
      fieldColumn<Step>('costStep', 'amount', locale, { header: `Amount, ${currency}` }),
    ],
    [locale, currency, cost.driver],
  );
  const writer = useMemo(
    () => rowsWriter<Step>('costStep', { needs: 'amount', isCopied: false, fixed: () => ({ runningCostId: cost.id }) }),
    [cost.id],
  );
  return (
    <div className="mt-3" data-place={`${cost.id}.steps`} tabIndex={-1}>
      <Grid
        title="Steps"
        rows={sorted}
        columns={columns}
        writer={writer}
        nameOf={({ upTo }) => (upTo === null ? 'the last step' : `the step up to ${typedText(upTo, locale)}`)}
        empty="What the cost is up to how much of the driver, the limit included. The last step has no limit."
      />
    </div>
  );
}

/** In plain words: what this bill costs each product. */
function InEachProduct({ cost }: { readonly cost: Cost }) {
  const shares = useView('billShare', cost.id);
  const { currency } = useSettings();
  const style = useStyle();
  const borne = shares?.filter(({ perUnit }) => perUnit !== null && Number(perUnit) !== 0) ?? [];
  const [most] = [...borne].sort((one, other) => Number(other.perUnit) - Number(one.perUnit));
  if (shares === undefined) return null;
  return (
    <>
      <DetailHeading>What it costs each product</DetailHeading>
      {most === undefined ? (
        <p className="text-soft">No planned product carries any of it.</p>
      ) : (
        <p>
          {cost.name} costs each {unitWords(most.unit)} of {most.name} {written(most.perUnit ?? '0', 2, style)}{' '}
          {currency}.
        </p>
      )}
      <table className="table mt-1">
        <tbody>
          {borne.map(({ id, name, unit, perUnit }) => (
            <tr key={id}>
              <th scope="row" className="font-normal">
                <ScreenLink to="make" row={id} search="?side=methods">
                  {name}
                </ScreenLink>
              </th>
              <td className="figure-print text-right">{written(perUnit ?? '0', 4, style)}</td>
              <td className="text-soft whitespace-nowrap">
                {currency} a {unitWords(unit)}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </>
  );
}
