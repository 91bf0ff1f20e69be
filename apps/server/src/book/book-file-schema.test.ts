import { STORED_KINDS, fieldsOf } from '@nuvar/book';
import { expect, it } from 'vitest';
import { bookFileSchema } from './book-file-schema.js';

it('docs/book-file.schema.json is what the row classes say', async () => {
  const schema = bookFileSchema() as {
    $defs: Record<string, { properties: object }>;
    properties: { rows: { properties: object } };
  };
  expect(Object.keys(schema.properties.rows.properties)).toEqual(STORED_KINDS);
  expect(Object.keys(schema.$defs.Material?.properties ?? {}).sort()).toEqual(
    ['id', ...fieldsOf('material').map(({ name }) => name)].sort(),
  );
  await expect(`${JSON.stringify(schema, null, 2)}\n`).toMatchFileSnapshot('../../../../docs/book-file.schema.json');
});
