import { ArrowDown, ArrowUp } from 'lucide-react';
import { isNumeric } from './grid-model.js';
import type { useGridTable } from './use-grid-table.js';

interface GridHeaderProps<Row extends { readonly id: string }, Patch> {
  readonly grid: ReturnType<typeof useGridTable<Row, Patch>>;
  readonly hasActions: boolean;
}

const HEADER =
  'sticky top-0 z-5 border-b-2 border-base-content bg-base-100 px-1 align-bottom text-note font-normal text-soft print:static';

/** The headers of a grid: pressed, they sort; their right edge is dragged, or pressed twice to follow the content again. */
export function GridHeader<Row extends { readonly id: string }, Patch>({
  grid,
  hasActions,
}: GridHeaderProps<Row, Patch>) {
  const headers = new Map(grid.table.getFlatHeaders().map((header) => [header.column.id, header]));
  return (
    <thead>
      <tr>
        {grid.shown.map((column) => {
          const header = headers.get(column.id);
          const direction =
            grid.sorting?.column !== column.id ? null : grid.sorting.descending ? 'descending' : 'ascending';
          const resize = header?.getResizeHandler();
          return (
            <th
              key={column.id}
              scope="col"
              className={`group ${HEADER} ${isNumeric(column) ? 'text-right' : 'text-left'}`}
              aria-sort={direction ?? undefined}
            >
              {column.type === 'shown' && column.text === undefined ? (
                column.header
              ) : (
                <button type="button" className="[text-align:inherit]" onClick={() => void grid.sortBy(column.id)}>
                  {column.header}
                  {direction === 'ascending' && <ArrowUp className="ml-0.5 inline" size={13} aria-hidden="true" />}
                  {direction === 'descending' && <ArrowDown className="ml-0.5 inline" size={13} aria-hidden="true" />}
                </button>
              )}
              <span
                className="absolute inset-y-0 right-0 w-2 cursor-col-resize touch-none border-r-2 border-transparent group-hover:border-rule"
                aria-hidden="true"
                title="Drag to change the width; press twice to follow the content"
                onMouseDown={resize}
                onTouchStart={resize}
                onDoubleClick={() => header?.column.resetSize()}
              />
            </th>
          );
        })}
        {hasActions && (
          <th className={`${HEADER} print:hidden`}>
            <span className="sr-only">Actions</span>
          </th>
        )}
      </tr>
    </thead>
  );
}
