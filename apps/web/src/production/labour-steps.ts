import { nameKey, type Operation, type StoredRow } from '@nuvar/book';
import { model } from '../book/model.js';
import { createOf, nextPosition, updateOf } from '../book/operations.js';
import { fieldColumn } from '../controls/grid/field-column.js';
import type { Column, GridWriter } from '../controls/grid/grid-model.js';
import { copyInBook, removalInBook, rowNamed } from '../controls/grid/rows-writer.js';
import { costPerBatchColumn } from './cost-per-batch-column.js';

type Step = StoredRow<'labourStep'>;
type StepPatch = Partial<Step> & { readonly newGrade?: string };

const TIME_WORDS = {
  'minutes per batch': 'min a batch',
  'minutes per unit': 'min a unit',
  'minutes per good unit': 'min a good unit',
  'units per hour': 'units an hour',
};

/** The columns of the work on a product: how each cell is read, and what it offers. */
export function labourColumns(
  grades: readonly StoredRow<'labourGrade'>[],
  locale: string,
  currency: string,
): Column<Step, StepPatch>[] {
  const own = (field: keyof Step & string, words?: Readonly<Record<string, string>>, header?: string) =>
    fieldColumn<Step>('labourStep', field, locale, {
      ...(words === undefined ? {} : { words }),
      ...(header === undefined ? {} : { header }),
    });
  return [
    { ...own('name'), placeholder: 'Type a step' },
    {
      id: 'grade',
      header: 'Labour grade',
      type: 'item',
      place: ({ id }) => `${id}.gradeId`,
      options: () => grades.map(({ id, name }) => ({ value: id, label: name })),
      text: (step) => grades.find(({ id }) => id === step.gradeId)?.name ?? '',
      read: (text) => {
        const typed = text.trim();
        const found = grades.find(({ name }) => nameKey(name) === nameKey(typed));
        if (found) return { patch: { gradeId: found.id }, shown: found.name };
        return typed === '' || typed.length > 120
          ? { refusal: 'Type the name of a labour grade.' }
          : { patch: { newGrade: typed }, shown: `${typed} (new)` };
      },
    },
    own('time'),
    own('timeBasis', TIME_WORDS),
    own('setUpMinutes', undefined, 'Set-up, min'),
    own('people'),
    costPerBatchColumn(currency),
  ];
}

/** Writes the steps of the work on a product. */
export function labourWriter(
  productId: string,
  grades: readonly StoredRow<'labourGrade'>[],
): GridWriter<Step, StepPatch> {
  /** A grade that is not in the book yet is made in the same change. */
  const withGrade = ({ newGrade, ...patch }: StepPatch, before: readonly Operation[]) => {
    if (newGrade === undefined) return { made: [], fields: patch };
    const { id, made } = rowNamed('labourGrade', newGrade, before);
    return { made, fields: { ...patch, gradeId: id } };
  };
  return {
    update: (step, patch, before) => {
      const { made, fields } = withGrade(patch, before);
      return [...made, ...updateOf('labourStep', step, fields)];
    },
    create: (id, patch, before) => {
      if (!patch.name) return null;
      const { made, fields } = withGrade(patch, before);
      const steps = model.rows.rowsWith('labourStep', 'productId', productId);
      const only = grades.length === 1 ? { gradeId: grades[0]?.id ?? null } : {};
      return [
        ...made,
        createOf('labourStep', id, {
          productId,
          position: nextPosition('labourStep', steps, before),
          ...only,
          ...fields,
        }),
      ];
    },
    remove: ({ id }) => removalInBook('labourStep', id),
    duplicate: (row) => copyInBook('labourStep', row),
  };
}
