import { newId, type StoredRow } from '@nuvar/book';
import { createOf } from '../book/operations.js';
import { useEdit, useMayEdit, useRowsOf, useSettings } from '../book/use-book.js';
import { Field } from '../controls/fields/fields.js';
import { isRefusal, readInUnit } from '../controls/fields/read-field.js';
import { RowField } from '../controls/fields/row-field.js';
import { TypedInput } from '../controls/fields/typed-input.js';
import { useView } from '../engine/use-view.js';
import { Amount } from '../figures/amount.js';
import { manyUnits } from '../figures/format.js';
import { ScreenLink } from '../figures/screen-link.js';
import { fieldsOf, type FieldSpec } from '@nuvar/book';

const LABEL = 'Planned sales';
const UNITS = fieldsOf('plannedVolume').find(({ name }) => name === 'unitsPerMonth') as FieldSpec;

/** The planned sales of a product: typed where it is planned once; by channel they stand together under Run. */
export function PlannedUnits({ product }: { readonly product: StoredRow<'product'> }) {
  const volumes = useRowsOf('plannedVolume', 'productId', product.id);
  const suffix = `${manyUnits(product.outputUnit)} a month`;
  const [only] = volumes;
  if (only === undefined) return <FirstVolume product={product} suffix={suffix} />;
  if (volumes.length > 1) return <AllVolumes suffix={suffix} id={product.id} />;
  return (
    <RowField
      kind="plannedVolume"
      id={only.id}
      field="unitsPerMonth"
      label={LABEL}
      suffix={suffix}
      unit={product.outputUnit}
      placeholder="not set"
    />
  );
}

function FirstVolume({ product, suffix }: { readonly product: StoredRow<'product'>; readonly suffix: string }) {
  const edit = useEdit();
  const mayEdit = useMayEdit();
  const { locale } = useSettings();
  const commit = (text: string) => {
    const reading = readInUnit(UNITS, text, locale, product.outputUnit);
    if (isRefusal(reading)) return reading.refusal;
    if (reading.value === null) return null;
    const fields = { productId: product.id, unitsPerMonth: reading.value };
    return edit([createOf('plannedVolume', newId(), fields)])[0]?.sentence ?? null;
  };
  return (
    <Field label={LABEL}>
      <TypedInput
        label={LABEL}
        value=""
        commit={commit}
        place={`${product.id}.plannedUnits`}
        numeric
        placeholder="not set"
        readOnly={!mayEdit}
      />
      <span className="text-soft whitespace-nowrap">{suffix}</span>
    </Field>
  );
}

function AllVolumes({ id, suffix }: { readonly id: string; readonly suffix: string }) {
  const view = useView('volumes', 'book');
  return (
    <Field label={LABEL}>
      <Amount figure={view?.products.find((product) => product.id === id)?.units} digits={0} />
      <span className="text-soft whitespace-nowrap">{suffix},</span>
      <ScreenLink to="volumes">by channel</ScreenLink>
    </Field>
  );
}
