import { expect, it } from 'vitest';
import { readBookFile } from './book-file.js';

it('a customs profile of format 9 recovers import tax as other tax is, but where it was a cost', () => {
  const id = (last: number) => `0192f000-0000-7000-8000-00000000000${last}`;
  const profile = (last: number, more: object) => ({ id: id(last), name: `Customs ${last}`, ...more });
  const read = readBookFile({
    format: 'nuvar-book',
    version: 9,
    rows: {
      settings: [{ id: id(1), name: 'Importer' }],
      customsProfile: [
        profile(2, { importTaxRecovered: true }),
        profile(3, { importTaxRecovered: false }),
        profile(4, {}),
      ],
    },
  });
  expect(read.ok && read.rows.all('customsProfile').map(({ importTax }) => importTax)).toEqual([
    'by registration',
    'cost',
    'by registration',
  ]);
});
