import type { StoredRow } from '@nuvar/book';
import type { SaleColumn, SaleLine } from '@nuvar/core';
import { useState } from 'react';
import { useAll, useSettings } from '../../book/use-book.js';
import { useView } from '../../engine/use-view.js';
import { Amount } from '../../figures/amount.js';
import { FigureLine } from '../../figures/figure-line.js';
import { typedText } from '../../figures/format.js';
import { SaleWaterfall } from './sale-waterfall.js';
import { lineWords, RETURN_WORDS } from './sale-words.js';

const columnWords = (column: SaleColumn, locale: string): string =>
  column === 'unit'
    ? 'Per unit'
    : column === 'month'
      ? 'Planned month'
      : `Order of ${typedText(column.slice('order-'.length), locale)}`;

/** What is left of each sale, line by line: for a unit, for orders, for the month; as a picture and in figures. */
export function WhatIsLeft({ point }: { readonly point: StoredRow<'pricePoint'> }) {
  const view = useView('saleLeft', point.id);
  const { currency, locale } = useSettings();
  const [shown, show] = useState<SaleColumn>('unit');
  if (view === undefined) return null;
  const { thresholds } = view;
  return (
    <>
      <fieldset className="flex flex-wrap gap-4">
        <legend className="sr-only">Drawn for</legend>
        {(['unit', 'month'] as const).map((scale) => (
          <label key={scale} className="flex items-center gap-1.5">
            <input
              type="radio"
              className="radio radio-xs"
              name="waterfall"
              checked={shown === scale}
              onChange={() => show(scale)}
            />
            {columnWords(scale, locale)}
          </label>
        ))}
      </fieldset>
      <SaleWaterfall lines={view.lines} scale={shown} />
      <div className="overflow-x-auto">
        <table className="table mt-3">
          <thead>
            <tr>
              <th scope="col">{currency}</th>
              {view.columns.map((scale) => (
                <th key={scale} scope="col" className="text-right">
                  {columnWords(scale, locale)}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {view.lines.map((line) => (
              <LeftRow key={line.id} line={line} columns={view.columns} />
            ))}
            <tr>
              <th scope="row" className="font-normal">
                % of the net revenue (margin)
              </th>
              {view.columns.map((scale) => (
                <td key={scale} className="text-right">
                  {view.margins[scale] && <Amount figure={view.margins[scale]} digits={1} />}
                </td>
              ))}
            </tr>
          </tbody>
        </table>
      </div>
      <p className="mt-1 text-note text-soft">
        A unit is that of an order of the usual size. An order of so many bears order fees, packing and postage alone,
        at the price of its quantity.
      </p>
      {view.dearerOrders.map(({ fromQuantity, dearerFrom }) => (
        <p key={fromQuantity} className="mt-1 text-note text-soft">
          From <Amount figure={dearerFrom} digits={0} /> units on, an order costs the customer more than one of{' '}
          {typedText(fromQuantity, locale)}.
        </p>
      ))}
      <table className="table mt-3">
        <tbody>
          <FigureLine label="Margin" figure={view.margin} unit="% of the net revenue" digits={1} />
          <FigureLine label="Markup" figure={view.markup} unit="% of full cost" digits={1} />
          <FigureLine label="Above production cost" figure={view.markups.onProductionCost} unit="% of it" digits={1} />
          <FigureLine label="Above variable cost" figure={view.markups.onVariableCost} unit="% of it" digits={1} />
          <FigureLine label="Above direct materials" figure={view.markups.onMaterials} unit="% of them" digits={1} />
          {view.parcels.map(({ name, charged, byVolume }) => (
            <FigureLine
              key={name}
              label={`Weight charged, ${name}`}
              figure={charged}
              unit={byVolume !== null && byVolume.amount === charged.amount ? 'kg, by volume' : 'kg'}
              digits={3}
            />
          ))}
          <FigureLine
            label="Each paid hour leaves, your own time left out"
            figure={view.perPaidHour}
            unit={`${currency} an hour`}
            digits={2}
          />
          {view.returns.map(({ id, figure }) => (
            <FigureLine key={id} label={RETURN_WORDS[id]} figure={figure} unit={currency} digits={2} />
          ))}
          <FigureLine
            label="Advertising at which nothing is left"
            figure={thresholds.advertisingBreakEven}
            unit="% of the price before tax"
            digits={1}
          />
          <FigureLine
            label="An order costs, whatever is in it"
            figure={thresholds.perOrder}
            unit={currency}
            digits={2}
          />
          <FigureLine
            label="Smallest order worth sending free"
            figure={thresholds.smallestOrder}
            unit={`${currency} of goods before tax`}
            digits={2}
          />
          <FigureLine
            label="The same, with sales tax"
            figure={thresholds.smallestWithTax}
            unit={`${currency} of goods`}
            digits={2}
          />
          <FigureLine
            label="Smallest order where postage is charged"
            figure={thresholds.smallestCharged}
            unit={`${currency} of goods before tax`}
            digits={2}
          />
          {thresholds.smallestForMargin && (
            <FigureLine
              label="Smallest order sent free at the target margin"
              figure={thresholds.smallestForMargin}
              unit={`${currency} of goods before tax`}
              digits={2}
            />
          )}
        </tbody>
      </table>
      <Bottleneck pointId={point.id} />
    </>
  );
}

function LeftRow({ line, columns }: { readonly line: SaleLine; readonly columns: readonly SaleColumn[] }) {
  const isTotal = line.role === 'total';
  const sign = line.role === 'minus' ? '− ' : line.role === 'plus' ? '+ ' : '';
  return (
    <tr className={isTotal ? 'border-t border-base-content font-semibold' : ''}>
      <th scope="row" className={isTotal ? '' : 'font-normal'}>
        {sign}
        {lineWords(line)}
      </th>
      {columns.map((scale) => (
        <td key={scale} className="text-right">
          {line.figures[scale] && <Amount figure={line.figures[scale]} digits={2} />}
        </td>
      ))}
    </tr>
  );
}

/** What a sale leaves for each hour of a machine or of a grade that runs short. */
function Bottleneck({ pointId }: { readonly pointId: string }) {
  const machines = useAll('equipment');
  const grades = useAll('labourGrade');
  const { currency } = useSettings();
  const [chosen, choose] = useState('');
  const options = [
    ...machines.map(({ id, name }) => [`equipment.${id}`, name] as const),
    ...grades.map(({ id, name }) => [`labourGrade.${id}`, name] as const),
  ];
  const of = chosen === '' ? options[0]?.[0] : chosen;
  if (of === undefined) return null;
  return (
    <p className="mt-3 flex flex-wrap items-center gap-2">
      Each hour of
      <select
        className="select w-52"
        aria-label="What runs short"
        value={of}
        onChange={(event) => choose(event.target.value)}
      >
        {options.map(([value, label]) => (
          <option key={value} value={value}>
            {label}
          </option>
        ))}
      </select>
      <BottleneckFigure id={`${pointId}@${of}`} currency={currency} />
    </p>
  );
}

function BottleneckFigure({ id, currency }: { readonly id: string; readonly currency: string }) {
  const view = useView('bottleneck', id);
  if (view === undefined) return null;
  if (view.hours.amount === '0') return <span className="text-soft">is not used by this product.</span>;
  return (
    <>
      leaves <Amount figure={view.contribution} digits={2} /> {currency}
      <span className="text-soft">
        (<Amount figure={view.hours} digits={4} /> hours a unit)
      </span>
    </>
  );
}
