import { newId } from '@nuvar/book';
import type { NestExpressApplication } from '@nestjs/platform-express';
import request from 'supertest';
import { DataSource } from 'typeorm';
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest';
import { log } from '../http/logger.js';
import { SessionPool } from './session.js';
import { codesOf, PASSWORD, signUp, testServer } from '../testing/client.js';

let app: NestExpressApplication;

beforeAll(async () => {
  app = await testServer();
});
afterAll(() => app.close());

describe('accounts', () => {
  it('keep passwords as argon2id hashes only, and sessions behind an http-only cookie in the database', async () => {
    const person = await signUp(app);
    const rows: { password_hash: string }[] = await app
      .get(DataSource)
      .query('SELECT password_hash FROM users WHERE email = $1', [person.email]);
    expect(rows[0]?.password_hash).toMatch(/^\$argon2id\$/);
    const answer = await request(app.getHttpServer())
      .post('/api/session')
      .send({ email: person.email.toUpperCase(), password: PASSWORD })
      .expect(200);
    const cookie = String(answer.get('set-cookie'));
    expect(cookie).toMatch(/HttpOnly/);
    expect(cookie).toMatch(/SameSite=Lax/);
    const signedIn = await request(app.getHttpServer()).get('/api/books').set('cookie', cookie);
    expect(signedIn.status).toBe(200);
    await request(app.getHttpServer()).delete('/api/session').set('cookie', cookie).expect(200);
    await request(app.getHttpServer()).get('/api/books').set('cookie', cookie).expect(401);
  });

  it('outlive a restart of the server', async () => {
    const person = await signUp(app);
    const answer = await request(app.getHttpServer())
      .post('/api/session')
      .send({ email: person.email, password: PASSWORD })
      .expect(200);
    const again = await testServer();
    const session = await request(again.getHttpServer())
      .get('/api/session')
      .set('cookie', String(answer.get('set-cookie')));
    await again.close();
    expect(session.body).toMatchObject({ user: { email: person.email } });
  });

  it.each([
    [{ name: 'A', email: 'no address', password: PASSWORD }, 'email'],
    [{ name: 'A', email: 'a@example.test', password: 'short' }, 'password'],
    [{ name: 'A', email: 'a@example.test', password: 'qwertyuiop' }, 'password'],
    [{ name: 'A', email: 'a@example.test', password: ' 1Q2W3E4R5T ' }, 'password'],
    [{ name: 'A', email: 'a b@example.test', password: PASSWORD }, 'email'],
    [{ name: ' ', email: 'a@example.test', password: PASSWORD }, 'name'],
    [{ name: 'A', email: 'a@example.test', password: PASSWORD, admin: 'yes' }, 'admin'],
    [{ name: 'x'.repeat(10_000), email: 'a@example.test', password: PASSWORD }, 'name'],
    [{ name: 'A', email: { $ne: '' }, password: PASSWORD }, 'email'],
  ])('are refused with the field: %o', async (body, field) => {
    const answer = await request(app.getHttpServer()).post('/api/accounts').send(body).expect(422);
    expect((answer.body as { problems: { field: string }[] }).problems[0]?.field).toBe(field);
  });

  it('have so many sessions that whoever has signed in most lately stays, and end for good after the longest time', async () => {
    const person = await signUp(app);
    const cookies: string[] = [];
    for (let turn = 0; turn < 21; turn += 1) {
      const answer = await request(app.getHttpServer())
        .post('/api/session')
        .send({ email: person.email, password: PASSWORD })
        .expect(200);
      cookies.push(String(answer.get('set-cookie')));
    }
    const statusOf = async (cookie = '') =>
      (await request(app.getHttpServer()).get('/api/books').set('cookie', cookie)).status;
    expect([await statusOf(cookies[0]), await statusOf(cookies[1]), await statusOf(cookies[20])]).toEqual([
      401, 200, 200,
    ]);
    await app
      .get(SessionPool)
      .query(
        `UPDATE sessions SET sess = jsonb_set(sess::jsonb, '{begunAt}', '1000')::json WHERE sess ->> 'userId' = $1`,
        [person.id],
      );
    expect(await statusOf(cookies[20])).toBe(401);
  });

  it('slow down whoever tries passwords, and say the same for an unknown address', async () => {
    const person = await signUp(app);
    const guess = (email: string) =>
      request(app.getHttpServer()).post('/api/session').send({ email, password: 'a wrong password' });
    const [known, unknown] = [
      await guess(person.email).expect(401),
      await guess(`${newId()}@example.test`).expect(401),
    ];
    expect(known.body).toEqual(unknown.body);
    const statuses: number[] = [];
    for (let tries = 0; tries < 11; tries += 1) statuses.push((await guess(person.email)).status);
    expect(statuses).toContain(429);
  });

  it('leave a trace of who came in and who tried to, without addresses and passwords', async () => {
    const noted = vi.spyOn(log, 'warn');
    const person = await signUp(app);
    const wrong = { email: person.email, password: 'not the right one at all' };
    await request(app.getHttpServer()).post('/api/session').send(wrong).expect(401);
    await request(app.getHttpServer())
      .post('/api/session')
      .send({ ...wrong, password: PASSWORD })
      .expect(200);
    const events = noted.mock.calls.flatMap(([about]) => {
      const { security } = about as unknown as { security?: string };
      return security === undefined ? [] : [security];
    });
    const written = JSON.stringify(noted.mock.calls);
    noted.mockRestore();
    expect(events).toEqual(['signed up', 'wrong sign-in', 'signed in']);
    for (const secret of [person.email, PASSWORD, wrong.password]) expect(written).not.toContain(secret);
  });

  it('are protected against requests that another site makes a browser send', async () => {
    const person = await signUp(app);
    const foreign = await person.post('/api/books', { name: 'Forged' }).set('sec-fetch-site', 'cross-site').expect(403);
    expect(codesOf(foreign)).toEqual(['cross-site']);
    await person.post('/api/books', { name: 'Forged' }).set('origin', 'http://elsewhere.example').expect(403);
    await person.post('/api/books', { name: 'Own' }).set('sec-fetch-site', 'same-origin').expect(201);
  });
});

describe('the server', () => {
  it('says how it is, describes its API, and answers 404 in the same form as everything else', async () => {
    const server = app.getHttpServer();
    await request(server).get('/api/health').expect(200, { status: 'ok', writing: 'ok' });
    const document = (await request(server).get('/api/docs-json').expect(200)).body as {
      paths: object;
      components: { schemas: Record<string, { properties: object }> };
    };
    expect(Object.keys(document.paths)).toContain('/api/books/{id}/changes');
    expect(document.components.schemas.Material?.properties).toHaveProperty('baseUnit');
    expect(codesOf(await request(server).get('/api/nowhere').expect(404))).toEqual(['not-found']);
    const headers = (await request(server).get('/api/health')).headers;
    expect(headers['content-security-policy']).toContain("script-src 'self'");
  });
});
