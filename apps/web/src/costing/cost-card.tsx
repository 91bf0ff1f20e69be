import { numberText } from '@nuvar/book';
import { minorDigits, type CardLine, type CardView, type FigureView, type PriceView } from '@nuvar/core';
import { useState } from 'react';
import { useAll, useRowsOf, useSettings } from '../book/use-book.js';
import { useView } from '../engine/use-view.js';
import { Amount } from '../figures/amount.js';
import { LeadFigure } from '../figures/lead-figure.js';
import { partKey } from '../figures/part-looks.js';
import { SharesBar } from '../figures/shares-bar.js';
import { Term } from '../figures/term.js';
import { DetailHeading } from '../figures/detail-heading.js';

interface CostCardProps {
  readonly productId: string;
  readonly card: CardView;
  readonly unit: string;
}

/** What a card may leave out, for this view only. */
const LEFT_OUT_WORDS = { nothing: '', 'own time': 'without your own time', labour: 'without labour' };
type LeftOut = keyof typeof LEFT_OUT_WORDS;

const LABOUR_AND_OVERHEAD = ['labour', 'productionOverhead', 'nonProductionOverhead'];

/** The cost card of a product, from materials to full cost, and on to the price paid where a place to sell is chosen. */
export function CostCard({ productId, card, unit }: CostCardProps) {
  const { currency } = useSettings();
  const [leftOut, setLeftOut] = useState<LeftOut>('nothing');
  const withoutLabour = leftOut === 'labour';
  const digits = unitDigits(card, currency);
  const leads = {
    nothing: card.lines.find((line) => line.id === 'fullCost')?.perUnit,
    'own time': card.withoutOwnersTime,
    labour: card.withoutLabour,
  };
  const lines = withoutLabour
    ? card.lines.filter((line) => !line.subtotal && !LABOUR_AND_OVERHEAD.includes(line.id))
    : card.lines;
  return (
    <section aria-label="Cost card">
      <DetailHeading>{`One ${unit} ${LEFT_OUT_WORDS[leftOut]} costs`.replace('  ', ' ')}</DetailHeading>
      <LeadFigure figure={leads[leftOut]} digits={2} unit={currency} inWords={false} />
      {!withoutLabour && <SharesBar lines={card.lines} />}
      <table className="table">
        <thead>
          <tr>
            <th scope="col" className="w-full">
              {currency}
            </th>
            <th scope="col" className="text-right">
              per {unit}
            </th>
            <th scope="col" className="text-right">
              per batch
            </th>
            <th scope="col" className="text-right">
              <abbr title="share of the full cost in percent">%</abbr>
            </th>
          </tr>
        </thead>
        <tbody>
          {lines.map((line) => (
            <CardRow key={line.id} line={line} digits={digits} />
          ))}
          {leftOut === 'own time' && (
            <PlainRow label="Without your own time" figure={card.withoutOwnersTime} digits={digits} subtotal />
          )}
          {withoutLabour && (
            <PlainRow label="Cost without labour" figure={card.withoutLabour} digits={digits} subtotal />
          )}
        </tbody>
        {!withoutLabour && <SaleLines productId={productId} digits={digits} />}
      </table>
      {withoutLabour && (
        <p className="text-soft text-note">
          Labour, and the overhead shared by its hours, are left out of this view only.
        </p>
      )}
      <CardNotes card={card} unit={unit} />
      <label className="mt-2 flex items-center gap-2 whitespace-nowrap print:hidden">
        Leave out
        <select className="select" value={leftOut} onChange={(event) => setLeftOut(event.target.value as LeftOut)}>
          <option value="nothing">nothing</option>
          <option value="own time">my own time</option>
          <option value="labour">all labour</option>
        </select>
      </label>
    </section>
  );
}

/** Small costs are told apart by two digits more than the currency has; where a unit costs a hundred and more, nobody needs them. */
function unitDigits({ lines }: CardView, currency: string): number {
  const fullCost = Number(lines.find(({ id }) => id === 'fullCost')?.perUnit.amount ?? 0);
  return Math.abs(fullCost) < 100 ? 4 : minorDigits(currency);
}

/** Ruled off above, as a sum in a book is. */
const SUBTOTAL = 'border-t-2 border-base-content [&>*]:font-semibold';

const isSomething = (figure: FigureView) => figure.amount !== null && Number(figure.amount) !== 0;

/** What the lines of the card do not show by themselves: hours, own time, and what is lost. */
function CardNotes({ card, unit }: { readonly card: CardView; readonly unit: string }) {
  const { ownersLabour, losses, changing, fixed } = card;
  return (
    <ul className="mt-2 grid gap-1 text-note text-soft">
      <li>
        Labour in one {unit}: <Amount figure={card.hoursPerUnit} withUnit />; good in a batch:{' '}
        <Amount figure={card.good} digits={2} />
      </li>
      <li>
        <Amount figure={changing} digits={4} /> changes with each {unit} <Term>variable cost</Term>;{' '}
        <Amount figure={fixed} digits={4} /> is there whether you make it or not <Term>fixed cost</Term>
      </li>
      {isSomething(ownersLabour) && (
        <li>
          <Amount figure={ownersLabour} digits={4} /> of the labour is your own time
        </li>
      )}
      {isSomething(losses.total) && (
        <li>
          Losses cost <Amount figure={losses.total} digits={4} /> of each {unit}: wasted materials{' '}
          <Amount figure={losses.lineLoss} digits={4} />, units that do not come out good{' '}
          <Amount figure={losses.yieldLoss} digits={4} />
        </li>
      )}
      {card.rolledYield !== null && Number(card.rolledYield.amount ?? 100) < 100 && (
        <li>
          <Amount figure={card.rolledYield} digits={1} /> % comes through all steps, those of its components included{' '}
          <Term>rolled yield</Term>
        </li>
      )}
    </ul>
  );
}

function CardRow({ line, digits }: { readonly line: CardLine; readonly digits: number }) {
  const { locale } = useSettings();
  return (
    <tr className={line.subtotal ? SUBTOTAL : ''}>
      <th scope="row">
        {!line.subtotal && <span className={partKey(line.id)} aria-hidden="true" />}
        {line.label}
        {line.term !== '' && line.term.toLowerCase() !== line.label.toLowerCase() && <Term>{line.term}</Term>}
      </th>
      <td className="text-right">
        <Amount figure={line.perUnit} digits={digits} />
      </td>
      <td className="text-right">{line.perBatch && <Amount figure={line.perBatch} digits={2} />}</td>
      <td className="text-right figure-print">{line.share === null ? '' : numberText(line.share, locale)}</td>
    </tr>
  );
}

interface PlainRowProps {
  readonly label: string;
  readonly figure: FigureView;
  readonly subtotal?: boolean;
  readonly digits: number;
}

function PlainRow({ label, figure, digits, subtotal = false }: PlainRowProps) {
  return (
    <tr className={subtotal ? SUBTOTAL : ''}>
      <th scope="row">{label}</th>
      <td className="text-right">
        <Amount figure={figure} digits={digits} />
      </td>
      <td />
      <td />
    </tr>
  );
}

/** The card goes on from full cost to what the customer pays, in the place to sell that is chosen. */
function SaleLines({ productId, digits }: { readonly productId: string; readonly digits: number }) {
  const points = useRowsOf('pricePoint', 'productId', productId);
  const channels = useAll('channel');
  const [chosen, setChosen] = useState<string | null>(null);
  const point = points.find(({ id }) => id === chosen) ?? points[0];
  const view = useView('price', point?.id ?? '');
  if (point === undefined || view?.price.amount == null) return null;
  const nameOf = (channelId: string) => channels.find(({ id }) => id === channelId)?.name ?? '';
  return (
    <tbody>
      <tr>
        <th scope="row" colSpan={4} className="pt-2.5! text-soft">
          {points.length === 1 ? (
            `Sold in ${nameOf(point.channelId)}`
          ) : (
            <label>
              Sold in{' '}
              <select className="select w-auto" value={point.id} onChange={(event) => setChosen(event.target.value)}>
                {points.map(({ id, channelId }) => (
                  <option key={id} value={id}>
                    {nameOf(channelId)}
                  </option>
                ))}
              </select>
            </label>
          )}
        </th>
      </tr>
      {saleRows(view).map(([label, figure, subtotal]) => (
        <PlainRow key={label} label={label} figure={figure} digits={digits} subtotal={subtotal} />
      ))}
    </tbody>
  );
}

const saleRows = (view: PriceView): [string, FigureView, boolean][] => [
  ['Selling costs', view.sellingCost, false],
  ['Profit', view.profit, false],
  ['Price before tax', view.beforeTax, true],
  ['Sales tax', view.tax, false],
  ['Price paid', view.paid, true],
];
