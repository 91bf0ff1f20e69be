import type { NestExpressApplication } from '@nestjs/platform-express';
import { newId } from '@nuvar/book';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { codesOf, signUp, testServer, type Person } from '../testing/client.js';
import { refusalOfStorage } from './storage-refusal.js';

let app: NestExpressApplication;
let owner: Person;

beforeAll(async () => {
  app = await testServer();
  owner = await signUp(app);
});
afterAll(() => app.close());

it('members of a book are people who have an account, and nobody is taken out who is not in it', async () => {
  const bookId = await owner.makeBook('Shared');
  const invited = await owner.put(`/api/books/${bookId}/members`, { email: 'nobody@example.test', role: 'reader' });
  expect(codesOf(invited)).toEqual(['unknown-person']);
  const removed = await owner.delete(`/api/books/${bookId}/members/${newId()}`);
  expect(codesOf(removed)).toEqual(['unknown-member']);
});

it('what the database refuses of a table that no row is of is said of the change as a whole', () => {
  const refused = Object.assign(new Error('check'), {
    code: '23514',
    table: 'elsewhere',
    constraint: 'any',
    detail: '',
  });
  expect(refusalOfStorage(refused, [])?.map(({ code }) => code)).toEqual(['not-storable']);
});
