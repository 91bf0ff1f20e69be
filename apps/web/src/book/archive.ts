import type { AppThunk } from '../state/store.js';
import { noticed } from '../state/notices-slice.js';
import { edit } from './edit.js';
import { model } from './model.js';
import { updateOf } from './operations.js';

/** Archives a row that something still refers to: it leaves the lists, and what uses it goes on as before. */
export function archive(kind: 'material' | 'product', id: string): AppThunk {
  return (dispatch) => {
    const row = model.rows.row(kind, id);
    if (row === undefined) return;
    const problem = dispatch(edit(updateOf(kind, row, { archived: true })))[0];
    dispatch(
      noticed(
        problem
          ? { sentence: problem.sentence, tone: 'problem' }
          : { sentence: `${row.name} is archived. Filter for "archived" to see it again.` },
      ),
    );
  };
}
