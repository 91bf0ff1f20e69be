import { fieldsOf, validateRow, withoutVersion, type StoredRow } from '@nuvar/book';
import { useMayEdit, useSettings } from '../../book/use-book.js';
import { useTried, useTry } from '../../book/use-trial.js';
import { isRefusal, readField } from '../../controls/fields/read-field.js';
import { TypedInput } from '../../controls/fields/typed-input.js';
import { typedText } from '../../figures/format.js';
import { Field, TrialMark } from '../../controls/fields/fields.js';

const SPEC = fieldsOf('pricePoint').find(({ name }) => name === 'discountPercent');

/** A discount is tried first: all figures follow it, and the book has it only when it is kept. */
export function TriedDiscount({ point }: { point: StoredRow<'pricePoint'> }) {
  const tryOut = useTry();
  const tried = useTried(point.id, 'discountPercent');
  const { locale } = useSettings();
  const mayEdit = useMayEdit();
  const take = (text: string): string | null => {
    if (SPEC === undefined) return null;
    const reading = readField(SPEC, text, locale);
    if (isRefusal(reading)) return reading.refusal;
    const problem = validateRow('pricePoint', { ...withoutVersion(point), discountPercent: reading.value })[0];
    if (problem === undefined) tryOut('pricePoint', point.id, 'discountPercent', reading.value);
    return problem?.sentence ?? null;
  };
  return (
    <Field label="Try a discount">
      <TypedInput
        label="Try a discount"
        value={typedText(String(tried ?? point.discountPercent), locale)}
        numeric
        readOnly={!mayEdit}
        place={`${point.id}.discountPercent`}
        commit={take}
      />
      <span className="text-soft">% off</span>
      {tried !== undefined && <TrialMark>tried instead of {typedText(point.discountPercent, locale)} %</TrialMark>}
    </Field>
  );
}
