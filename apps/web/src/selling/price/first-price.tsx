import { fieldsOf, newId, type PriceBasis, type StoredRow } from '@nuvar/book';
import { useState } from 'react';
import { createOf } from '../../book/operations.js';
import { useAll, useEdit, useMayEdit, useSettings } from '../../book/use-book.js';
import { isRefusal, readField } from '../../controls/fields/read-field.js';
import { SelectInput } from '../../controls/fields/select-input.js';
import { TypedInput } from '../../controls/fields/typed-input.js';
import { useView } from '../../engine/use-view.js';
import { Amount } from '../../figures/amount.js';
import { unitWords } from '../../figures/format.js';
import { Field, Fields } from '../../controls/fields/fields.js';
import { TARGET_WORDS } from './suggested-price.js';

/**
 * Nothing is asked for the product yet: a first price, or a target by which one is suggested, makes the price, and a sales
 * channel where there is none.
 */
export function FirstPrice({ product }: { readonly product: StoredRow<'product'> }) {
  const edit = useEdit();
  const mayEdit = useMayEdit();
  const channels = useAll('channel');
  const { locale, currency, pricesIncludeTax } = useSettings();
  const [wanted, choose] = useState('');
  const chosen = channels.find(({ id }) => id === wanted) ?? channels[0];
  const view = useView('product', product.id);
  const spec = fieldsOf('pricePoint').find((each) => each.name === 'price');
  const begin = (fields: Readonly<Record<string, unknown>>): string | null => {
    const channelId = chosen?.id ?? newId();
    const made = channels.length > 0 ? [] : [createOf('channel', channelId, { name: 'Own shop' })];
    const all = { productId: product.id, channelId, taxInside: pricesIncludeTax, ...fields };
    return edit([...made, createOf('pricePoint', newId(), all)])[0]?.sentence ?? null;
  };
  const setPrice = (text: string): string | null => {
    const reading = spec && readField(spec, text, locale);
    if (reading === undefined || isRefusal(reading)) return reading?.refusal ?? null;
    return begin({ price: reading.value });
  };
  const targets = (Object.keys(TARGET_WORDS) as PriceBasis[]).map((value) => ({ value, label: TARGET_WORDS[value] }));
  return (
    <section aria-label={product.name}>
      <h2 className="font-serif text-detail">{product.name}</h2>
      <p>
        One {unitWords(product.outputUnit)} costs <Amount figure={view?.fullCost} digits={2} /> {currency}. Type its
        price, or choose a target and have a price suggested.
      </p>
      <Fields>
        {channels.length > 1 && (
          <Field label="Sold in">
            <SelectInput
              label="Sold in"
              value={chosen?.id ?? ''}
              options={channels.map(({ id, name }) => ({ value: id, label: name }))}
              disabled={!mayEdit}
              commit={(id) => {
                choose(id);
                return null;
              }}
            />
          </Field>
        )}
        <Field label="Price">
          <TypedInput
            label="Price"
            value=""
            numeric
            commit={setPrice}
            place={`${product.id}.price`}
            placeholder="not set yet"
            readOnly={!mayEdit}
          />
          <span className="text-soft">
            {currency}
            {pricesIncludeTax ? ', including sales tax' : ', before sales tax'}
          </span>
        </Field>
        <Field label="Target">
          <SelectInput
            label="Target"
            value="typed"
            options={targets}
            disabled={!mayEdit}
            commit={(basis) => begin({ basis })}
          />
        </Field>
      </Fields>
      {channels.length === 0 && (
        <p className="text-soft">
          It is sold in your own shop, without fees, until you add other channels under Sales channels.
        </p>
      )}
    </section>
  );
}
