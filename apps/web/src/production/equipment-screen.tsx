import type { StoredRow } from '@nuvar/book';
import { useMemo } from 'react';
import { updateOf } from '../book/operations.js';
import { useAll, useSettings } from '../book/use-book.js';
import { BackLink } from '../controls/back-link.js';
import { fieldColumn } from '../controls/field-column.js';
import { Grid } from '../controls/grid.js';
import { figureColumn, type Column, type GridWriter } from '../controls/grid-model.js';
import { RowField } from '../controls/row-field.js';
import { rowNamed, rowsWriter } from '../controls/rows-writer.js';

type Machine = StoredRow<'equipment'>;
type Run = StoredRow<'equipmentRun'>;
type RunPatch = Partial<Run> & { readonly machine?: string };

const EMPTY_SPACE_WORDS = {
  'carried by what is inside': 'carried by what is inside',
  'shown as idle': 'shown as idle',
};

const machineWriter = rowsWriter<Machine>('equipment', { needs: 'name' });
const plainRunWriter = rowsWriter<Run>('equipmentRun', { needs: 'name' });

const runWriter: GridWriter<Run, RunPatch> = {
  ...plainRunWriter,
  update: (row, { machine, ...fields }, before) => {
    const found = machine === undefined ? undefined : rowNamed('equipment', machine, before);
    return [
      ...(found?.made ?? []),
      ...updateOf('equipmentRun', row, found === undefined ? fields : { ...fields, equipmentId: found.id }),
    ];
  },
  create: (id, { machine, ...fields }, before) => {
    const found = rowNamed('equipment', machine ?? '', before);
    const made = plainRunWriter.create(id, { ...fields, equipmentId: found.id }, before);
    return made && [...found.made, ...made];
  },
};

/** What an hour of each machine costs, and the runs that several products share. */
export function EquipmentScreen() {
  const machines = useAll('equipment');
  const runs = useAll('equipmentRun');
  const settings = useSettings();
  const { locale, currency } = settings;
  const machineColumns = useMemo((): Column<Machine, Partial<Machine>>[] => {
    const own = (field: keyof Machine & string, width: string, header?: string) =>
      fieldColumn<Machine>('equipment', field, locale, { width, ...(header === undefined ? {} : { header }) });
    return [
      { ...own('name', 'auto', 'Machine'), placeholder: 'A kiln, an oven, a wheel' },
      own('powerKilowatts', '6rem'),
      own('loadPercent', '5rem'),
      own('purchasePrice', '8rem', `Price, ${currency}`),
      own('residualValue', '9rem', `Worth at the end, ${currency}`),
      own('lifeHours', '6rem', 'Life, hours'),
      own('upkeepPerHour', '8.5rem', `Upkeep an hour, ${currency}`),
      figureColumn({
        id: 'rate',
        header: `${currency} an hour`,
        width: '7rem',
        view: 'equipment',
        of: ({ id }: Machine) => id,
        pick: (view) => view,
        digits: 4,
      }),
    ];
  }, [locale, currency]);
  const runColumns = useMemo(() => columnsOfRuns(machines, locale, currency), [machines, locale, currency]);
  return (
    <div className="page">
      <BackLink to="make">Back to the products</BackLink>
      <h1 className="screen-title">Equipment</h1>
      <div className="fields mb-4 max-w-xl">
        <RowField
          kind="settings"
          id={settings.id}
          field="electricityPerKilowattHour"
          label="Electricity"
          suffix={`${currency} per kWh`}
          placeholder="not yet"
        />
      </div>
      <Grid
        title="Machines"
        rows={machines}
        columns={machineColumns}
        writer={machineWriter}
        nameOf={({ name }) => name}
        empty="Machines that use power or wear out belong here: type a name into the empty row, then only what you know of it. Power, wear and upkeep each count where they are filled in."
      />
      <div className="mt-6">
        <Grid
          title="Shared runs"
          rows={runs}
          columns={runColumns}
          writer={runWriter}
          nameOf={({ name }) => name}
          empty="A firing or an oven load that several products share: how long it runs, and how many places it has. A product then says how many places one piece takes."
        />
      </div>
      <p className="text-soft mt-2">
        Space is counted in places of your own: shelf squares, trays, litres. Empty space is carried by what is inside,
        or shown as idle beside the run.
      </p>
    </div>
  );
}

function columnsOfRuns(machines: readonly Machine[], locale: string, currency: string): Column<Run, RunPatch>[] {
  const own = (field: keyof Run & string, width: string, header?: string, words?: Readonly<Record<string, string>>) =>
    fieldColumn<Run>('equipmentRun', field, locale, {
      width,
      ...(header === undefined ? {} : { header }),
      ...(words === undefined ? {} : { words }),
    });
  const cost = (member: 'perRun' | 'perPlace' | 'idlePerRun', header: string, digits: number) =>
    figureColumn({
      id: member,
      header,
      width: '7rem',
      view: 'run',
      of: ({ id }: Run) => id,
      pick: (view) => view[member],
      digits,
    });
  return [
    { ...own('name', 'auto', 'Run'), placeholder: 'A bisque firing, a bread bake' },
    {
      id: 'machine',
      header: 'On',
      width: '10rem',
      type: 'item',
      place: ({ id }) => `${id}.equipmentId`,
      options: () => machines.map(({ id, name }) => ({ value: id, label: name })),
      text: ({ equipmentId }) => machines.find(({ id }) => id === equipmentId)?.name ?? '',
      read: (text) => ({ patch: { machine: text.trim() }, shown: text.trim() }),
    },
    own('hoursPerRun', '5rem', 'Hours'),
    own('space', '5rem', 'Places'),
    own('filledPercent', '7rem'),
    own('emptySpace', '13rem', undefined, EMPTY_SPACE_WORDS),
    cost('perRun', `${currency} a run`, 2),
    cost('perPlace', `${currency} a place`, 4),
    cost('idlePerRun', `Idle, ${currency}`, 2),
  ];
}
