import type { StoredRow } from '@nuvar/book';
import { useEdit, useSettings, useVersion } from '../../book/use-book.js';
import { TypedInput } from '../../controls/fields/typed-input.js';
import { readAnyQuantity, isRefusal } from '../../controls/fields/read-field.js';
import { typedText, unitWords } from '../../figures/format.js';
import { useShownDay } from '../../state/store.js';
import { materialWriter, pricesShown, type MaterialPatch } from '../../purchasing/material-rows.js';
import { readPriceText } from '../../purchasing/price-text.js';
import { Field } from '../../controls/fields/fields.js';

/** What a pack of a material holds and costs, as two fields side by side. */
export function PackPrice({ material }: { readonly material: StoredRow<'material'> }) {
  useVersion('supplierPrice');
  const shown = pricesShown(material, useShownDay(), {});
  const { price } = shown;
  const edit = useEdit();
  const { locale, currency } = useSettings();
  const write = (patch: MaterialPatch): string | null =>
    edit(materialWriter.update({ id: material.id, material, ...shown, supplier: '' }, patch, []))[0]?.sentence ?? null;
  const writePack = (text: string) => {
    const reading = readAnyQuantity(text, locale);
    if (isRefusal(reading)) return reading.refusal;
    const { value, unit } = reading;
    return write(unit === null ? { packQuantity: value } : { packQuantity: value, packUnit: unit });
  };
  const writePrice = (text: string) => {
    const reading = readPriceText(text, locale, price?.currency ?? currency);
    return 'refusal' in reading ? reading.refusal : write(reading.patch);
  };
  return (
    <Field label={material.name}>
      <TypedInput
        label={`Pack of ${material.name}`}
        value={price ? `${typedText(price.packQuantity, locale)} ${unitWords(price.packUnit)}` : ''}
        placeholder="25 kg"
        commit={writePack}
      />
      <span className="text-soft whitespace-nowrap">cost</span>
      <TypedInput
        label={`Price of ${material.name}`}
        value={price?.price == null ? '' : typedText(price.price, locale)}
        numeric
        unit={price === undefined || price.price === null || price.currency === currency ? '' : price.currency}
        placeholder={currency}
        commit={writePrice}
      />
    </Field>
  );
}
