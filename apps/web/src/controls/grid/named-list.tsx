import type { ReactNode } from 'react';
import type { ScreenId } from '../../book/screens.js';
import { Grid } from './grid.js';
import type { Column, GridWriter } from './grid-model.js';
import { ListAndDetail } from '../layout/list-and-detail.js';
import { useChosenRow } from '../layout/use-chosen-row.js';

interface NamedListProps<Row extends { readonly id: string; readonly name: string }> {
  readonly screen: ScreenId;
  readonly title: string;
  readonly rows: readonly Row[];
  readonly columns: readonly Column<Row, Partial<Row>>[];
  readonly writer: GridWriter<Row, Partial<Row>>;
  /** How wide the narrower of the two is, and which takes the rest. */
  readonly narrow: string;
  readonly wide?: 'list' | 'detail';
  readonly tools?: (chooseById: (id: string) => void) => ReactNode;
  readonly empty: string;
  /** The detail of a row; it is made anew for each. */
  readonly detail: (id: string) => ReactNode;
}

/** Named rows as a list, and beside it the detail of the one that is chosen, else of the one at the top. */
export function NamedList<Row extends { readonly id: string; readonly name: string }>(props: NamedListProps<Row>) {
  const { screen, title, rows, columns, writer, narrow, wide = 'detail', tools, empty, detail } = props;
  const { chosen, choose, chooseById } = useChosenRow(screen);
  const shown = rows.find(({ id }) => id === chosen)?.id ?? rows[0]?.id;
  return (
    <ListAndDetail
      wide={wide}
      narrow={narrow}
      list={
        <Grid
          title={title}
          rows={rows}
          columns={columns}
          writer={writer}
          nameOf={({ name }) => name}
          selected={shown}
          onSelect={choose}
          onCreate={chooseById}
          tools={tools?.(chooseById)}
          empty={empty}
        />
      }
      detail={shown === undefined ? null : detail(shown)}
    />
  );
}
