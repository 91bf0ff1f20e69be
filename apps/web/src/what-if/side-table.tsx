import { MEASURE_WORDS, MONTH_WORDS, MEASURES, type Measure, type SideCell, type Sides } from '@nuvar/core';
import { useState } from 'react';
import { useSettings } from '../book/use-book.js';
import { useParameter } from '../controls/layout/use-parameter.js';
import { useSideView } from '../engine/use-view.js';
import { digitsOf, unitWords, written } from '../figures/format.js';
import { useFirstRows } from '../figures/first-rows.js';
import { useStyle } from '../figures/use-style.js';
import { DifferencePanel } from './difference-panel.js';
import { SideFiles } from './side-files.js';
import type { Side } from './sides.js';
import { VerdictMark } from './verdict.js';

interface Opened {
  readonly key: string;
  readonly other: Side;
  readonly title: string;
}

/** Products down, sides across: each cell the figure, and its difference to the first side. */
export function SideTable({ sides }: { readonly sides: readonly Side[] }) {
  const [named, choose] = useParameter('measure');
  const measure = MEASURES.find((each) => each === named) ?? MEASURES[0];
  const view = useSideView(
    sides.map(({ name }) => name),
    'sides',
    measure,
  );
  const [isAll, setAll] = useState(false);
  const [opened, setOpened] = useState<Opened | null>(null);
  if (view == null) return <p className="mt-3 text-soft">Working out both sides ...</p>;
  return (
    <div className="mt-3 grid gap-5 broad:grid-cols-[minmax(0,1fr)_24rem]">
      <div className="min-w-0">
        <MonthTable sides={sides} view={view} open={setOpened} />
        <div className="mt-5 flex flex-wrap items-center gap-3 print:hidden">
          <label className="flex items-center gap-1.5">
            <span className="text-soft">Of each price</span>
            <select className="select w-auto" value={measure} onChange={(event) => choose(event.target.value)}>
              {MEASURES.map((each) => (
                <option key={each} value={each}>
                  {MEASURE_WORDS[each]}
                </option>
              ))}
            </select>
          </label>
          <label className="flex items-center gap-1.5">
            <input
              type="checkbox"
              className="checkbox checkbox-xs"
              checked={isAll}
              onChange={(event) => setAll(event.target.checked)}
            />
            What stays the same too
          </label>
          <SideFiles sides={sides} view={view} measure={measure} />
        </div>
        <PriceTable sides={sides} view={view} measure={measure} isAll={isAll} open={setOpened} />
      </div>
      {opened !== null && sides[0] !== undefined && (
        <DifferencePanel
          key={`${opened.key}${opened.other.name}`}
          one={sides[0]}
          other={opened.other}
          figure={opened.key}
          title={opened.title}
          onClose={() => setOpened(null)}
        />
      )}
    </div>
  );
}

interface TableProps {
  readonly sides: readonly Side[];
  readonly view: Sides;
  readonly open: (opened: Opened) => void;
}

function SideHeads({ sides, first }: { readonly sides: readonly Side[]; readonly first: string }) {
  return (
    <thead>
      <tr>
        <th scope="col">{first}</th>
        {sides.map(({ name, label }) => (
          <th key={name} scope="col" className="text-right">
            {label}
          </th>
        ))}
      </tr>
    </thead>
  );
}

function MonthTable({ sides, view, open }: TableProps) {
  return (
    <table className="table w-auto" aria-label="The month on each side">
      <SideHeads sides={sides} first="A month" />
      <tbody>
        {view.month.map(({ line, unit, cells }) => (
          <tr key={line}>
            <th scope="row" className="font-normal">
              {MONTH_WORDS[line]}
            </th>
            <Cells cells={cells} unit={unit} sides={sides} title={MONTH_WORDS[line]} open={open} />
          </tr>
        ))}
      </tbody>
    </table>
  );
}

interface PriceTableProps extends TableProps {
  readonly measure: Measure;
  readonly isAll: boolean;
}

const moves = ({ cells }: Sides['rows'][number]) =>
  cells.some(({ difference, gap }) => (difference !== null && Number(difference) !== 0) || gap !== cells[0]?.gap);

function PriceTable({ sides, view, measure, isAll, open }: PriceTableProps) {
  const shown = isAll ? view.rows : view.rows.filter(moves);
  const { rows, more } = useFirstRows(shown);
  if (rows.length === 0)
    return <p className="mt-3 text-soft">{MEASURE_WORDS[measure]} is the same for every price on all sides.</p>;
  return (
    <>
      <table className="table mt-2 w-auto" aria-label={`${MEASURE_WORDS[measure]} on each side`}>
        <SideHeads sides={sides} first="Product, channel" />
        <tbody>
          {rows.map(({ pricePointId, product, channel, unit, cells }) => (
            <tr key={pricePointId}>
              <th scope="row" className="font-normal">
                {product} <span className="text-soft">{channel}</span>
              </th>
              <Cells
                cells={cells}
                unit={unit}
                sides={sides}
                title={`${MEASURE_WORDS[measure]}, ${product}, ${channel}`}
                open={open}
              />
            </tr>
          ))}
        </tbody>
      </table>
      {more}
    </>
  );
}

interface CellsProps {
  readonly cells: readonly SideCell[];
  readonly unit: string;
  readonly sides: readonly Side[];
  readonly title: string;
  readonly open: (opened: Opened) => void;
}

/** One figure on each side; a difference opens its working. */
function Cells({ cells, unit, sides, title, open }: CellsProps) {
  return cells.map((cell, index) => {
    const side = sides[index];
    if (side === undefined) return null;
    const canOpen = index > 0 && cell.key !== '' && cell.difference !== null;
    const act = canOpen ? () => open({ key: cell.key, other: side, title: `${title}: ${side.label}` }) : undefined;
    return (
      <td key={side.name} className="text-right align-top">
        <Cell cell={cell} unit={unit} act={act} />
      </td>
    );
  });
}

function Cell({
  cell,
  unit,
  act,
}: {
  readonly cell: SideCell;
  readonly unit: string;
  readonly act: (() => void) | undefined;
}) {
  const style = useStyle();
  const { locale } = useSettings();
  const digits = cell.amount === null ? 0 : digitsOf(cell.amount, unit, style);
  if (cell.amount === null)
    return (
      <span className="figure-gap" title={cell.gap}>
        {cell.gap === '' ? 'not yet' : cell.gap}
      </span>
    );
  const { difference, percent, verdict } = cell;
  const isSame = difference === null || Number(difference) === 0;
  const signed = (text: string) => (text.startsWith('−') ? text : `+${text}`);
  return (
    <>
      <span className="figure" title={unitWords(unit)}>
        {written(cell.amount, digits, style)}
        {unit === '%' && ' %'}
      </span>
      {!isSame && (
        <button
          type="button"
          className="block w-full text-right text-note underline decoration-dotted"
          onClick={act}
          disabled={act === undefined}
        >
          <VerdictMark verdict={verdict} /> {signed(written(difference, digits, style))}
          {unit === '%' ? ' points' : percent !== null && ` (${signed(written(percent, 1, { ...style, locale }))} %)`}
        </button>
      )}
    </>
  );
}
