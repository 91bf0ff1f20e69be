import type { StoredRow } from '@nuvar/book';
import type { QuoteOptionView } from '@nuvar/core';
import { useState } from 'react';
import { useEdit, useMayEdit, useRow, useRowsOf, useSettings } from '../../book/use-book.js';
import { DocumentLinks } from '../../controls/layout/document-links.js';
import { Field, Fields } from '../../controls/fields/fields.js';
import { RowField } from '../../controls/fields/row-field.js';
import { RowText } from '../../controls/fields/row-text.js';
import { Sides, useSide } from '../../controls/layout/sides.js';
import { TypedInput } from '../../controls/fields/typed-input.js';
import { useView } from '../../engine/use-view.js';
import { isRefusal, readField } from '../../controls/fields/read-field.js';
import { Amount } from '../../figures/amount.js';
import { typedText, unitWords } from '../../figures/format.js';
import { GapList } from '../../figures/gap-list.js';
import { ScreenLink } from '../../figures/screen-link.js';
import { BillGrid } from '../../production/bill-grid.js';
import { EquipmentGrid } from '../../production/equipment-grid.js';
import { LabourGrid } from '../../production/labour-grid.js';
import { OtherCostGrid } from '../../production/other-cost-grid.js';
import { fieldsOf } from '@nuvar/book';
import { DriverUnits } from '../fees/driver-units.js';
import { QuoteState } from './quote-state.js';
import { changedUnits, copiedOption, newOption, removedOption, wonWith } from './quote-rows.js';

type Quote = StoredRow<'quote'>;
type Option = StoredRow<'quoteOption'>;

const SIDES = { page: 'Quote', needed: 'What was needed' } as const;
const BASIS_WORDS = { margin: 'margin', markup: 'markup', profit: 'profit on the job' };
const PDF = ['pdf'] as const;

/** A quote: what stands on its page, its options side by side, and what goes into the one that is chosen. */
export function QuoteDetail({ id }: { readonly id: string }) {
  const quote = useRow('quote', id);
  const options = useRowsOf('quoteOption', 'quoteId', id);
  const views = useView('quote', id);
  const side = useSide(SIDES);
  if (quote === undefined) return null;
  return (
    <section aria-label={quote.name}>
      <header className="flex flex-wrap items-baseline gap-x-4">
        <h2 className="font-serif text-detail">{quote.name}</h2>
        <span className="text-soft">{quote.state}</span>
        {options.length > 0 && <DocumentLinks label="quote" document="quote" of={id} formats={PDF} />}
      </header>
      <div className="mt-1 mb-3">
        <Sides sides={SIDES} label="Quote details" />
      </div>
      {side === 'page' ? (
        <Page quote={quote} options={options} views={views ?? []} />
      ) : (
        <Needed quote={quote} options={options} views={views ?? []} />
      )}
    </section>
  );
}

interface PageProps {
  readonly quote: Quote;
  readonly options: readonly Option[];
  readonly views: readonly QuoteOptionView[];
}

function Page({ quote, options, views }: PageProps) {
  const { id, basis } = quote;
  const { currency } = useSettings();
  const [chosen, choose] = useState('');
  const edit = useEdit();
  const mayEdit = useMayEdit();
  const shown = options.find((option) => option.id === chosen) ?? options[0];
  return (
    <>
      <Fields inTwo>
        <QuoteState quote={quote} views={views} />
        <RowField kind="quote" id={id} field="quotedOn" />
        <RowField kind="quote" id={id} field="validUntil" />
        <RowField kind="quote" id={id} field="basis" words={BASIS_WORDS} />
        <RowField
          kind="quote"
          id={id}
          field="target"
          suffix={basis === 'profit' ? currency : basis === 'margin' ? '% of price' : '% of cost'}
          placeholder="not set yet"
        />
        <RowField kind="quote" id={id} field="contingencyPercent" label="Contingency" suffix="% of cost" />
      </Fields>
      {quote.state !== 'draft' && (
        <p className="text-soft">
          {options.every(({ sentPrice }) => sentPrice !== null)
            ? 'Prices and costs stay as they were sent. Set the quote back to draft to change it.'
            : 'Nothing was kept when this quote was sent, so its prices follow its costs. Set it back to draft and send it again to keep them.'}
        </p>
      )}
      <div className="grid gap-x-7 desk:grid-cols-3">
        <RowText kind="quote" id={id} field="customer" placeholder="Name and address" />
        <RowText kind="quote" id={id} field="opening" placeholder="Thank you for your enquiry" />
        <RowText kind="quote" id={id} field="closing" placeholder="Terms of payment and delivery" />
      </div>
      <OptionsTable quote={quote} options={options} views={views} shown={shown?.id} choose={choose} />
      {mayEdit && (
        <p className="mt-2 flex gap-3">
          <button
            type="button"
            className="btn"
            onClick={() => edit(newOption(id, `${quote.name}, option ${options.length + 1}`))}
          >
            Add an option
          </button>
          {shown !== undefined && (
            <button type="button" className="btn" onClick={() => edit(copiedOption(shown))}>
              Copy this option
            </button>
          )}
        </p>
      )}
      {shown !== undefined && <OptionRecipe key={shown.id} option={shown} />}
    </>
  );
}

interface OptionsTableProps extends PageProps {
  readonly shown: string | undefined;
  readonly choose: (id: string) => void;
}

type Line = readonly [label: string, member: keyof QuoteOptionView & string, digits: number, isTotal?: boolean];

const LINES: readonly Line[] = [
  ['Full cost of one', 'unitCost', 2],
  ['Labour saved by learning', 'labourSaved', 2],
  ['Cost of the job', 'cost', 2],
  ['Contingency', 'contingency', 2],
  ['Cost with contingency', 'total', 2, true],
  ['Would cost more today', 'costMoved', 2],
  ['Price for the target', 'suggested', 2],
];
const RESULTS: readonly Line[] = [
  ['Price of one', 'perUnit', 2],
  ['Price with tax', 'paid', 2],
  ['Profit', 'profit', 2, true],
  ['Margin, %', 'margin', 1],
  ['Contribution', 'contribution', 2],
];

/** The options as columns: what each costs, is offered at, and leaves. */
function OptionsTable({ quote, options, views, shown, choose }: OptionsTableProps) {
  const { currency } = useSettings();
  const edit = useEdit();
  const mayEdit = useMayEdit();
  if (options.length === 0)
    return <p className="mt-3 text-soft">No option yet: add one to say what goes into the job.</p>;
  const viewOf = (id: string) => views.find((view) => view.id === id);
  const row = ([label, member, digits, isTotal = false]: Line) =>
    views.every((view) => view[member] === null) ? null : (
      <tr key={member} className={isTotal ? 'border-t border-base-content font-semibold' : ''}>
        <th scope="row" className={isTotal ? '' : 'font-normal'}>
          {label}
        </th>
        {options.map(({ id }) => (
          <td key={id} className="text-right">
            <Amount figure={figureOf(viewOf(id), member)} digits={digits} />
          </td>
        ))}
      </tr>
    );
  return (
    <div className="mt-4 overflow-x-auto">
      <table className="table" aria-label="Options">
        <thead>
          <tr>
            <th scope="col">{currency}, before tax</th>
            {options.map((option) => (
              <th key={option.id} scope="col" className="text-right">
                <OptionName option={option} isShown={option.id === shown} choose={choose} />
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          <tr>
            <th scope="row" className="font-normal">
              Units
            </th>
            {options.map((option) => (
              <td key={option.id}>
                <Units option={option} />
              </td>
            ))}
          </tr>
          <OptionFields options={options} field="methodId" label="Overhead by" words={{ '': 'method of the book' }} />
          <OptionFields options={options} field="learningPercent" label="Learning rate, %" placeholder="none" />
          {LINES.map(row)}
          <OptionFields options={options} field="price" label="Price of the job" placeholder="as for the target" />
          {RESULTS.map(row)}
          {mayEdit && (
            <tr className="print:hidden">
              <td />
              {options.map((option) => (
                <td key={option.id} className="text-right">
                  {option.accepted ? (
                    <ScreenLink to="make" row={option.productId}>
                      Accepted: its product
                    </ScreenLink>
                  ) : (
                    <button type="button" className="btn" onClick={() => edit(wonWith(quote, option, views))}>
                      Accept this option
                    </button>
                  )}{' '}
                  <button type="button" className="btn btn-ghost" onClick={() => edit(removedOption(option))}>
                    Remove
                  </button>
                </td>
              ))}
            </tr>
          )}
        </tbody>
      </table>
      {views.map((view) => (
        <GapList key={view.id} gaps={view.price.gaps} />
      ))}
    </div>
  );
}

function figureOf(view: QuoteOptionView | undefined, member: keyof QuoteOptionView) {
  const found = view?.[member];
  return typeof found === 'object' && found !== null && 'key' in found ? found : undefined;
}

function OptionName({
  option,
  isShown,
  choose,
}: {
  readonly option: Option;
  readonly isShown: boolean;
  readonly choose: (id: string) => void;
}) {
  const product = useRow('product', option.productId);
  return (
    <button
      type="button"
      className={isShown ? 'border-b-2 border-primary' : 'link'}
      aria-pressed={isShown}
      onClick={() => choose(option.id)}
    >
      {product?.name ?? 'option'}
    </button>
  );
}

interface OptionFieldsProps {
  readonly options: readonly Option[];
  readonly field: keyof Option & string;
  readonly label: string;
  readonly words?: Readonly<Record<string, string>>;
  readonly placeholder?: string;
}

function OptionFields({ options, field, label, words, placeholder }: OptionFieldsProps) {
  return (
    <tr>
      <th scope="row" className="font-normal">
        {label}
      </th>
      {options.map(({ id }) => (
        <td key={id}>
          <RowField
            kind="quoteOption"
            id={id}
            field={field}
            label={label}
            isNameless
            {...(words === undefined ? {} : { words })}
            {...(placeholder === undefined ? {} : { placeholder })}
          />
        </td>
      ))}
    </tr>
  );
}

const UNITS = fieldsOf('quoteOption').find(({ name }) => name === 'units');

function Units({ option }: { readonly option: Option }) {
  const edit = useEdit();
  const mayEdit = useMayEdit();
  const { locale } = useSettings();
  const take = (text: string): string | null => {
    if (UNITS === undefined) return null;
    const reading = readField(UNITS, text, locale);
    if (isRefusal(reading)) return reading.refusal;
    return edit(changedUnits(option, String(reading.value)))[0]?.sentence ?? null;
  };
  return (
    <TypedInput
      label="Units"
      value={typedText(option.units, locale)}
      numeric
      readOnly={!mayEdit}
      place={`${option.id}.units`}
      commit={take}
    />
  );
}

/** What goes into one unit of an option: its materials, hours, machines and other costs. */
function OptionRecipe({ option }: { readonly option: Option }) {
  const product = useRow('product', option.productId);
  if (product === undefined) return null;
  return (
    <section aria-label={`What goes into ${product.name}`} className="mt-5 grid gap-4">
      <Fields inTwo>
        <RowField kind="product" id={product.id} field="name" />
        <RowField kind="product" id={product.id} field="note" label="Said of it" />
        <RowField kind="product" id={product.id} field="outputUnit" label="Counted in" />
        <RowField kind="product" id={product.id} field="yieldPercent" suffix="%" />
      </Fields>
      <BillGrid product={product} />
      <LabourGrid product={product} />
      <EquipmentGrid product={product} />
      <OtherCostGrid product={product} />
      <DriverUnits productId={product.id} />
    </section>
  );
}

/** What a job that was won really needed, against what was planned. */
function Needed({ quote, options, views }: PageProps) {
  const { currency } = useSettings();
  const accepted = options.filter((option) => option.accepted);
  const shown = accepted.length > 0 ? accepted : options;
  if (quote.state !== 'won')
    return <p className="text-soft">Once the quote is won and the job is done, fill in here what it really needed.</p>;
  return shown.map((option) => {
    const view = views.find(({ id }) => id === option.id);
    return view === undefined ? null : <NeededOf key={option.id} option={option} view={view} currency={currency} />;
  });
}

interface NeededOfProps {
  readonly option: Option;
  readonly view: QuoteOptionView;
  readonly currency: string;
}

function NeededOf({ option, view: { actual, profit }, currency }: NeededOfProps) {
  const product = useRow('product', option.productId);
  const { locale } = useSettings();
  const rows = [
    ['actualMaterials', 'Materials', actual.materialsPlanned, actual.materialsMore, currency],
    ['actualHours', 'Labour hours', actual.hoursPlanned, actual.hoursMore, 'hours'],
    ['actualOther', 'Other and machines', actual.otherPlanned, actual.otherMore, currency],
  ] as const;
  return (
    <section aria-label={product?.name} className="mb-5 max-w-3xl">
      <h3 className="text-section">
        {product?.name}, {typedText(option.units, locale)} {unitWords(product?.outputUnit ?? 'each')}
      </h3>
      <table className="table">
        <thead>
          <tr>
            <th scope="col">For the whole job</th>
            <th scope="col" className="text-right">
              Planned
            </th>
            <th scope="col">Needed</th>
            <th scope="col" className="text-right">
              Costs more, {currency}
            </th>
          </tr>
        </thead>
        <tbody>
          {rows.map(([field, label, planned, more, unit]) => (
            <tr key={field}>
              <th scope="row" className="font-normal">
                {label}
              </th>
              <td className="text-right">
                <Amount figure={planned} digits={2} /> <span className="text-soft">{unit}</span>
              </td>
              <td>
                <RowField
                  kind="quoteOption"
                  id={option.id}
                  field={field}
                  label={`${label} needed`}
                  isNameless
                  placeholder="as planned"
                />
              </td>
              <td className="text-right">
                <Amount figure={more} digits={2} />
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <Field label="Profit really left">
        <Amount figure={actual.profit} digits={2} withUnit />
        <span className="text-soft">
          planned <Amount figure={profit} digits={2} />
        </span>
      </Field>
    </section>
  );
}
