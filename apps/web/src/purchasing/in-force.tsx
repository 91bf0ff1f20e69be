import type { StoredRow } from '@nuvar/book';
import { useRow, useSettings, useVersion } from '../book/use-book.js';
import { dayText } from '../figures/format.js';
import { useShownDay } from '../state/store.js';
import { pricesShown } from './material-rows.js';
import { priceText } from './price-text.js';

interface InForceProps {
  readonly material: StoredRow<'material'>;
  readonly priceId: string | null;
}

/** From when and from whom the price in force is, and the next one. */
export function InForce({ material, priceId }: InForceProps) {
  const price = useRow('supplierPrice', priceId);
  const supplier = useRow('supplier', price?.supplierId);
  const { locale, currency } = useSettings();
  const day = useShownDay();
  useVersion('supplierPrice');
  const { toCome } = pricesShown(material, day, {});
  const parts = [
    ...(price === undefined || price.price === null
      ? []
      : [`price in force from ${dayText(price.validFrom, locale)}${supplier ? `, ${supplier.name}` : ''}`]),
    ...(toCome === undefined
      ? []
      : [`next price ${priceText(toCome, currency, locale)} from ${dayText(toCome.validFrom, locale)}`]),
  ];
  if (parts.length === 0) return null;
  const said = parts.join('; ');
  return <p className="text-note text-soft">{`${said.charAt(0).toUpperCase()}${said.slice(1)}`}</p>;
}
