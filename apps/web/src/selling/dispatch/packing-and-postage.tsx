import type { StoredRow } from '@nuvar/book';
import { useMemo } from 'react';
import { useAll, useRowsOf, useSettings, useUnarchived } from '../../book/use-book.js';
import { model } from '../../book/model.js';
import { nextPosition } from '../../book/operations.js';
import { fieldColumn } from '../../controls/grid/field-column.js';
import { Fields } from '../../controls/fields/fields.js';
import { Grid } from '../../controls/grid/grid.js';
import type { GridWriter } from '../../controls/grid/grid-model.js';
import { rowChoiceColumn } from '../../controls/grid/row-choice-column.js';
import { RowField } from '../../controls/fields/row-field.js';
import { rowsWriter } from '../../controls/grid/rows-writer.js';
import { ScreenLink } from '../../figures/screen-link.js';

type Channel = StoredRow<'channel'>;
type Line = StoredRow<'packingLine'>;
type Share = StoredRow<'postageShare'>;

const PER_WORDS = { order: 'order', unit: 'unit' };
const FULFILLED_WORDS = { '': 'itself' };

/** How the orders of a channel are packed and sent, and what customers pay for it. */
export function PackingAndPostage({ channel }: { readonly channel: Channel }) {
  const { currency, pricesIncludeTax } = useSettings();
  const { id, fulfilledById } = channel;
  const other = useAll('channel').find((each) => each.id === fulfilledById);
  return (
    <>
      <Fields inTwo>
        <RowField kind="channel" id={id} field="unitsPerOrder" />
        <RowField kind="channel" id={id} field="fulfilledById" words={FULFILLED_WORDS} />
        <RowField
          kind="channel"
          id={id}
          field="postageCharged"
          suffix={`${currency} ${pricesIncludeTax ? 'with tax' : 'before tax'}`}
          placeholder="nothing"
        />
        <RowField kind="channel" id={id} field="monthsInStore" suffix="months" />
      </Fields>
      {other === undefined ? (
        <>
          <Packing channel={channel} />
          <Postage channel={channel} />
        </>
      ) : (
        <p className="mt-3">
          Packing, postage, fulfilment fees and storage are those of{' '}
          <ScreenLink to="channels" row={other.id}>
            {other.name}
          </ScreenLink>
          .
        </p>
      )}
    </>
  );
}

/** A packing line of a material or of work: whichever of the two is chosen takes the other's place. */
function packingWriter(channelId: string, lines: readonly Line[]): GridWriter<Line, Partial<Line>> {
  const oneItem = (patch: Partial<Line>): Partial<Line> => ({
    ...(patch.materialId == null ? {} : { gradeId: null }),
    ...(patch.gradeId == null ? {} : { materialId: null, unit: 'min' }),
    ...(patch.materialId == null ? {} : { unit: model.rows.row('material', patch.materialId)?.baseUnit ?? 'each' }),
    ...patch,
  });
  const of = (needs: keyof Line & string) =>
    rowsWriter<Line>('packingLine', {
      needs,
      fixed: (before) => ({ channelId, position: nextPosition('packingLine', lines, before) }),
    });
  const plain = of('materialId');
  return {
    ...plain,
    update: (row, patch, before) => plain.update(row, oneItem(patch), before),
    create: (id, patch, before) =>
      plain.create(id, oneItem(patch), before) ?? of('gradeId').create(id, oneItem(patch), before),
  };
}

function Packing({ channel: { id, name } }: { readonly channel: Channel }) {
  const lines = useRowsOf('packingLine', 'channelId', id);
  const materials = useUnarchived('material');
  const grades = useAll('labourGrade');
  const { locale } = useSettings();
  const columns = useMemo(
    () => [
      rowChoiceColumn<Line>('materialId', materials, { header: 'Material', none: '' }),
      rowChoiceColumn<Line>('gradeId', grades, { header: 'or work of', none: '' }),
      fieldColumn<Line>('packingLine', 'quantity', locale),
      fieldColumn<Line>('packingLine', 'unit', locale),
      fieldColumn<Line>('packingLine', 'per', locale, { words: PER_WORDS }),
      fieldColumn<Line>('packingLine', 'category', locale, { header: 'Only for category' }),
    ],
    [materials, grades, locale],
  );
  const writer = useMemo(() => packingWriter(id, lines), [id, lines]);
  const nameOf = (line: Line) =>
    model.rows.row('material', line.materialId ?? '')?.name ??
    model.rows.row('labourGrade', line.gradeId ?? '')?.name ??
    'the packing line';
  return (
    <div className="mt-4">
      <Grid
        title="Packing"
        rows={lines}
        columns={columns}
        writer={writer}
        nameOf={nameOf}
        empty={`What is packed around an order of ${name}, and the work of packing it: a box, paper, so many minutes of a labour grade.`}
      />
    </div>
  );
}

function Postage({ channel: { id } }: { readonly channel: Channel }) {
  const shares = useRowsOf('postageShare', 'channelId', id);
  const tables = useAll('carrierTable');
  const { locale } = useSettings();
  const columns = useMemo(
    () => [
      rowChoiceColumn<Share>('tableId', tables, { header: 'Carrier table' }),
      fieldColumn<Share>('postageShare', 'zone', locale),
      fieldColumn<Share>('postageShare', 'percent', locale),
    ],
    [tables, locale],
  );
  const writer = useMemo(
    () => rowsWriter<Share>('postageShare', { needs: 'tableId', isCopied: false, fixed: () => ({ channelId: id }) }),
    [id],
  );
  return (
    <div className="mt-4 max-w-xl" data-place={`${id}.postageShares`} tabIndex={-1}>
      <Grid
        title="Postage paid"
        rows={shares}
        columns={columns}
        writer={writer}
        nameOf={({ zone }) => `the postage to ${zone === '' ? 'all zones' : zone}`}
        empty="Nothing is sent, or customers pay the carrier. Choose a carrier table and a zone, and how many of the orders go there."
      />
      <p className="mt-1">
        <ScreenLink to="postage">Carrier tables</ScreenLink>
      </p>
    </div>
  );
}
