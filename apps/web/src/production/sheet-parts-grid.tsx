import { unitOfMeasure, type StoredRow } from '@nuvar/book';
import { useMemo } from 'react';
import { updateOf } from '../book/operations.js';
import { useAll, useRowsOf, useSettings } from '../book/use-book.js';
import { fieldColumn } from '../controls/grid/field-column.js';
import { Grid } from '../controls/grid/grid.js';
import { figureColumn, type Column, type GridWriter } from '../controls/grid/grid-model.js';

type Line = StoredRow<'billLine'>;

const LAYOUT_WORDS = { 'whole parts': 'whole parts', area: 'area' };
const TURN_WORDS = { true: 'yes', false: 'no' };

/** Parts are counted: a line that was in another unit is in pieces once it has a size. */
const writer: GridWriter<Line, Partial<Line>> = {
  update: (row, patch) => {
    const isSized = patch.partLength != null || patch.partWidth != null;
    const isCounted = unitOfMeasure(row.unit)?.dimension === 'count';
    return updateOf('billLine', row, isSized && !isCounted ? { ...patch, unit: 'each' } : patch);
  },
  create: () => null,
  remove: () => [],
};

/** How the parts of a bill are laid out on the sheets of their material; nothing where no material of it is a sheet. */
export function SheetPartsGrid({ productId }: { readonly productId: string }) {
  const lines = useRowsOf('billLine', 'productId', productId);
  const materials = useAll('material');
  const { locale } = useSettings();
  const sheets = useMemo(
    () => new Map(materials.filter(({ sheetLength }) => sheetLength !== null).map(({ id, name }) => [id, name])),
    [materials],
  );
  const ofSheets = lines.filter(
    ({ materialId, partLength }) => materialId !== null && (sheets.has(materialId) || partLength !== null),
  );
  const columns = useMemo((): Column<Line, Partial<Line>>[] => {
    const own = (field: keyof Line & string, header: string, words?: Readonly<Record<string, string>>) =>
      fieldColumn<Line>('billLine', field, locale, { header, ...(words === undefined ? {} : { words }) });
    const nameOf = ({ materialId }: Line) => sheets.get(materialId ?? '') ?? '';
    const figure = (id: 'perSheet' | 'perPart' | 'usedPercent', header: string, digits: number) =>
      figureColumn({
        id,
        header,
        view: 'sheetLayout',
        of: (line: Line) => line.id,
        pick: (view, { partLength, partWidth }) => (partLength === null && partWidth === null ? undefined : view[id]),
        digits,
      });
    return [
      { id: 'material', header: 'Cut from', type: 'shown', text: nameOf, cell: nameOf },
      own('partLength', 'Length, mm'),
      own('partWidth', 'Width, mm'),
      own('partMayTurn', 'May be turned', TURN_WORDS),
      own('partLayout', 'Counted by', LAYOUT_WORDS),
      figure('perSheet', 'Parts a sheet', 0),
      figure('usedPercent', 'Used of it, %', 1),
      figure('perPart', 'A part takes', 4),
    ];
  }, [locale, sheets]);
  if (ofSheets.length === 0) return null;
  return (
    <div className="mt-4">
      <Grid
        title="Parts cut from sheets"
        rows={ofSheets}
        columns={columns}
        writer={writer}
        hasNewRow={false}
        canRemove={false}
        nameOf={({ materialId }) => sheets.get(materialId ?? '') ?? 'part'}
      />
      <p className="text-soft mt-1">
        With a length and a width, the quantity above counts parts. By whole parts, offcuts are charged to them; by
        area, they are used elsewhere. A sheet has its size with the material, under Details.
      </p>
    </div>
  );
}
