import type { Operation, StoredRow } from '@nuvar/book';
import { useMemo } from 'react';
import { createOf, nextPosition, updateOf } from '../book/operations.js';
import { model } from '../book/model.js';
import { useAll, useRowsOf, useSettings } from '../book/use-book.js';
import { fieldColumn } from '../controls/field-column.js';
import { Grid } from '../controls/grid.js';
import { figureColumn, type Column, type GridWriter } from '../controls/grid-model.js';
import { copyInBook, removalInBook, rowNamed } from '../controls/rows-writer.js';

type Step = StoredRow<'labourStep'>;
type StepPatch = Partial<Step> & { readonly newGrade?: string };

interface LabourGridProps {
  readonly product: StoredRow<'product'>;
}

/** The work on a product, step by step. */
export function LabourGrid({ product }: LabourGridProps) {
  const steps = useRowsOf('labourStep', 'productId', product.id);
  const grades = useAll('labourGrade');
  const { locale, currency } = useSettings();
  const columns = useMemo(() => labourColumns(grades, locale, currency), [grades, locale, currency]);
  const writer = useMemo(() => labourWriter(product.id, grades), [product.id, grades]);
  return (
    <Grid
      title="The work on it"
      rows={steps}
      columns={columns}
      writer={writer}
      nameOf={({ name }) => name}
      empty="Type a step of the work into the empty row, who does it, and how long it takes. Count your own time too."
    />
  );
}

const TIME_WORDS = {
  'minutes per batch': 'min a batch',
  'minutes per unit': 'min a unit',
  'units per hour': 'units an hour',
};

function labourColumns(
  grades: readonly StoredRow<'labourGrade'>[],
  locale: string,
  currency: string,
): Column<Step, StepPatch>[] {
  const own = (field: keyof Step & string, width: string, words?: Readonly<Record<string, string>>, header?: string) =>
    fieldColumn<Step>('labourStep', field, locale, {
      width,
      ...(words === undefined ? {} : { words }),
      ...(header === undefined ? {} : { header }),
    });
  return [
    { ...own('name', 'auto'), placeholder: 'Type a step of the work' },
    {
      id: 'grade',
      header: 'Done by',
      width: '6.8rem',
      type: 'item',
      place: ({ id }) => `${id}.gradeId`,
      options: () => grades.map(({ id, name }) => ({ value: id, label: name })),
      text: (step) => grades.find(({ id }) => id === step.gradeId)?.name ?? '',
      read: (text) => {
        const typed = text.trim();
        const found = grades.find(({ name }) => name.toLowerCase() === typed.toLowerCase());
        if (found) return { patch: { gradeId: found.id }, shown: found.name };
        return typed === '' || typed.length > 120
          ? { refusal: 'Type the name of a labour grade.' }
          : { patch: { newGrade: typed }, shown: `${typed} (new)` };
      },
    },
    own('time', '3.4rem'),
    own('timeBasis', '7rem', TIME_WORDS),
    own('setUpMinutes', '3.8rem', undefined, 'Set-up, min'),
    own('people', '3.5rem'),
    figureColumn({
      id: 'cost',
      header: `${currency} per batch`,
      width: '5rem',
      view: 'card',
      of: (step: Step) => step.productId,
      pick: (card, step) => card.rowCosts[step.id],
      digits: 2,
    }),
  ];
}

function labourWriter(productId: string, grades: readonly StoredRow<'labourGrade'>[]): GridWriter<Step, StepPatch> {
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
