import { newId, type StoredRow } from '@nuvar/book';
import { createOf, nextPosition } from '../../book/operations.js';
import { useAll, useEdit, useRowsOf, useSettings } from '../../book/use-book.js';
import { RowField } from '../../controls/fields/row-field.js';
import { LabourGrid } from '../../production/labour-grid.js';
import { Fields } from '../../controls/fields/fields.js';

/** The work on a product; the owner's own time is asked for where nobody has thought of it. */
export function OwnTime({ product }: { readonly product: StoredRow<'product'> }) {
  const grades = useAll('labourGrade');
  const steps = useRowsOf('labourStep', 'productId', product.id);
  const edit = useEdit();
  const { currency } = useSettings();
  const used = grades.filter(({ id }) => steps.some(({ gradeId }) => gradeId === id));
  const own = grades.find(({ ownersTime }) => ownersTime);
  const hasOwn = own !== undefined && used.includes(own);
  const countMine = () => {
    const gradeId = own?.id ?? newId();
    const made = own === undefined ? [createOf('labourGrade', gradeId, { name: 'My own time', ownersTime: true })] : [];
    const step = {
      productId: product.id,
      name: 'My work',
      gradeId,
      position: nextPosition('labourStep', steps, []),
    };
    edit([...made, createOf('labourStep', newId(), step)]);
  };
  return (
    <>
      <LabourGrid product={product} />
      {!hasOwn && (
        <p className="mt-2">
          <button type="button" className="btn" onClick={countMine}>
            Add my own time
          </button>{' '}
          <span className="text-soft">adds a step for you: type how long it takes.</span>
        </p>
      )}
      {used.length > 0 && (
        <Fields className="max-w-xl mt-3">
          {used.map(({ id, name }) => (
            <RowField
              key={id}
              kind="labourGrade"
              id={id}
              field="wagePerHour"
              label={`${name}, an hour`}
              suffix={currency}
              placeholder="not yet"
            />
          ))}
        </Fields>
      )}
    </>
  );
}
