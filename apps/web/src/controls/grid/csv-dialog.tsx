import { useState } from 'react';
import { csvForms, exampleOf, type CsvForm } from './csv-form.js';
import { Dialog } from '../dialogs/dialog.js';

interface CsvDialogProps {
  readonly title: string;
  readonly locale: string;
  readonly onClose: () => void;
  readonly save: (form: CsvForm) => void;
}

/** Asks in which form numbers and days are to be written; that of the book's country is chosen already. */
export function CsvDialog({ title, locale, onClose, save }: CsvDialogProps) {
  const forms = csvForms(locale);
  const [chosen, setChosen] = useState<CsvForm>(forms[0]);
  return (
    <Dialog title={`Export as CSV: ${title}`} onClose={onClose}>
      <form
        onSubmit={(event) => {
          event.preventDefault();
          save(chosen);
          onClose();
        }}
      >
        <fieldset className="flex flex-col gap-2 py-3">
          <legend className="pb-2 text-soft">Numbers and days in the file</legend>
          {forms.map((form) => (
            <label key={form.id} className="flex items-baseline gap-2">
              <input
                type="radio"
                name="form"
                className="radio radio-xs"
                checked={form.id === chosen.id}
                autoFocus={form.id === chosen.id}
                onChange={() => setChosen(form)}
              />
              <span>
                {form.label}
                <span className="block text-note text-soft">{exampleOf(form)}</span>
              </span>
            </label>
          ))}
        </fieldset>
        <div className="modal-action">
          <button type="button" className="btn" onClick={onClose}>
            Cancel
          </button>
          <button type="submit" className="btn btn-primary">
            Export
          </button>
        </div>
      </form>
    </Dialog>
  );
}
