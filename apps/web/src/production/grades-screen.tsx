import type { StoredRow } from '@nuvar/book';
import type { LabourYearView } from '@nuvar/core';
import { useMemo } from 'react';
import { useAll, useSettings } from '../book/use-book.js';
import { fieldColumn } from '../controls/grid/field-column.js';
import { Grid } from '../controls/grid/grid.js';
import { figureColumn, type Column } from '../controls/grid/grid-model.js';
import { rowChoiceColumn } from '../controls/grid/row-choice-column.js';
import { rowsWriter } from '../controls/grid/rows-writer.js';
import { MakePage } from './make-page.js';

type Row = StoredRow<'labourGrade'>;

/** How pay goes with what is made. */
const PAY_WORDS = { variable: 'changes with each unit', committed: 'committed', stepped: 'in steps' };

const writer = rowsWriter<Row>('labourGrade', { needs: 'name' });

/** What an hour of each kind of work costs, the owner's own among them. */
export function GradesScreen() {
  const grades = useAll('labourGrade');
  const departments = useAll('department');
  const { locale, currency } = useSettings();
  const columns = useMemo((): Column<Row, Partial<Row>>[] => {
    const own = (field: keyof Row & string, header?: string) =>
      fieldColumn<Row>('labourGrade', field, locale, header === undefined ? {} : { header });
    return [
      own('name', 'Labour grade'),
      own('wagePerHour', `Wage per hour, ${currency}`),
      own('onCostPercent', 'On-costs, % of wage'),
      own('productivePercent', 'Productive time %'),
      own('ownersTime'),
      fieldColumn<Row>('labourGrade', 'behaviour', locale, { words: PAY_WORDS }),
      { ...own('paidHoursPerMonth'), applies: (row) => row !== null && row.behaviour !== 'variable' },
      ...(departments.length === 0
        ? []
        : [rowChoiceColumn<Row>('departmentId', departments, { header: 'Department', none: 'none' })]),
      figureColumn({
        id: 'rate',
        header: 'Cost per productive hour',
        view: 'labourRate',
        of: ({ id }: Row) => id,
        pick: (view) => view,
        digits: 2,
      }),
    ];
  }, [locale, currency, departments]);
  const yearColumns = useMemo((): Column<Row, Partial<Row>>[] => {
    const own = (field: keyof Row & string, header?: string) =>
      fieldColumn<Row>('labourGrade', field, locale, header === undefined ? {} : { header });
    const year = (id: keyof LabourYearView & string, header: string, digits: number) =>
      figureColumn({
        id,
        header,
        view: 'labourYear',
        of: ({ id: gradeId }: Row) => gradeId,
        pick: (view) => view[id] ?? undefined,
        digits,
      });
    return [
      { id: 'grade', header: 'Labour grade', type: 'shown', text: ({ name }) => name, cell: ({ name }) => name },
      { ...own('payPerYear', `Pay a year, ${currency}`), applies: (row) => row?.wagePerHour == null },
      own('paidHoursPerYear', 'Paid hours'),
      own('holidayHoursPerYear', 'Holidays, hours'),
      own('absenceHoursPerYear', 'Absences, hours'),
      year('hoursAtWork', 'Hours at work', 0),
      year('productiveShare', 'Productive, % of paid', 2),
      year('wage', 'Wage per hour', 2),
    ];
  }, [locale, currency]);
  return (
    <MakePage>
      <div className="h-full max-w-page overflow-auto">
        <Grid
          title="Labour grades"
          rows={grades}
          columns={columns}
          writer={writer}
          nameOf={({ name }) => name}
          empty="Everybody who works on your products: yourself, makers, helpers. Type a name into the empty row, then the wage per hour."
        />
        {grades.length > 0 && (
          <div className="mt-6 mb-2">
            <Grid
              title="Pay and hours of a year"
              rows={grades}
              columns={yearColumns}
              writer={writer}
              hasNewRow={false}
              canRemove={false}
              nameOf={({ name }) => name}
            />
          </div>
        )}
        <p className="text-soft">
          For anybody paid by the year: the pay over the paid hours is the wage per hour, where none is entered above.
          Holidays and absences are paid and nothing is made in them, so productive time is then a part of the hours at
          work. On-costs are what an employer pays on top of the wage. Productive time is the part of paid time in which
          something is made: breaks, cleaning and waiting are the rest. Pay that is committed comes whatever is made:
          cost cards hold it, while break-even, contribution and the lower price floor count only what changes with each
          unit.
        </p>
      </div>
    </MakePage>
  );
}
