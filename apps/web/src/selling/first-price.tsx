import { fieldsOf, newId, type StoredRow } from '@nuvar/book';
import { createOf } from '../book/operations.js';
import { useAll, useEdit, useSettings } from '../book/use-book.js';
import { isRefusal, readField } from '../controls/read-field.js';
import { TypedInput } from '../controls/typed-input.js';
import { useView } from '../engine/use-view.js';
import { Amount } from '../figures/amount.js';
import { unitWords } from '../figures/format.js';

/** Nothing is asked for the product yet: the first price makes the price point, and a place to sell where there is none. */
export function FirstPrice({ product }: { readonly product: StoredRow<'product'> }) {
  const edit = useEdit();
  const channels = useAll('channel');
  const { locale, currency, pricesIncludeTax } = useSettings();
  const view = useView('product', product.id);
  const spec = fieldsOf('pricePoint').find((each) => each.name === 'price');
  const setPrice = (text: string): string | null => {
    const reading = spec && readField(spec, text, locale);
    if (reading === undefined || isRefusal(reading)) return reading?.refusal ?? null;
    const channelId = channels[0]?.id ?? newId();
    const made = channels.length > 0 ? [] : [createOf('channel', channelId, { name: 'Own shop' })];
    const fields = { productId: product.id, channelId, price: reading.value, taxInside: pricesIncludeTax };
    return edit([...made, createOf('pricePoint', newId(), fields)])[0]?.sentence ?? null;
  };
  return (
    <section className="detail" aria-label={product.name}>
      <h2 className="detail-title">{product.name}</h2>
      <p>
        One {unitWords(product.outputUnit)} costs <Amount figure={view?.fullCost} digits={2} withUnit />. What do you
        ask for it?
      </p>
      <div className="fields">
        <div className="field">
          <span className="field-label" aria-hidden="true">
            Price
          </span>
          <span className="field-control">
            <TypedInput
              label="Price"
              value=""
              numeric
              commit={setPrice}
              place={`${product.id}.price`}
              placeholder="not set yet"
            />
            <span className="text-soft">
              {currency}
              {pricesIncludeTax ? ', tax inside' : ', before tax'}
            </span>
          </span>
        </div>
      </div>
      {channels.length === 0 && (
        <p className="text-soft">
          It is sold in your own shop, without fees, until you say otherwise under Places to sell.
        </p>
      )}
    </section>
  );
}
