import { newId } from '@nuvar/book';
import { useCallback, useState } from 'react';
import { useEdit } from '../../book/use-book.js';
import { isInput, type Column, type GridWriter } from './grid-model.js';
import { createWith } from './row-patches.js';

/**
 * The empty row at the end of a grid: what is typed into it is kept until it makes a row. The row that is made has the id
 * that the empty one had, so that it keeps the focus.
 */
export function useNewRow<Row, Patch extends object>(
  writer: GridWriter<Row, Patch> | undefined,
  onCreate: ((id: string) => void) | undefined,
) {
  const edit = useEdit();
  const [blank, setBlank] = useState(() => ({
    id: newId(),
    patches: {} as Record<string, Patch>,
    texts: {} as Record<string, string>,
  }));
  const write = useCallback(
    (_row: Row | null, text: string, column: Column<Row, Patch>): string | null => {
      if (!isInput(column) || writer === undefined) return null;
      const reading = column.read(text, null);
      if ('refusal' in reading) return reading.refusal;
      const patches = { ...blank.patches, [column.id]: reading.patch };
      const operations = createWith(writer, blank.id, Object.values(patches), []);
      if (operations === null) {
        setBlank({ ...blank, patches, texts: { ...blank.texts, [column.id]: text } });
        return null;
      }
      const problem = edit(operations)[0];
      if (problem === undefined) {
        setBlank({ id: newId(), patches: {}, texts: {} });
        onCreate?.(blank.id);
      }
      return problem?.sentence ?? null;
    },
    [blank, edit, writer, onCreate],
  );
  return { id: blank.id, texts: blank.texts, write };
}
