import { nameKey, type Operation, type StoredRow } from '@nuvar/book';
import { model } from '../book/model.js';
import { createOf, nextPosition, updateOf } from '../book/operations.js';
import { fieldColumn } from '../controls/grid/field-column.js';
import type { Column, GridWriter } from '../controls/grid/grid-model.js';
import { copyInBook, removalInBook, rowNamed } from '../controls/grid/rows-writer.js';
import { costPerBatchColumn } from './cost-per-batch-column.js';

type Use = StoredRow<'equipmentUse'>;
type UsePatch = Partial<Use> & { readonly newMachine?: string };

const BASIS_WORDS = {
  'minutes per batch': 'min a batch',
  'minutes per unit': 'min a unit',
  'minutes per good unit': 'min a good unit',
  'space per unit': 'places a unit',
};

type Named = readonly { readonly id: string; readonly name: string }[];

/** What a use is of, by name; empty where it is of nothing yet. */
export const nameOfMachine = ({ equipmentId, runId }: Use, machines: Named, runs: Named) =>
  machines.find(({ id }) => id === equipmentId)?.name ?? runs.find(({ id }) => id === runId)?.name ?? '';

/** The columns of the machines of a product: how each cell is read, and what it offers. */
export function usesColumns(machines: Named, runs: Named, locale: string, currency: string): Column<Use, UsePatch>[] {
  const options = [...runs, ...machines].map(({ id, name }) => ({ value: id, label: name }));
  const basis = fieldColumn<Use>('equipmentUse', 'basis', locale, { words: BASIS_WORDS });
  return [
    {
      id: 'machine',
      header: 'Equipment or shared load',
      type: 'item',
      placeholder: 'Type the equipment or a shared load',
      place: ({ id }) => `${id}.equipmentId`,
      options: () => options,
      text: (use) => nameOfMachine(use, machines, runs),
      read: (text) => {
        const typed = text.trim();
        const is = ({ name }: { readonly name: string }) => nameKey(name) === nameKey(typed);
        const run = runs.find(is);
        if (run) return { patch: { runId: run.id, equipmentId: null, basis: 'space per unit' }, shown: run.name };
        const machine = machines.find(is);
        if (machine) return { patch: { equipmentId: machine.id, runId: null }, shown: machine.name };
        return typed === '' || typed.length > 120
          ? { refusal: 'Type the name of the equipment or of a shared load.' }
          : { patch: { newMachine: typed }, shown: `${typed} (new machine)` };
      },
    },
    fieldColumn<Use>('equipmentUse', 'amount', locale, { header: 'Takes' }),
    {
      ...basis,
      options: (use) =>
        (basis.options?.(use) ?? []).filter(({ label }) => (label === 'places a unit') === (use?.runId != null)),
    },
    costPerBatchColumn(currency),
  ];
}

/** Writes the uses of machines of a product. */
export function usesWriter(productId: string): GridWriter<Use, UsePatch> {
  /** A machine that is not in the book yet is made in the same change; time goes with a machine, space with a run. */
  const fieldsOfUse = ({ newMachine, ...patch }: UsePatch, before: readonly Operation[], basis: Use['basis']) => {
    const found = newMachine === undefined ? undefined : rowNamed('equipment', newMachine, before);
    const fields: Partial<Use> = found === undefined ? patch : { ...patch, equipmentId: found.id, runId: null };
    const needsTime = fields.equipmentId != null && (fields.basis ?? basis) === 'space per unit';
    return { made: found?.made ?? [], fields: needsTime ? { ...fields, basis: 'minutes per batch' as const } : fields };
  };
  return {
    update: (use, patch, before) => {
      const { made, fields } = fieldsOfUse(patch, before, use.basis);
      return [...made, ...updateOf('equipmentUse', use, fields)];
    },
    create: (id, patch, before) => {
      const { made, fields } = fieldsOfUse(patch, before, 'minutes per batch');
      if (!fields.equipmentId && !fields.runId) return null;
      const uses = model.rows.rowsWith('equipmentUse', 'productId', productId);
      const row = { productId, position: nextPosition('equipmentUse', uses, before), ...fields };
      return [...made, createOf('equipmentUse', id, row)];
    },
    remove: ({ id }) => removalInBook('equipmentUse', id),
    duplicate: (row) => copyInBook('equipmentUse', row),
  };
}
