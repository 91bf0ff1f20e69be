import type { StoredRow } from '@nuvar/book';
import { useMemo } from 'react';
import { useAll, useSettings } from '../book/use-book.js';
import { BackLink } from '../controls/back-link.js';
import { fieldColumn } from '../controls/field-column.js';
import { Grid } from '../controls/grid.js';
import { figureColumn, type Column } from '../controls/grid-model.js';
import { rowsWriter } from '../controls/rows-writer.js';

type Row = StoredRow<'labourGrade'>;

const writer = rowsWriter<Row>('labourGrade', { needs: 'name' });

/** What an hour of each kind of work costs, the owner's own among them. */
export function GradesScreen() {
  const grades = useAll('labourGrade');
  const { locale, currency } = useSettings();
  const columns = useMemo((): Column<Row, Partial<Row>>[] => {
    const own = (field: keyof Row & string, width: string, header?: string) =>
      fieldColumn<Row>('labourGrade', field, locale, { width, ...(header === undefined ? {} : { header }) });
    return [
      own('name', '14rem', 'Labour grade'),
      own('wagePerHour', '9rem', `Wage per hour, ${currency}`),
      own('onCostPercent', '9rem', 'On-costs, % of wage'),
      own('productivePercent', '12rem', 'Productive, % of paid time'),
      own('ownersTime', '8rem'),
      figureColumn({
        id: 'rate',
        header: 'Costs per productive hour',
        width: '12rem',
        view: 'labourRate',
        of: ({ id }: Row) => id,
        pick: (view) => view,
        digits: 2,
      }),
    ];
  }, [locale, currency]);
  return (
    <div className="page">
      <BackLink to="make">Back to the products</BackLink>
      <Grid
        title="Labour grades"
        rows={grades}
        columns={columns}
        writer={writer}
        nameOf={({ name }) => name}
        empty="Whoever works on your products belongs here: you yourself, makers, helpers. Type a name into the empty row, then what an hour is paid."
      />
      <p className="text-soft">
        On-costs are what an employer pays on top of the wage. The productive share is the part of paid time in which
        something is made: breaks, cleaning and waiting are the rest.
      </p>
    </div>
  );
}
