import { nameKey, type StoredRow } from '@nuvar/book';
import type { EffectView, Override, UsedInView } from '@nuvar/core';
import { useEffect, useMemo, useState } from 'react';
import { updateOf } from '../book/operations.js';
import { useAll, useEdit, useMayEdit, useRowsOf, useSettings } from '../book/use-book.js';
import { ItemInput } from '../controls/item-input.js';
import { engine } from '../engine/engine.js';
import { written } from '../figures/format.js';
import { useStyle } from '../figures/use-style.js';
import { noticed } from '../state/notices-slice.js';
import { useAppDispatch } from '../state/store.js';

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
  const { currency } = useSettings();
  const style = useStyle();
  const [replacement, setReplacement] = useState<StoredRow<'material'> | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const effects = useEffects(lines, replacement, usedIn);
  if (!mayEdit) return null;
  const options = materials
    .filter(({ id, archived }) => id !== material.id && !archived)
    .map(({ id, name }) => ({ value: id, label: name }));
  const choose = (text: string) => {
    const found = materials.find(({ name, id }) => id !== material.id && nameKey(name) === nameKey(text.trim()));
    setReplacement(found ?? null);
    return found === undefined ? 'Pick a material of the book.' : null;
  };
  const replace = () => {
    if (replacement === null) return;
    const found = edit(lines.flatMap((line) => updateOf('billLine', line, { materialId: replacement.id })))[0];
    setProblem(found?.sentence ?? null);
    if (found === undefined) setReplacement(null);
  };
  const say = (amount: string | null) => (amount === null ? 'not known yet' : written(amount, 4, style));
  return (
    <section aria-label="Replace it everywhere" className="mt-4">
      <h3 className="detail-heading">Replace it everywhere by</h3>
      <ItemInput
        label="Replace it by"
        value={replacement?.name ?? ''}
        options={options}
        commit={choose}
        placeholder="another material"
      />
      {replacement !== null && effects !== null && (
        <>
          <table className="plain-table mt-2">
            <thead>
              <tr>
                <th scope="col">{currency}, full cost of one</th>
                <th scope="col" className="text-right">
                  now
                </th>
                <th scope="col" className="text-right">
                  then
                </th>
                <th scope="col" className="text-right">
                  %
                </th>
              </tr>
            </thead>
            <tbody>
              {effects.map(({ id, name, before, after, changePercent }) => (
                <tr key={id}>
                  <th scope="row">{name}</th>
                  <td className="text-right figure-print">{say(before)}</td>
                  <td className="text-right figure-print">{say(after)}</td>
                  <td className="text-right figure-print">
                    {changePercent === null ? '' : written(changePercent, 1, style)}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
          <button type="button" className="button button-main mt-2" onClick={replace}>
            Replace it in {lines.length === 1 ? 'one line' : `${lines.length} lines`}
          </button>
        </>
      )}
      {problem !== null && (
        <p className="hint-refused" role="alert">
          {problem}
        </p>
      )}
    </section>
  );
}

/** What a replacement would do to the products that use it; null until it is worked out. */
function useEffects(
  lines: readonly StoredRow<'billLine'>[],
  replacement: StoredRow<'material'> | null,
  usedIn: readonly UsedInView[],
): readonly EffectView[] | null {
  const dispatch = useAppDispatch();
  const [effects, setEffects] = useState<readonly EffectView[] | null>(null);
  const overrides = useMemo(
    (): Override[] =>
      replacement === null
        ? []
        : lines.map(({ id }) => ({ kind: 'billLine', id, field: 'materialId', how: 'set', value: replacement.id })),
    [lines, replacement],
  );
  const ids = useMemo(() => usedIn.map(({ id }) => id), [usedIn]);
  useEffect(() => {
    let left = false;
    if (overrides.length > 0)
      engine.effectOf(overrides, ids).then(
        (found) => !left && setEffects(found),
        (error: Error) => !left && dispatch(noticed({ sentence: error.message, tone: 'problem' })),
      );
    return () => {
      left = true;
      setEffects(null);
    };
  }, [overrides, ids, dispatch]);
  return effects;
}
