import { fieldsOf, type FieldSpec, type StoredRow } from '@nuvar/book';
import { FORMULA_NAMES, readFormula } from '@nuvar/core';
import { useMemo } from 'react';
import { createOf, updateOf } from '../../book/operations.js';
import { useAll, useEdit, useMayEdit, useRow, useRowsOf, useSettings } from '../../book/use-book.js';
import { Field, Fields } from '../../controls/fields/fields.js';
import { fieldColumn } from '../../controls/grid/field-column.js';
import { Grid } from '../../controls/grid/grid.js';
import type { Column, GridWriter } from '../../controls/grid/grid-model.js';
import { ListAndDetail } from '../../controls/layout/list-and-detail.js';
import { RowField } from '../../controls/fields/row-field.js';
import { copyInBook, removalInBook, rowsWriter } from '../../controls/grid/rows-writer.js';
import { TypedInput } from '../../controls/fields/typed-input.js';
import { useChosenRow } from '../../controls/layout/use-chosen-row.js';
import { DetailHeading } from '../../figures/detail-heading.js';
import { Gone } from '../../figures/empty.js';
import { typedText } from '../../figures/format.js';
import { currencyUnit, readMoneyText } from '../price-text.js';
import { BASIS_WORDS, CHARGE_LABELS, RATE_WORDS, TERM_WORDS } from './shipment-words.js';
import { BuyPage } from '../buy-page.js';

type Rule = StoredRow<'chargeRule'>;
type Bracket = StoredRow<'ruleBracket'>;

const nameOf = ({ name }: Rule) => name;

const METHOD_WORDS = { rate: 'rate', brackets: 'brackets', formula: 'formula' };
const MODE_WORDS = {
  amount: 'the amount in all',
  'rate on the whole': 'the rate on the whole',
  'rate on the slice': 'the rate on its slice',
};
const MEASURES = {
  value: '',
  quantity: 'units',
  weight: 'kg',
  volume: 'm³',
  'chargeable weight': 'chargeable kg',
} as const;

/** Charges that shipments get by themselves, and how they are reckoned. */
export function RulesScreen() {
  const { chosen, choose, chooseById } = useChosenRow('chargeRules');
  const { locale, currency } = useSettings();
  const rules = useAll('chargeRule');
  const columns = useMemo(() => ruleColumns(locale, currency), [locale, currency]);
  const writer = useMemo(() => ruleWriter(currency), [currency]);
  const shown = chosen ?? rules[0]?.id;
  return (
    <BuyPage>
      <ListAndDetail
        wide="list"
        narrow="23rem"
        list={
          <Grid
            title="Charge rules"
            rows={rules}
            columns={columns}
            writer={writer}
            nameOf={nameOf}
            selected={shown}
            onSelect={choose}
            onCreate={chooseById}
            empty="Freight rates, insurance, brokers' fees: charges that every shipment gets where the rule fits. Type a name into the empty row."
          />
        }
        detail={shown === undefined ? null : <RuleDetail key={shown} id={shown} />}
      />
    </BuyPage>
  );
}

function ruleColumns(locale: string, currency: string): Column<Rule, Partial<Rule>>[] {
  const choice = (field: keyof Rule & string, words: Readonly<Record<string, string>>) =>
    fieldColumn<Rule>('chargeRule', field, locale, { words });
  const spec = fieldsOf('chargeRule').find(({ name }) => name === 'amount') as FieldSpec;
  return [
    fieldColumn<Rule>('chargeRule', 'name', locale, { header: 'Rule', placeholder: 'New rule' }),
    choice('type', CHARGE_LABELS),
    choice('method', METHOD_WORDS),
    {
      id: 'amount',
      header: `Amount, ${currency}`,
      type: 'number',
      place: ({ id }) => `${id}.amount`,
      stored: ({ amount }) => amount ?? '',
      text: ({ amount, method }) => (method === 'rate' ? typedText(amount ?? '', locale) : ''),
      unit: {
        ...currencyUnit(currency, (row: Rule) => row, 'Amount'),
        of: (row) => (row.per === 'percent of value' ? '%' : row.currency),
      },
      read: (text, row) => {
        const reading = readMoneyText(spec, text.replace(/%\s*$/, ''), locale, row?.currency ?? currency);
        if ('refusal' in reading) return reading;
        const isPercent = /%\s*$/.test(text);
        return {
          patch: {
            amount: reading.value,
            ...(reading.currency === undefined ? {} : { currency: reading.currency }),
            ...(isPercent ? { per: 'percent of value' as const } : {}),
          },
          shown: isPercent ? `${reading.shown} %` : reading.shown,
        };
      },
    },
    choice('per', RATE_WORDS),
    choice('basis', BASIS_WORDS),
    choice('treatment', {}),
  ];
}

const ruleWriter = (currency: string): GridWriter<Rule, Partial<Rule>> => ({
  update: (row, patch) => updateOf('chargeRule', row, patch),
  create: (id, patch) => (patch.name === undefined ? null : [createOf('chargeRule', id, { currency, ...patch })]),
  remove: ({ id }) => removalInBook('chargeRule', id),
  duplicate: (row) => copyInBook('chargeRule', row),
});

const needsDivisor = ({ method, per, bracketsBy, basis }: Rule) =>
  basis === 'chargeable weight' || (method === 'rate' ? per === 'chargeable kg' : bracketsBy === 'chargeable weight');

function RuleDetail({ id }: { readonly id: string }) {
  const rule = useRow('chargeRule', id);
  if (rule === undefined) return <Gone what="rule" />;
  return (
    <section aria-label={rule.name}>
      <h2 className="font-serif text-detail">{rule.name}</h2>
      <p className="text-soft">
        A shipment gets this charge where all conditions are met. Of several rules for one charge the more specific
        wins, line by line; else the one that was made later.
      </p>
      <DetailHeading>Conditions</DetailHeading>
      <Fields>
        <RowField kind="chargeRule" id={id} field="materialId" words={{ '': 'any material' }} />
        <RowField kind="chargeRule" id={id} field="category" placeholder="any" />
        <RowField kind="chargeRule" id={id} field="supplierId" words={{ '': 'any supplier' }} />
        <RowField kind="chargeRule" id={id} field="origin" placeholder="any" />
        <RowField kind="chargeRule" id={id} field="deliveryTerm" words={{ ...TERM_WORDS, '': 'any term' }} />
        <RowField kind="chargeRule" id={id} field="ruleSet" placeholder="none" />
      </Fields>
      <DetailHeading>Calculation</DetailHeading>
      <Fields>
        <RowField kind="chargeRule" id={id} field="method" words={METHOD_WORDS} />
        <RowField kind="chargeRule" id={id} field="currency" />
        <RowField kind="chargeRule" id={id} field="account" />
        {needsDivisor(rule) && <RowField kind="chargeRule" id={id} field="volumeDivisor" />}
      </Fields>
      {rule.method === 'brackets' && <Brackets rule={rule} />}
      {rule.method === 'formula' && <Formula rule={rule} />}
    </section>
  );
}

function Brackets({ rule }: { readonly rule: Rule }) {
  const rows = useRowsOf('ruleBracket', 'ruleId', rule.id);
  const { locale } = useSettings();
  const sorted = useMemo(
    () => [...rows].sort((one, other) => Number(one.upTo ?? Infinity) - Number(other.upTo ?? Infinity)),
    [rows],
  );
  const columns = useMemo((): Column<Bracket, Partial<Bracket>>[] => {
    const measure = rule.bracketsBy === 'value' ? rule.currency : MEASURES[rule.bracketsBy];
    const rate = rule.bracketsBy === 'value' ? '%' : `${rule.currency} per ${measure}`;
    return [
      fieldColumn<Bracket>('ruleBracket', 'upTo', locale, { header: `Up to, ${measure}`, placeholder: 'no limit' }),
      fieldColumn<Bracket>('ruleBracket', 'amount', locale, {
        header: rule.bracketMode === 'amount' ? `Amount, ${rule.currency}` : `Rate, ${rate}`,
      }),
    ];
  }, [rule, locale]);
  const writer = useMemo(
    () => rowsWriter<Bracket>('ruleBracket', { needs: 'amount', fixed: () => ({ ruleId: rule.id }) }),
    [rule.id],
  );
  return (
    <>
      <Fields>
        <RowField kind="chargeRule" id={rule.id} field="bracketsBy" />
        <RowField kind="chargeRule" id={rule.id} field="bracketMode" words={MODE_WORDS} />
      </Fields>
      <Grid
        title="Brackets"
        rows={sorted}
        columns={columns}
        writer={writer}
        nameOf={({ upTo }) => (upTo === null ? 'last bracket' : `up to ${typedText(upTo, locale)}`)}
        empty="Each bracket goes up to and with its limit; the last one needs none."
      />
    </>
  );
}

function Formula({ rule }: { readonly rule: Rule }) {
  const edit = useEdit();
  const mayEdit = useMayEdit();
  const take = (text: string): string | null => {
    const read = readFormula(text);
    if (!read.ok) return `This formula cannot be used: ${read.reason}.`;
    return edit(updateOf('chargeRule', rule, { formula: text.trim() }))[0]?.sentence ?? null;
  };
  return (
    <>
      <Fields>
        <Field label="Formula">
          <TypedInput
            label="Formula"
            value={rule.formula}
            place={`${rule.id}.formula`}
            commit={take}
            readOnly={!mayEdit}
            placeholder="max(45, 0.35 * weight)"
          />
        </Field>
      </Fields>
      <p className="text-note text-soft">
        Numbers with a decimal point, + − * / and brackets, min(…) and max(…), and the names {FORMULA_NAMES.join(', ')}:
        of the lines that bear the charge, in {rule.currency}, kg, m³ and units.
      </p>
    </>
  );
}
