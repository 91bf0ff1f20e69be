import { RemovalService } from '../book/removal.service.js';
import { newId } from '@nuvar/book';
import type { NestExpressApplication } from '@nestjs/platform-express';
import request from 'supertest';
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest';
import { DataSource } from 'typeorm';
import { DemoService } from '../demo/demo.service.js';
import { codesOf, PASSWORD, signUp, testServer } from '../testing/client.js';
import { databaseOfItsOwn } from '../testing/database.js';
import { networkOf } from './network.js';

let database: Awaited<ReturnType<typeof databaseOfItsOwn>>;
let app: NestExpressApplication;
let behindProxy: NestExpressApplication;

beforeAll(async () => {
  database = await databaseOfItsOwn();
  const limits = { signUp: 1_000, guest: 4, signInNetwork: 40 };
  app = await testServer({ databaseUrl: database.url, limits });
  behindProxy = await testServer({ databaseUrl: database.url, limits, trustedProxies: 'loopback' });
});
afterAll(async () => {
  await Promise.all([app.close(), behindProxy.close()]);
  await database.remove();
});

/** Tries a password, from an address where one is given. */
const tryAt = async (server: NestExpressApplication, email: string, password: string, from?: string) => {
  const sent = request(server.getHttpServer()).post('/api/session');
  return (await (from === undefined ? sent : sent.set('x-forwarded-for', from)).send({ email, password })).status;
};
const guess = (email: string, from?: string) => tryAt(behindProxy, email, 'a wrong password', from);

describe('networks', () => {
  it('are told by 24 bits of an address, or by 64 of a longer one', () => {
    expect(networkOf('203.0.113.9')).toBe(networkOf('203.0.113.200'));
    expect(networkOf('203.0.113.9')).not.toBe(networkOf('203.0.114.9'));
    expect(networkOf('::ffff:203.0.113.9')).toBe(networkOf('203.0.113.77'));
    expect(networkOf('2001:db8:1:2::1')).toBe(networkOf('2001:db8:1:2:ffff::9'));
    expect(networkOf('2001:db8:1:2::1')).not.toBe(networkOf('2001:db8:1:3::1'));
    expect(networkOf('nonsense')).toBe('unknown');
  });
});

describe('signing in', () => {
  it('counts an address as one, however it is written, and says how long to wait', async () => {
    const { email } = await signUp(app);
    const spellings = [email, ` ${email}`, `${email}  `, email.toUpperCase(), `\t${email}`];
    const statuses: number[] = [];
    for (let tries = 0; tries < 12; tries += 1)
      statuses.push(await guess(spellings[tries % spellings.length] ?? email, '198.51.100.7'));
    expect(statuses).toEqual([...Array.from({ length: 10 }, () => 401), 429, 429]);
    const refused = await request(behindProxy.getHttpServer())
      .post('/api/session')
      .set('x-forwarded-for', '198.51.100.7')
      .send({ email, password: PASSWORD })
      .expect(429);
    expect(refused.get('retry-after')).toMatch(/^\d+$/);
    expect((refused.body as { problems: { sentence: string }[] }).problems[0]?.sentence).toMatch(/Wait \d+ minutes/);
  });

  it('takes nobody at their word for where they come from, unless the proxy is trusted', async () => {
    const { email } = await signUp(app);
    const statuses: number[] = [];
    for (let tries = 0; tries < 12; tries += 1)
      statuses.push(await tryAt(app, email, 'a wrong password', `192.0.${tries}.1`));
    expect(statuses.at(-1)).toBe(429);
  });

  it('ends for a network that tries one address after another', async () => {
    const statuses: number[] = [];
    for (let tries = 0; tries < 42; tries += 1)
      statuses.push(await guess(`${newId()}@example.test`, `198.18.0.${tries}`));
    expect(statuses.slice(0, 40)).not.toContain(429);
    expect(statuses.slice(40)).toEqual([429, 429]);
  });

  it('is slowed down by strangers, and never shut to the owner, who comes from elsewhere', async () => {
    const { email } = await signUp(app);
    for (let tries = 0; tries < 21; tries += 1) await guess(email, `100.64.${tries}.1`);
    const begun = performance.now();
    expect(await tryAt(behindProxy, email, PASSWORD, '203.0.113.5')).toBe(200);
    expect(performance.now() - begun).toBeGreaterThan(1_900);
  });

  it('comes to an end for right passwords too: each makes a session that is kept', async () => {
    const person = await signUp(app);
    const again = () =>
      request(app.getHttpServer()).post('/api/session').send({ email: person.email, password: PASSWORD });
    const statuses: number[] = [];
    for (let turn = 0; turn < 61; turn += 1) statuses.push((await again()).status);
    expect([statuses.indexOf(429), statuses.filter((status) => status === 200).length]).toEqual([60, 60]);
  });

  it('gives the tries back to whoever knew the password after all', async () => {
    const { email } = await signUp(app);
    for (let round = 0; round < 3; round += 1) {
      for (let tries = 0; tries < 5; tries += 1) expect(await guess(email, '100.100.1.1')).toBe(401);
      expect(await tryAt(behindProxy, email, PASSWORD, '100.100.1.1')).toBe(200);
    }
  });
});

describe('looking up addresses', () => {
  it('to give roles comes to an end too', async () => {
    const owner = await signUp(app);
    const bookId = await owner.makeBook('Curious');
    const statuses: number[] = [];
    for (let tries = 0; tries < 61; tries += 1)
      statuses.push(
        (await owner.put(`/api/books/${bookId}/members`, { email: `${newId()}@example.test`, role: 'reader' })).status,
      );
    expect(statuses.slice(0, 60)).not.toContain(429);
    expect(statuses.at(-1)).toBe(429);
  });
});

describe('guests', () => {
  const welcome = async () => {
    const agent = request.agent(app.getHttpServer());
    const answer = await agent.post('/api/session/demo');
    return { agent, status: answer.status, user: (answer.body as { user?: { id: string; isGuest: boolean } }).user };
  };

  it('have a book of their own, invite nobody, make few books, and are let in so many times', async () => {
    const { agent, user } = await welcome();
    expect(user).toMatchObject({ isGuest: true, email: null, name: 'Guest' });
    const [book] = (await agent.get('/api/books').expect(200)).body as { id: string; role: string }[];
    expect(book?.role).toBe('owner');
    const invite = await agent
      .put(`/api/books/${book?.id ?? ''}/members`)
      .send({ email: 'a@example.test', role: 'owner' });
    expect(codesOf(invite)).toEqual(['not-as-a-guest']);
    await agent.post('/api/books').send({ name: 'Second' }).expect(201);
    await agent.post('/api/books').send({ name: 'Third' }).expect(201);
    expect(codesOf(await agent.post('/api/books').send({ name: 'Fourth' }).expect(403))).toEqual(['not-as-a-guest']);
    // Pressing the button twice makes no second guest.
    expect(((await agent.post('/api/session/demo').expect(200)).body as { user: { id: string } }).user.id).toBe(
      user?.id,
    );
    const other = await welcome();
    await other.agent.get(`/api/books/${book?.id ?? ''}`).expect(404);
    expect([(await welcome()).status, (await welcome()).status, (await welcome()).status]).toEqual([200, 200, 429]);
  });

  it('go with their books when their last session has run out; who has made an account stays', async () => {
    const sql = (text: string, values: unknown[] = []) => app.get(DataSource).query(text, values);
    await sql('DELETE FROM limits');
    const [leaving, staying, there] = [await welcome(), await welcome(), await welcome()];
    const email = `${newId()}@example.test`;
    await staying.agent.post('/api/accounts').send({ name: 'Keeper', email, password: PASSWORD }).expect(201);
    const ids = [leaving, staying, there].map(({ user }) => user?.id);
    await sql(`UPDATE users SET created_at = now() - interval '2 days' WHERE id = ANY($1::uuid[])`, [ids]);
    await sql(`UPDATE sessions SET expire = now() - interval '1 minute' WHERE sess ->> 'userId' = $1`, [ids[0]]);
    await sql(`DELETE FROM sessions WHERE sess ->> 'userId' = $1`, [ids[1]]);
    await app.get(DemoService).removeExpired();
    await app.get(RemovalService).finished();
    await app.get(DemoService).removeExpired();
    const left: { id: string }[] = await sql(`SELECT id FROM users WHERE id = ANY($1::uuid[]) ORDER BY id`, [ids]);
    expect(left.map(({ id }) => id)).toEqual([ids[1], ids[2]].sort());
    const books = (await there.agent.get('/api/books').expect(200)).body as unknown[];
    expect(books).toHaveLength(1);
    const kept = request.agent(app.getHttpServer());
    await kept.post('/api/session').send({ email, password: PASSWORD }).expect(200);
    expect((await kept.get('/api/books').expect(200)).body).toHaveLength(1);
  });

  it('are not let in where the demo is off', async () => {
    vi.stubEnv('NUVAR_DEMO', 'off');
    const off = await testServer({ databaseUrl: database.url });
    vi.unstubAllEnvs();
    expect(codesOf(await request(off.getHttpServer()).post('/api/session/demo').expect(404))).toEqual(['demo-off']);
    expect((await request(off.getHttpServer()).get('/api/session')).body).toMatchObject({ demo: false });
    await off.close();
  });
});
