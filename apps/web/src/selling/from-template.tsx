import { CHANNEL_TEMPLATES, type ChannelTemplate, newId, type Operation } from '@nuvar/book';
import { useState } from 'react';
import { model } from '../book/model.js';
import { createOf } from '../book/operations.js';
import { useEdit, useMayEdit } from '../book/use-book.js';
import { Dialog } from '../controls/dialog.js';

/** A name that no channel of the book has yet. */
function freeName(name: string): string {
  const isTaken = (wanted: string) => model.rows.rowsWith('channel', 'name', wanted).length > 0;
  let made = name;
  for (let count = 2; isTaken(made); count += 1) made = `${name} ${count}`;
  return made;
}

/** The rows of a channel that is begun from a template, as one change. */
function operationsOf({ name, channel, fees, chain = [] }: ChannelTemplate, channelId: string): Operation[] {
  return [
    createOf('channel', channelId, { name: freeName(name), ...channel }),
    ...fees.flatMap(({ sizes = [], ...fee }, position) => {
      const ruleId = newId();
      return [
        createOf('feeRule', ruleId, { channelId, position, ...fee }),
        ...sizes.map((size, place) => createOf('sizeTier', newId(), { ruleId, position: place, ...size })),
      ];
    }),
    ...chain.map((step, position) => createOf('chainStep', newId(), { channelId, position, ...step })),
  ];
}

/** Begins a channel from one of the templates. */
export function FromTemplate({ onCreate }: { readonly onCreate: (id: string) => void }) {
  const [isOpen, setOpen] = useState(false);
  const edit = useEdit();
  const mayEdit = useMayEdit();
  if (!mayEdit) return null;
  const begin = (template: ChannelTemplate) => {
    const id = newId();
    if (edit(operationsOf(template, id)).length > 0) return;
    setOpen(false);
    onCreate(id);
  };
  return (
    <>
      <button type="button" className="btn" onClick={() => setOpen(true)}>
        From a template
      </button>
      {isOpen && (
        <Dialog title="Begin a channel from a template" onClose={() => setOpen(false)}>
          <p>
            The fees are examples with typical figures, of no particular contract. Check each of them against your own.
          </p>
          <ul className="mt-3 grid gap-2">
            {CHANNEL_TEMPLATES.map((template) => (
              <li key={template.name} className="flex items-baseline gap-3">
                <button type="button" className="btn flex-none" onClick={() => begin(template)}>
                  {template.name}
                </button>
                <span className="text-soft">{template.what}</span>
              </li>
            ))}
          </ul>
          <div className="modal-action">
            <button type="button" className="btn" onClick={() => setOpen(false)}>
              Cancel
            </button>
          </div>
        </Dialog>
      )}
    </>
  );
}
