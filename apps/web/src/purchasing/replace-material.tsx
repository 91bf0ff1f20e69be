import { nameKey, type StoredRow, type Override } from '@nuvar/book';
import type { UsedInView } from '@nuvar/core';
import { useMemo, useState } from 'react';
import { updateOf } from '../book/operations.js';
import { useAll, useEdit, useMayEdit, useRowsOf } from '../book/use-book.js';
import { ItemInput } from '../controls/fields/item-input.js';
import { useEffects } from '../engine/use-effects.js';
import { EffectsTable } from '../figures/effects-table.js';
import { DetailHeading } from '../figures/detail-heading.js';
import { ProblemLine } from '../controls/dialogs/problem-line.js';

interface ReplaceMaterialProps {
  readonly material: StoredRow<'material'>;
  readonly usedIn: readonly UsedInView[];
}

/** Puts another material in place of one, in every bill; what that does to each cost is shown before it is done. */
export function ReplaceMaterial({ material, usedIn }: ReplaceMaterialProps) {
  const lines = useRowsOf('billLine', 'materialId', material.id);
  const materials = useAll('material');
  const mayEdit = useMayEdit();
  const edit = useEdit();
  const [replacement, setReplacement] = useState<StoredRow<'material'> | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const overrides = useMemo(
    (): Override[] =>
      replacement === null
        ? []
        : lines.map(({ id }) => ({ kind: 'billLine', id, field: 'materialId', how: 'set', value: replacement.id })),
    [lines, replacement],
  );
  const ids = useMemo(() => usedIn.map(({ id }) => id), [usedIn]);
  const effects = useEffects(overrides, ids);
  if (!mayEdit) return null;
  const options = materials
    .filter(({ id, archived }) => id !== material.id && !archived)
    .map(({ id, name }) => ({ value: id, label: name }));
  const choose = (text: string) => {
    const found = materials.find(({ name, id }) => id !== material.id && nameKey(name) === nameKey(text.trim()));
    setReplacement(found ?? null);
    return found === undefined ? 'Choose a material in this book.' : null;
  };
  const replace = () => {
    if (replacement === null) return;
    const found = edit(lines.flatMap((line) => updateOf('billLine', line, { materialId: replacement.id })))[0];
    setProblem(found?.sentence ?? null);
    if (found === undefined) setReplacement(null);
  };
  return (
    <section aria-label="Replace it everywhere" className="mt-4">
      <DetailHeading>Replace it everywhere with</DetailHeading>
      <ItemInput
        label="Replace it with"
        value={replacement?.name ?? ''}
        options={options}
        commit={choose}
        placeholder="another material"
      />
      {replacement !== null && effects !== null && (
        <>
          <EffectsTable effects={effects} />
          <button type="button" className="btn btn-primary mt-2" onClick={replace}>
            Replace it in {lines.length === 1 ? 'one line' : `${lines.length} lines`}
          </button>
        </>
      )}
      <ProblemLine problem={problem} />
    </section>
  );
}
