import { newId } from '@nuvar/book';
import { createOf } from '../book/operations.js';
import { useEdit, useMayEdit, useSettings } from '../book/use-book.js';
import { Field, Fields } from '../controls/fields/fields.js';
import { isRefusal, readAnyQuantity } from '../controls/fields/read-field.js';
import { TypedInput } from '../controls/fields/typed-input.js';
import { unitWords } from '../figures/format.js';

/** A unit in which an item is bought or used, and that cannot be converted to the one by which the item is costed. */
export interface MissingConversion {
  readonly owner: 'materialId' | 'productId';
  readonly id: string;
  readonly name: string;
  readonly unit: string;
  readonly baseUnit: string;
}

/** The conversions that are needed and that nobody has stated: asked for right where they are missed, with both units. */
export function MissingConversions({ missing }: { readonly missing: readonly MissingConversion[] }) {
  if (missing.length === 0) return null;
  return (
    <section aria-label="Missing unit conversions" className="mt-2">
      <p className="text-soft">How much is one? Stated once, the conversion is used everywhere.</p>
      <Fields>
        {missing.map((each) => (
          <Conversion key={`${each.id}/${each.unit}`} missing={each} />
        ))}
      </Fields>
    </section>
  );
}

function Conversion({ missing: { owner, id, name, unit, baseUnit } }: { readonly missing: MissingConversion }) {
  const edit = useEdit();
  const mayEdit = useMayEdit();
  const { locale } = useSettings();
  const state = (text: string): string | null => {
    const reading = readAnyQuantity(text, locale);
    if (isRefusal(reading)) return reading.refusal;
    const equal = { equalQuantity: reading.value, equalUnit: reading.unit ?? baseUnit };
    return (
      edit([createOf('itemConversion', newId(), { [owner]: id, quantity: '1', unit, ...equal })])[0]?.sentence ?? null
    );
  };
  const label = `1 ${unitWords(unit)} of ${name}`;
  return (
    <Field label={label}>
      <span>=</span>
      <TypedInput
        label={label}
        value=""
        numeric
        commit={state}
        place={`${id}.1 ${unit}`}
        placeholder="how much"
        readOnly={!mayEdit}
      />
      <span className="text-soft">{unitWords(baseUnit)}</span>
    </Field>
  );
}
