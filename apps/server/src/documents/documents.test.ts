import { newId } from '@nuvar/book';
import type { NestExpressApplication } from '@nestjs/platform-express';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { signUp, testServer, type Person } from '../testing/client.js';

let app: NestExpressApplication;
let owner: Person;

beforeAll(async () => {
  app = await testServer();
  owner = await signUp(app);
});
afterAll(() => app.close());

it('a document is begun, followed and fetched, or fails with a sentence', async () => {
  const bookId = await owner.makeBook('Documents');
  const shipmentId = newId();
  const row = { id: shipmentId, name: 'One', date: '2026-01-10', currency: 'EUR' };
  await owner.change(bookId, [{ action: 'create', kind: 'shipment', row }]).expect(200);
  const make = async (of: string, format: string) => {
    const begun = await owner
      .post(`/api/books/${bookId}/documents`, { document: 'landed cost', of, format })
      .expect(200);
    const { id } = begun.body as { id: string };
    for (;;) {
      const job = (await owner.get(`/api/books/${bookId}/documents/${id}`).expect(200)).body as {
        state: string;
        problem: string;
      };
      if (job.state !== 'under way') return { id, ...job };
      await new Promise((resolve) => setTimeout(resolve, 100));
    }
  };
  const made = await make(shipmentId, 'pdf');
  expect(made.state).toBe('ready');
  const file = await owner.get(`/api/books/${bookId}/documents/${made.id}/file`).expect(200);
  expect(file.headers['content-type']).toBe('application/pdf');
  expect(file.headers['content-disposition']).toContain('landed-cost.pdf');
  expect((await make(newId(), 'xlsx')).problem).toMatch(/not found/i);
  await owner.post(`/api/books/${bookId}/documents`, { document: 'landed cost', of: 'x', format: 'doc' }).expect(422);
});

it('a document is ended by whoever made it or may change the book, and by nobody of another book', async () => {
  const bookId = await owner.makeBook('Given up');
  const [reader, stranger] = [await signUp(app), await signUp(app)];
  await owner.put(`/api/books/${bookId}/members`, { email: reader.email, role: 'reader' }).expect(200);
  const foreignId = await stranger.makeBook('Another');
  const begin = async (who: Person) => {
    const asked = { document: 'landed cost', of: newId(), format: 'pdf' };
    const { body } = await who.post(`/api/books/${bookId}/documents`, asked).expect(200);
    return (body as { id: string }).id;
  };
  const [ofOwner, ofReader] = [await begin(owner), await begin(reader)];
  await stranger.delete(`/api/books/${foreignId}/documents/${ofOwner}`).expect(404);
  await stranger.delete(`/api/books/${bookId}/documents/${ofOwner}`).expect(404);
  await reader.delete(`/api/books/${bookId}/documents/${ofOwner}`).expect(404);
  expect((await owner.get(`/api/books/${bookId}/documents/${ofOwner}`).expect(200)).body).not.toMatchObject({
    state: 'cancelled',
  });
  expect((await reader.delete(`/api/books/${bookId}/documents/${ofReader}`).expect(200)).body).toMatchObject({
    state: 'cancelled',
  });
  await owner.delete(`/api/books/${bookId}/documents/${await begin(reader)}`).expect(200);
});
