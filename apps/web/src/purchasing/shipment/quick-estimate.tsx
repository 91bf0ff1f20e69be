import { fieldsOf, nameKey, newId, type FieldSpec } from '@nuvar/book';
import { IsNotEmpty, MaxLength } from 'class-validator';
import { today } from '../../state/today.js';
import { createOf } from '../../book/operations.js';
import { useEdit, useSettings, useUnarchived } from '../../book/use-book.js';
import { Dialog } from '../../controls/dialogs/dialog.js';
import { FormEntry, FormProblem } from '../../controls/fields/form-entry.js';
import { isRefusal, readAnyQuantity } from '../../controls/fields/read-field.js';
import { freeName } from '../../controls/grid/rows-writer.js';
import { useCheckedForm } from '../../controls/fields/use-checked-form.js';
import { newMaterial } from '../material-rows.js';
import { readMoneyText } from '../price-text.js';
import { newCharge } from './new-charge.js';

/** Five answers: what, how many, for how much each, and what freight and customs cost. */
class QuickEstimateForm {
  @IsNotEmpty({ message: 'What was bought?' })
  @MaxLength(100, { message: 'Name can have at most 100 characters.' })
  material!: string;

  @IsNotEmpty({ message: 'How many were bought?' })
  quantity!: string;

  @IsNotEmpty({ message: 'What did each cost at the seller?' })
  price!: string;

  freight!: string;

  customs!: string;
}

interface QuickEstimateProps {
  readonly onMade: (shipmentId: string) => void;
  readonly onClose: () => void;
}

const specOf = (kind: 'shipmentLine' | 'shipmentCharge', field: string) =>
  fieldsOf(kind).find(({ name }) => name === field) as FieldSpec;

/** "I bought 200 handles for 3 USD each, freight was 180, customs 40: what did each cost me?" */
export function QuickEstimate({ onMade, onClose }: QuickEstimateProps) {
  const { locale, currency } = useSettings();
  const materials = useUnarchived('material');
  const edit = useEdit();
  const form = useCheckedForm(QuickEstimateForm, { material: '', quantity: '', price: '', freight: '', customs: '' });
  const submit = form.handleSubmit((typed) => {
    const refuse = (field: keyof QuickEstimateForm, message: string) => form.setError(field, { message });
    const quantity = readAnyQuantity(typed.quantity, locale);
    if (isRefusal(quantity)) return refuse('quantity', quantity.refusal);
    const price = readMoneyText(specOf('shipmentLine', 'price'), typed.price, locale, currency);
    if ('refusal' in price) return refuse('price', price.refusal);
    const buying = price.currency ?? currency;
    const charges = (['freight', 'customs'] as const).map((field) => ({
      field,
      read: readMoneyText(specOf('shipmentCharge', 'amount'), typed[field], locale, currency),
    }));
    for (const { field, read } of charges) if ('refusal' in read) return refuse(field, read.refusal);
    const name = typed.material.trim();
    const known = materials.find((each) => nameKey(each.name) === nameKey(name));
    const [materialId, shipmentId] = [known?.id ?? newId(), newId()];
    const unit = quantity.unit ?? known?.baseUnit ?? 'each';
    const problem = edit([
      ...(known === undefined ? newMaterial(materialId, { name, baseUnit: unit }) : []),
      createOf('shipment', shipmentId, {
        name: freeName('shipment', name),
        currency: buying,
        date: today(),
      }),
      createOf('shipmentLine', newId(), {
        shipmentId,
        materialId,
        quantity: quantity.value,
        unit,
        price: price.value,
      }),
      ...charges.flatMap(({ field, read }, position) =>
        'refusal' in read || read.value === null
          ? []
          : [
              newCharge(newId(), shipmentId, read.currency ?? currency, {
                type: field === 'freight' ? 'freight' : 'duty',
                amount: read.value,
                position,
              }),
            ],
      ),
    ])[0];
    if (problem !== undefined) return form.setError('root', { message: problem.sentence });
    onMade(shipmentId);
    onClose();
  });
  const entry = (field: keyof QuickEstimateForm, label: string, hint: string) => (
    <FormEntry label={label} hint={hint} problem={form.problemOf(field)}>
      <input
        className="input"
        list={field === 'material' ? 'estimated-materials' : undefined}
        autoComplete="off"
        {...form.register(field)}
      />
    </FormEntry>
  );
  return (
    <Dialog title="Quick estimate" onClose={onClose}>
      <form className="mt-2 grid gap-2" onSubmit={(event) => void submit(event)} noValidate>
        {entry('material', 'What was bought', 'A material of the book, or a new one')}
        <datalist id="estimated-materials">
          {materials.map(({ id, name }) => (
            <option key={id} value={name} />
          ))}
        </datalist>
        {entry('quantity', 'How many', '200, 25 kg, 3 dozen')}
        {entry('price', 'Price of one', `3.20 is in ${currency}; add another currency: 3 USD`)}
        {entry('freight', 'Freight', 'In all, until it was here; empty where there was none')}
        {entry('customs', 'Customs', 'Duty and fees in all; empty where there were none')}
        <FormProblem>{form.generalProblem}</FormProblem>
        <p className="flex gap-3">
          <button type="submit" className="btn btn-primary">
            Work it out
          </button>
          <button type="button" className="btn" onClick={onClose}>
            Cancel
          </button>
        </p>
      </form>
    </Dialog>
  );
}
