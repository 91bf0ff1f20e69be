import { CHANNEL_TEMPLATES, type ChannelTemplate, newId } from '@nuvar/book';
import { useState } from 'react';
import { useEdit, useMayEdit } from '../../book/use-book.js';
import { Dialog } from '../../controls/dialogs/dialog.js';
import { channelFrom } from './channel-from-template.js';

/** Begins a channel from one of the templates. */
export function FromTemplate({ onCreate }: { readonly onCreate: (id: string) => void }) {
  const [isOpen, setOpen] = useState(false);
  const edit = useEdit();
  const mayEdit = useMayEdit();
  if (!mayEdit) return null;
  const begin = (template: ChannelTemplate) => {
    const id = newId();
    if (edit(channelFrom(template, id)).length > 0) return;
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
