import { newId, type StoredRow } from '@nuvar/book';
import { useMemo } from 'react';
import { createOf } from '../../book/operations.js';
import { useAll, useEdit, useMayEdit, useSettings } from '../../book/use-book.js';
import { fieldColumn } from '../../controls/grid/field-column.js';
import { Grid } from '../../controls/grid/grid.js';
import type { Column } from '../../controls/grid/grid-model.js';
import { rowsWriter } from '../../controls/grid/rows-writer.js';
import { READY_PROFILES } from './ready-profiles.js';
import { BuyPage } from '../buy-page.js';

type Profile = StoredRow<'customsProfile'>;

const writer = rowsWriter<Profile>('customsProfile', { needs: 'name' });
const nameOf = ({ name }: Profile) => name;

const VALUE_WORDS = { CIF: 'to the place of entry (CIF)', FOB: 'to the place of export (FOB)' };

/** How the customs of the countries that goods come into reckon. */
export function CustomsScreen() {
  const profiles = useAll('customsProfile');
  const { locale, currency } = useSettings();
  const columns = useMemo(() => profileColumns(locale, currency), [locale, currency]);
  return (
    <BuyPage>
      <div className="h-full max-w-page overflow-auto">
        <h1 className="font-serif text-title">Customs profiles</h1>
        <p className="text-soft max-w-3xl">
          What duty and import tax are taken of. Carriage to the place of entry counts in the customs value of most
          countries, carriage to the place of export in others. The ticks add to the import tax base what the customs
          value does not hold already.
        </p>
        <Grid
          title="Customs profiles"
          rows={profiles}
          columns={columns}
          writer={writer}
          nameOf={nameOf}
          empty="None yet: a shipment without a profile has the duty that you enter as a charge."
        />
        <ReadyProfiles profiles={profiles} />
      </div>
    </BuyPage>
  );
}

function profileColumns(locale: string, currency: string): Column<Profile, Partial<Profile>>[] {
  const own = (field: keyof Profile & string, header?: string) =>
    fieldColumn<Profile>('customsProfile', field, locale, header === undefined ? {} : { header });
  return [
    fieldColumn<Profile>('customsProfile', 'name', locale, { placeholder: 'A country' }),
    fieldColumn<Profile>('customsProfile', 'valueKind', locale, { words: VALUE_WORDS }),
    own('importTaxPercent'),
    own('importTax', 'Import tax recovered'),
    own('taxOnDuty', 'Tax on duty'),
    own('taxOnFreight', 'on freight'),
    own('taxOnInsurance', 'on insurance'),
    own('taxOnInland', 'on inland costs'),
    own('entryFeePercent'),
    own('entryFeeMinimum', `At least, ${currency}`),
    own('entryFeeMaximum', `At most, ${currency}`),
  ];
}

/** Profiles to begin with. Rates and rules change: each says in its name that it is to be checked. */
function ReadyProfiles({ profiles }: { readonly profiles: readonly Profile[] }) {
  const edit = useEdit();
  const mayEdit = useMayEdit();
  const missing = READY_PROFILES.filter(({ name }) => !profiles.some((each) => each.name === name));
  if (!mayEdit || missing.length === 0) return null;
  return (
    <p className="mt-3 flex flex-wrap items-center gap-2">
      <span className="text-soft">Ready profiles, to be checked before use:</span>
      {missing.map(({ label, ...profile }) => (
        <button
          key={profile.name}
          type="button"
          className="btn"
          onClick={() => edit([createOf('customsProfile', newId(), profile)])}
        >
          {label}
        </button>
      ))}
    </p>
  );
}
