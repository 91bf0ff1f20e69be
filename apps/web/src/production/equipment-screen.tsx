import type { StoredRow } from '@nuvar/book';
import type { EquipmentYearView } from '@nuvar/core';
import { useMemo } from 'react';
import { updateOf } from '../book/operations.js';
import { useAll, useSettings } from '../book/use-book.js';
import { fieldColumn } from '../controls/grid/field-column.js';
import { Grid } from '../controls/grid/grid.js';
import { figureColumn, type Column, type GridWriter } from '../controls/grid/grid-model.js';
import { RowField } from '../controls/fields/row-field.js';
import { rowChoiceColumn } from '../controls/grid/row-choice-column.js';
import { rowNamed, rowsWriter } from '../controls/grid/rows-writer.js';
import { Fields } from '../controls/fields/fields.js';
import { MakePage } from './make-page.js';

type Machine = StoredRow<'equipment'>;
type Run = StoredRow<'equipmentRun'>;
type RunPatch = Partial<Run> & { readonly machine?: string };

const EMPTY_SPACE_WORDS = {
  'carried by what is inside': 'charged to what is inside',
  'shown as idle': 'shown as idle space',
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
  const departments = useAll('department');
  const settings = useSettings();
  const { locale, currency } = settings;
  const machineColumns = useMemo((): Column<Machine, Partial<Machine>>[] => {
    const own = (field: keyof Machine & string, header?: string) =>
      fieldColumn<Machine>('equipment', field, locale, header === undefined ? {} : { header });
    return [
      { ...own('name', 'Equipment'), placeholder: 'A kiln, an oven, a wheel' },
      own('powerKilowatts'),
      own('loadPercent'),
      own('purchasePrice', `Price, ${currency}`),
      own('residualValue', `Renet proceeds, ${currency}`),
      own('lifeHours', 'Life, hours'),
      { ...own('lifeYears', 'or years'), applies: (row) => row?.lifeHours == null },
      own('hoursPerYear'),
      own('upkeepPerHour', `Upkeep an hour, ${currency}`),
      ...(departments.length === 0
        ? []
        : [rowChoiceColumn<Machine>('departmentId', departments, { header: 'Department', none: 'none' })]),
      figureColumn({
        id: 'rate',
        header: `${currency} an hour`,
        view: 'equipment',
        of: ({ id }: Machine) => id,
        pick: (view) => view,
        digits: 4,
      }),
    ];
  }, [locale, currency, departments]);
  const yearColumns = useMemo((): Column<Machine, Partial<Machine>>[] => {
    const own = (field: keyof Machine & string, header?: string) =>
      fieldColumn<Machine>('equipment', field, locale, header === undefined ? {} : { header });
    const year = (id: keyof EquipmentYearView & string, header: string) =>
      figureColumn({
        id,
        header,
        view: 'equipmentYear',
        of: ({ id: machineId }: Machine) => machineId,
        pick: (view) => view[id] ?? undefined,
        digits: 4,
      });
    return [
      { id: 'machine', header: 'Equipment', type: 'shown', text: ({ name }) => name, cell: ({ name }) => name },
      own('upkeepPerYear', `Upkeep a year, ${currency}`),
      own('floorSpace'),
      year('upkeep', 'Upkeep an hour'),
      year('floor', 'Floor an hour'),
      year('committed', 'Committed an hour'),
    ];
  }, [locale, currency]);
  const runColumns = useMemo(() => columnsOfRuns(machines, locale, currency), [machines, locale, currency]);
  return (
    <MakePage>
      <div className="h-full max-w-page overflow-auto">
        <h1 className="font-serif text-title">Equipment and shared loads</h1>
        <Fields className="mb-4 max-w-xl">
          <RowField
            kind="settings"
            id={settings.id}
            field="electricityPerKilowattHour"
            label="Electricity"
            suffix={`${currency} per kWh`}
            placeholder="not yet"
          />
          <RowField
            kind="settings"
            id={settings.id}
            field="floorCostPerYear"
            label="Floor"
            suffix={`${currency} a m² a year`}
            placeholder="not yet"
          />
        </Fields>
        <Grid
          title="Equipment"
          rows={machines}
          columns={machineColumns}
          writer={machineWriter}
          nameOf={({ name }) => name}
          empty="Machines that use power or wear out. Type a name into the empty row, then what you know. Power, wear and upkeep count only where they are filled in."
        />
        {machines.length > 0 && (
          <div className="mt-6">
            <Grid
              title="Equipment by the year"
              rows={machines}
              columns={yearColumns}
              writer={machineWriter}
              hasNewRow={false}
              canRemove={false}
              nameOf={({ name }) => name}
            />
            <p className="text-soft mt-2">
              A service contract, insurance and the floor that a machine stands on come whatever it makes. They are
              spread over its hours a year; leave them out of the running costs then, so that they are not counted
              twice.
            </p>
          </div>
        )}
        <div className="mt-6">
          <Grid
            title="Shared loads"
            rows={runs}
            columns={runColumns}
            writer={runWriter}
            nameOf={({ name }) => name}
            empty="A firing or an oven load that several products share: how long it runs, and how many places it has. Each product then says how many places one unit takes."
          />
        </div>
        <p className="text-soft mt-2">
          Space is counted in your own places: shelf squares, trays, litres. Empty space is charged to what is inside,
          or shown as idle space beside the load.
        </p>
      </div>
    </MakePage>
  );
}

function columnsOfRuns(machines: readonly Machine[], locale: string, currency: string): Column<Run, RunPatch>[] {
  const own = (field: keyof Run & string, header?: string, words?: Readonly<Record<string, string>>) =>
    fieldColumn<Run>('equipmentRun', field, locale, {
      ...(header === undefined ? {} : { header }),
      ...(words === undefined ? {} : { words }),
    });
  const cost = (member: 'perRun' | 'perPlace' | 'idlePerRun', header: string, digits: number) =>
    figureColumn({
      id: member,
      header,
      view: 'run',
      of: ({ id }: Run) => id,
      pick: (view) => view[member],
      digits,
    });
  return [
    { ...own('name', 'Shared load'), placeholder: 'A bisque firing, a bread bake' },
    {
      id: 'machine',
      header: 'Equipment',
      type: 'item',
      place: ({ id }) => `${id}.equipmentId`,
      options: () => machines.map(({ id, name }) => ({ value: id, label: name })),
      text: ({ equipmentId }) => machines.find(({ id }) => id === equipmentId)?.name ?? '',
      read: (text) => ({ patch: { machine: text.trim() }, shown: text.trim() }),
    },
    own('hoursPerRun', 'Hours'),
    own('space', 'Places'),
    own('filledPercent'),
    own('emptySpace', undefined, EMPTY_SPACE_WORDS),
    cost('perRun', `${currency} a load`, 2),
    cost('perPlace', `${currency} a place`, 4),
    cost('idlePerRun', `Idle, ${currency}`, 2),
  ];
}
