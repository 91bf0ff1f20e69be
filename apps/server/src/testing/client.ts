import { newId, type Change, type Operation } from '@nuvar/book';
import type { NestExpressApplication } from '@nestjs/platform-express';
import request, { type Test } from 'supertest';
import { makeServer, type ServerOptions } from '../server.js';
import { testDatabaseUrl } from './database.js';
import { TEST_DAY } from './test-day.js';

/** The server over the real database that `npm test` has started. */
export async function testServer(options: Partial<ServerOptions> = {}): Promise<NestExpressApplication> {
  const app = await makeServer({
    databaseUrl: testDatabaseUrl(),
    sessionSecret: 'for the tests only',
    limits: { signUp: 100_000, guest: 100_000 },
    today: () => TEST_DAY,
    ...options,
  });
  await app.listen(0, '127.0.0.1');
  return app;
}

export const PASSWORD = 'a long enough password';

/** Somebody who is signed in, with what they do most often. */
export interface Person {
  readonly id: string;
  readonly email: string;
  /** The cookie of their session, for requests that are made otherwise. */
  readonly cookie: string;
  get(path: string): Test;
  post(path: string, body?: object): Test;
  put(path: string, body: object): Test;
  delete(path: string): Test;
  /** Makes a book of that name and returns its id. */
  makeBook(name: string): Promise<string>;
  /** Sends operations as one change. */
  change(bookId: string, operations: readonly Operation[], more?: Partial<Change>): Test;
}

export async function signUp(app: NestExpressApplication): Promise<Person> {
  const email = `${newId()}@example.test`;
  const agent = request.agent(app.getHttpServer());
  const signedUp = await agent
    .post('/api/accounts')
    .send({ name: 'Robin Tester', email, password: PASSWORD })
    .expect(201);
  const person: Person = {
    id: (signedUp.body as { user: { id: string } }).user.id,
    email,
    cookie: String(signedUp.get('set-cookie')).split(';')[0] ?? '',
    get: (path) => agent.get(path),
    post: (path, body = {}) => agent.post(path).send(body),
    put: (path, body) => agent.put(path).send(body),
    delete: (path) => agent.delete(path),
    makeBook: async (name) => ((await agent.post('/api/books').send({ name }).expect(201)).body as { id: string }).id,
    change: (bookId, operations, more = {}) =>
      agent.post(`/api/books/${bookId}/changes`).send({ id: newId(), operations, ...more }),
  };
  return person;
}

/** A material to be made, with a name that serves the example. */
export function material(name: string, id = newId()): { id: string; operation: Operation } {
  return { id, operation: { action: 'create', kind: 'material', row: { id, name } } };
}

export const codesOf = (answer: { body: unknown }): string[] =>
  (answer.body as { problems: { code: string }[] }).problems.map(({ code }) => code);
