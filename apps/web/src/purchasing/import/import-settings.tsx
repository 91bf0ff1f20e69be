import type { ListReading } from '@nuvar/core';
import { IsIn, Min, ValidateIf } from 'class-validator';
import { useAll, useSettings } from '../../book/use-book.js';
import { AsField } from '../../controls/fields/as-field.js';
import { DayInput } from '../../controls/fields/day-input.js';
import { readDayText } from '../../controls/fields/read-day-text.js';
import { useCheckedForm } from '../../controls/fields/use-checked-form.js';
import { dayText } from '../../figures/format.js';

interface ImportSettingsProps {
  readonly reading: ListReading;
  readonly change: (more: Partial<ListReading>) => void;
}

/** Labels with a short field each, in lines. */
export const LABELLED =
  'mt-2 flex flex-wrap gap-x-6 gap-y-1.5 [&>label]:flex [&>label]:items-center [&>label]:gap-2 [&>label]:whitespace-nowrap [&>label]:text-soft [&_:is(.input,.select)]:w-36 [&_:is(.input,.select)]:text-base-content';

/** What holds for all rows whose own cells say nothing of it, and how their numbers are written. */
class ImportSettingsForm {
  @ValidateIf(({ supplier }: ImportSettingsForm) => supplier !== '')
  @AsField('supplier', 'name')
  supplier!: string;

  @AsField('supplierPrice', 'currency')
  currency!: string;

  @IsIn(['.', ','])
  decimalSign!: '.' | ',';

  @Min(1, { message: 'The first line is line 1.' })
  firstLine!: number;
}

/** The settings by which a list is read. Each is taken as soon as it makes sense; what does not is said beside them. */
export function ImportSettings({ reading, change }: ImportSettingsProps) {
  const suppliers = useAll('supplier');
  const { locale } = useSettings();
  const { supplier, currency, decimalSign, firstRow } = reading;
  const form = useCheckedForm(ImportSettingsForm, { supplier, currency, decimalSign, firstLine: firstRow + 1 });
  const take = form.handleSubmit((typed) =>
    change({
      supplier: typed.supplier,
      currency: typed.currency.trim().toUpperCase(),
      decimalSign: typed.decimalSign,
      firstRow: typed.firstLine - 1,
    }),
  );
  const taken = { onChange: () => void take() };
  const takeDay = (text: string): string | null => {
    const day = readDayText(text, locale);
    if ('refusal' in day) return day.refusal;
    change({ validFrom: day.value });
    return null;
  };
  const lacks = (field: 'supplier' | 'currency' | 'validFrom') => !reading.mapping.includes(field);
  const problem = (['supplier', 'currency', 'decimalSign', 'firstLine'] as const)
    .map(form.problemOf)
    .find((sentence) => sentence !== undefined);
  return (
    <form className={LABELLED} onSubmit={(event) => void take(event)} noValidate>
      {lacks('supplier') && (
        <label>
          Supplier
          <input className="input" list="import-suppliers" placeholder="none" {...form.register('supplier', taken)} />
          <datalist id="import-suppliers">
            {suppliers.map(({ id, name }) => (
              <option key={id} value={name} />
            ))}
          </datalist>
        </label>
      )}
      {lacks('currency') && (
        <label>
          Currency
          <input className="input" maxLength={3} {...form.register('currency', taken)} />
        </label>
      )}
      {lacks('validFrom') && (
        <label>
          Valid from
          <DayInput
            label="Valid from"
            value={dayText(reading.validFrom, locale)}
            day={reading.validFrom}
            commit={takeDay}
          />
        </label>
      )}
      <label>
        Numbers as
        <select className="select" {...form.register('decimalSign', taken)}>
          <option value=".">1,234.50</option>
          <option value=",">1.234,50</option>
        </select>
      </label>
      <label>
        First row
        <input
          type="number"
          min={1}
          className="input"
          {...form.register('firstLine', { ...taken, valueAsNumber: true })}
        />
      </label>
      {problem !== undefined && (
        <p className="text-error" role="alert">
          {problem}
        </p>
      )}
    </form>
  );
}
