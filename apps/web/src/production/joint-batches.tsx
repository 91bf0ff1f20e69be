import type { StoredRow } from '@nuvar/book';
import { useMemo } from 'react';
import { model } from '../book/model.js';
import { nextPosition } from '../book/operations.js';
import { useAll, useRow, useRowsOf, useSettings, useUnarchived } from '../book/use-book.js';
import { Fields } from '../controls/fields/fields.js';
import { fieldColumn } from '../controls/grid/field-column.js';
import { Grid } from '../controls/grid/grid.js';
import { figureColumn } from '../controls/grid/grid-model.js';
import { ListAndDetail } from '../controls/layout/list-and-detail.js';
import { rowChoiceColumn } from '../controls/grid/row-choice-column.js';
import { RowField } from '../controls/fields/row-field.js';
import { rowsWriter } from '../controls/grid/rows-writer.js';
import { useChosenRow } from '../controls/layout/use-chosen-row.js';
import { useView } from '../engine/use-view.js';
import { LeadFigure } from '../figures/lead-figure.js';
import { BestUses, JOINT_WORDS, Shares } from './joint-shares.js';

type Process = StoredRow<'jointProcess'>;
type Output = StoredRow<'jointOutput'>;

const BY_PRODUCT_WORDS = { 'taken off the joint cost': 'taken off the joint cost', income: 'shown as income' };

const writer = rowsWriter<Process>('jointProcess', {
  needs: 'name',
  fixed: (before) => ({ position: nextPosition('jointProcess', model.rows.all('jointProcess'), before) }),
});

/** One batch out of which several products come, and what each of them bears of it. */
export function JointBatches() {
  const { chosen, choose, chooseById } = useChosenRow('jointBatches');
  const rows = useAll('jointProcess');
  const { locale, currency } = useSettings();
  const columns = useMemo(
    () => [
      fieldColumn<Process>('jointProcess', 'name', locale, { placeholder: 'A pressing, a milling' }),
      figureColumn({
        id: 'jointCost',
        header: `Joint cost, ${currency}`,
        view: 'joint',
        of: ({ id }: Process) => id,
        pick: (view) => view.jointCost,
        digits: 2,
      }),
    ],
    [locale, currency],
  );
  const shown = chosen ?? rows[0]?.id;
  return (
    <ListAndDetail
      wide="detail"
      narrow="19rem"
      list={
        <Grid
          title="Joint batches"
          rows={rows}
          columns={columns}
          writer={writer}
          nameOf={({ name }) => name}
          selected={shown}
          onSelect={choose}
          onCreate={chooseById}
          empty="Where one batch gives several products: cream and skimmed milk, first and second quality. Type a name into the empty row."
        />
      }
      detail={shown === undefined ? null : <JointDetail key={shown} id={shown} />}
    />
  );
}

function JointDetail({ id }: { readonly id: string }) {
  const row = useRow('jointProcess', id);
  const view = useView('joint', id);
  const outputs = useRowsOf('jointOutput', 'processId', id);
  const { currency } = useSettings();
  if (row === undefined) return null;
  return (
    <section aria-label={row.name} className="flex flex-col gap-3">
      <h2 className="font-serif text-detail">{row.name}</h2>
      <LeadFigure figure={view?.toSplit} digits={2} unit={`${currency} to be split`} />
      <Fields inTwo>
        <RowField kind="jointProcess" id={id} field="productId" words={{ '': 'the joint cost beside' }} />
        {row.productId === null && (
          <RowField
            kind="jointProcess"
            id={id}
            field="jointCost"
            suffix={`${currency} a batch`}
            placeholder="not yet"
          />
        )}
        <RowField kind="jointProcess" id={id} field="method" words={JOINT_WORDS} />
        <RowField kind="jointProcess" id={id} field="byProducts" words={BY_PRODUCT_WORDS} />
      </Fields>
      <Outputs id={id} outputs={outputs} />
      {view && outputs.some(({ isByProduct }) => !isByProduct) && <Shares view={view} outputs={outputs} />}
      {view && <BestUses view={view} outputs={outputs} />}
    </section>
  );
}

/** What comes out of the batch. */
function Outputs({ id, outputs }: { readonly id: string; readonly outputs: readonly Output[] }) {
  const products = useUnarchived('product');
  const { locale, currency } = useSettings();
  const columns = useMemo(() => {
    const own = (field: keyof Output & string, header?: string) =>
      fieldColumn<Output>('jointOutput', field, locale, header === undefined ? {} : { header });
    return [
      { ...own('name'), placeholder: 'What comes out' },
      own('quantity'),
      own('unit'),
      own('splitOffPrice', `At split-off, ${currency}`),
      own('furtherCost', `Further cost, ${currency}`),
      own('finalPrice', `Final price, ${currency}`),
      own('isByProduct'),
      rowChoiceColumn<Output>('productId', products, { header: 'Goes into product', none: 'none' }),
      figureColumn({
        id: 'perUnit',
        header: `Joint cost a unit, ${currency}`,
        view: 'joint',
        of: () => id,
        pick: (view, row: Output) => view.outputs[row.id]?.perUnit,
        digits: 4,
      }),
    ];
  }, [locale, currency, products, id]);
  const outputWriter = useMemo(
    () =>
      rowsWriter<Output>('jointOutput', {
        needs: 'name',
        fixed: (before) => ({
          processId: id,
          unit: outputs[0]?.unit ?? 'kg',
          position: nextPosition('jointOutput', outputs, before),
        }),
      }),
    [id, outputs],
  );
  return (
    <Grid
      title="Outputs of a batch"
      rows={outputs}
      columns={columns}
      writer={outputWriter}
      nameOf={({ name }) => name}
      empty="What comes out of one batch, how much of it, and what it sells for at split-off or after further processing. A by-product bears none of the joint cost."
    />
  );
}
