import { newId } from '@nuvar/book';
import {
  addToWhatIf,
  BULK_TARGETS,
  bulkOverrides,
  overrideWords,
  readNumber,
  type BulkChange,
  type BulkTarget,
  type BulkWay,
} from '@nuvar/core';
import { useState } from 'react';
import { model } from '../book/model.js';
import { useEdit, useSettings } from '../book/use-book.js';
import { Dialog } from '../controls/dialogs/dialog.js';
import { Field, Fields } from '../controls/fields/fields.js';
import { counted, decimalSign } from '../figures/format.js';
import { useFirstRows } from '../figures/first-rows.js';
import { TARGET_WORDS, useParts, wayWords } from './bulk-words.js';
import { ProblemLine } from '../controls/dialogs/problem-line.js';

interface BulkDialogProps {
  readonly whatIfId: string;
  readonly onClose: () => void;
}

/** Changes many inputs of one kind together, in a what-if: what it touches is listed before anything is changed. */
export function BulkDialog({ whatIfId, onClose }: BulkDialogProps) {
  const { locale } = useSettings();
  const [target, setTarget] = useState<BulkTarget>('material prices');
  const [within, setWithin] = useState('');
  const [way, setWay] = useState<BulkWay>('percent');
  const [typed, setTyped] = useState('');
  const [problem, setProblem] = useState<string | null>(null);
  const edit = useEdit();
  const parts = useParts(target);
  const by = readNumber(typed.replace('%', '').replace('−', '-').trim() || '0', decimalSign(locale))?.value ?? null;
  const ways: readonly BulkWay[] = target === 'fees in percent' ? ['points', 'percent'] : ['percent', 'amount'];
  const chosenWay = ways.includes(way) ? way : (ways[0] as BulkWay);
  const change: BulkChange | null = by === null ? null : { target, within, way: chosenWay, by };
  const overrides = change === null ? [] : bulkOverrides(model.book, change);
  const partLabel = parts.find(({ value }) => value === within)?.label ?? '';
  const title = `${TARGET_WORDS[target]}${within === '' ? '' : `, ${partLabel}`}: ${wayWords(chosenWay, typed)}`;
  const make = () => {
    const found = edit(addToWhatIf(model.book, whatIfId, overrides, { bulk: title.slice(0, 200) }, newId))[0];
    if (found === undefined) onClose();
    else setProblem(found.sentence);
  };
  return (
    <Dialog title="Change together" onClose={onClose} wide>
      <Fields inTwo>
        <Field label="What">
          <select
            className="select"
            aria-label="What"
            value={target}
            onChange={(event) => {
              setTarget(event.target.value as BulkTarget);
              setWithin('');
            }}
          >
            {BULK_TARGETS.map((each) => (
              <option key={each} value={each}>
                {TARGET_WORDS[each]}
              </option>
            ))}
          </select>
        </Field>
        <Field label="Of">
          <select className="select" aria-label="Of" value={within} onChange={(event) => setWithin(event.target.value)}>
            <option value="">all</option>
            {parts.map(({ value, label }) => (
              <option key={value} value={value}>
                {label}
              </option>
            ))}
          </select>
        </Field>
        <Field label="Change by">
          <input
            className="input"
            aria-label="Change by"
            value={typed}
            autoFocus
            placeholder="8"
            onChange={(event) => setTyped(event.target.value)}
          />
          <select
            className="select"
            aria-label="Counted in"
            value={chosenWay}
            onChange={(event) => setWay(event.target.value as BulkWay)}
          >
            {ways.map((each) => (
              <option key={each} value={each}>
                {{ percent: '%', amount: 'amount', points: 'percentage points' }[each]}
              </option>
            ))}
          </select>
        </Field>
      </Fields>
      {change === null && <p className="text-error">“{typed}” is not a number.</p>}
      <TouchedTable overrides={overrides} locale={locale} />
      <ProblemLine problem={problem} />
      <div className="modal-action">
        <button type="button" className="btn" onClick={onClose}>
          Cancel
        </button>
        <button type="button" className="btn btn-primary" disabled={overrides.length === 0} onClick={make}>
          Change {counted(overrides.length, 'field', locale)} in the what-if
        </button>
      </div>
    </Dialog>
  );
}

interface TouchedProps {
  readonly overrides: ReturnType<typeof bulkOverrides>;
  readonly locale: string;
}

/** What a change of many touches, before it is made. */
function TouchedTable({ overrides, locale }: TouchedProps) {
  const { rows, more } = useFirstRows(overrides);
  if (overrides.length === 0) return <p className="mt-3 text-soft">Nothing is changed by this yet.</p>;
  return (
    <div className="mt-3 max-h-80 overflow-auto">
      <table className="table" aria-label="What is changed">
        <thead>
          <tr>
            <th scope="col">What</th>
            <th scope="col" className="text-right">
              In the book
            </th>
            <th scope="col" className="text-right">
              In the what-if
            </th>
          </tr>
        </thead>
        <tbody>
          {rows.map((each) => {
            const { subject, kindLabel, fieldLabel, before, after } = overrideWords(
              each,
              model.book,
              model.book,
              locale,
            );
            return (
              <tr key={`${each.id}.${each.field}`}>
                <td>
                  {subject} ({kindLabel}): {fieldLabel.toLowerCase()}
                </td>
                <td className="text-right">{before}</td>
                <td className="text-right">{after}</td>
              </tr>
            );
          })}
        </tbody>
      </table>
      {more}
    </div>
  );
}
