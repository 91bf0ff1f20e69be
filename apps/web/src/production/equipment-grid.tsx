import type { Operation, StoredRow } from '@nuvar/book';
import { useMemo } from 'react';
import { createOf, nextPosition, updateOf } from '../book/operations.js';
import { model } from '../book/model.js';
import { useAll, useRowsOf, useSettings } from '../book/use-book.js';
import { fieldColumn } from '../controls/field-column.js';
import { Grid } from '../controls/grid.js';
import { figureColumn, type Column, type GridWriter } from '../controls/grid-model.js';
import { copyInBook, removalInBook, rowNamed } from '../controls/rows-writer.js';

type Use = StoredRow<'equipmentUse'>;
type UsePatch = Partial<Use> & { readonly newMachine?: string };

const BASIS_WORDS = {
  'minutes per batch': 'min a batch',
  'minutes per unit': 'min a unit',
  'space per unit': 'places a unit',
};

/** The machines that work on a product, by their time, or by the space it takes in a run that others share. */
export function EquipmentGrid({ product }: { readonly product: StoredRow<'product'> }) {
  const uses = useRowsOf('equipmentUse', 'productId', product.id);
  const machines = useAll('equipment');
  const runs = useAll('equipmentRun');
  const { locale, currency } = useSettings();
  const columns = useMemo(() => usesColumns(machines, runs, locale, currency), [machines, runs, locale, currency]);
  const writer = useMemo(() => usesWriter(product.id), [product.id]);
  const nameOf = (use: Use) => nameOfMachine(use, machines, runs) || 'use of equipment';
  return (
    <Grid
      title="Machines it needs"
      rows={uses}
      columns={columns}
      writer={writer}
      nameOf={nameOf}
      empty="A kiln, an oven, a wheel: type its name or that of a shared run into the empty row. What an hour of it costs stands under Equipment."
    />
  );
}

type Named = readonly { readonly id: string; readonly name: string }[];

const nameOfMachine = ({ equipmentId, runId }: Use, machines: Named, runs: Named) =>
  machines.find(({ id }) => id === equipmentId)?.name ?? runs.find(({ id }) => id === runId)?.name ?? '';

function usesColumns(machines: Named, runs: Named, locale: string, currency: string): Column<Use, UsePatch>[] {
  const options = [...runs, ...machines].map(({ id, name }) => ({ value: id, label: name }));
  const basis = fieldColumn<Use>('equipmentUse', 'basis', locale, { width: '8rem', words: BASIS_WORDS });
  return [
    {
      id: 'machine',
      header: 'Machine or shared run',
      width: 'auto',
      type: 'item',
      placeholder: 'Type a machine or a shared run',
      place: ({ id }) => `${id}.equipmentId`,
      options: () => options,
      text: (use) => nameOfMachine(use, machines, runs),
      read: (text) => {
        const typed = text.trim();
        const is = ({ name }: { readonly name: string }) => name.toLowerCase() === typed.toLowerCase();
        const run = runs.find(is);
        if (run) return { patch: { runId: run.id, equipmentId: null, basis: 'space per unit' }, shown: run.name };
        const machine = machines.find(is);
        if (machine) return { patch: { equipmentId: machine.id, runId: null }, shown: machine.name };
        return typed === '' || typed.length > 120
          ? { refusal: 'Type the name of a machine or of a shared run.' }
          : { patch: { newMachine: typed }, shown: `${typed} (new machine)` };
      },
    },
    fieldColumn<Use>('equipmentUse', 'amount', locale, { width: '5rem', header: 'Takes' }),
    {
      ...basis,
      options: (use) =>
        (basis.options?.(use) ?? []).filter(({ label }) => (label === 'places a unit') === (use?.runId != null)),
    },
    figureColumn({
      id: 'cost',
      header: `${currency} per batch`,
      width: '6rem',
      view: 'card',
      of: (use: Use) => use.productId,
      pick: (card, use) => card.rowCosts[use.id],
      digits: 2,
    }),
  ];
}

function usesWriter(productId: string): GridWriter<Use, UsePatch> {
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
