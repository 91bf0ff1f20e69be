import { EventEmitter } from 'node:events';
import { request, type ClientRequest } from 'node:http';
import { gzipSync } from 'node:zlib';
import type { NestExpressApplication } from '@nestjs/platform-express';
import type { Request } from 'express';
import fc from 'fast-check';
import { afterAll, afterEach, beforeAll, describe, expect, it, vi } from 'vitest';
import { codesOf, material, signUp, testServer, type Person } from '../testing/client.js';
import { send } from '../testing/raw-request.js';
import { BodyMemory } from './body-memory.js';
import { readBody } from './read-body.js';

const MEGABYTE = 1024 * 1024;

describe('over HTTP', () => {
  let app: NestExpressApplication;
  let base: string;
  let owner: Person;
  let other: Person;
  let bookId: string;
  const begun: ClientRequest[] = [];

  beforeAll(async () => {
    app = await testServer();
    base = await app.getUrl();
    [owner, other] = [await signUp(app), await signUp(app)];
    bookId = await owner.makeBook('Bodies');
  });
  afterAll(async () => {
    begun.forEach((each) => each.destroy());
    await app.close();
  });

  it('who announces much and sends little keeps nobody from writing or signing in', async () => {
    const { hostname, port } = new URL(base);
    const path = `/api/books/${bookId}/changes`;
    for (let turn = 0; turn < 30; turn += 1) {
      const headers = { cookie: owner.cookie, 'content-type': 'application/json', 'content-length': 15 * MEGABYTE };
      const slow = request({ hostname, port, method: 'POST', path, headers, agent: false });
      slow.on('error', () => undefined);
      slow.write('{');
      begun.push(slow);
    }
    await vi.waitFor(() => expect(begun.every(({ socket }) => socket?.writable === true)).toBe(true), 20_000);
    const theirs = await other.makeBook('Goes on');
    await other.change(theirs, [material('Oats').operation]).expect(200);
    await owner.change(bookId, [material('Oats').operation]).expect(200);
    await signUp(app);
    expect((await owner.get('/api/health').expect(200)).body).toEqual({ status: 'ok', writing: 'ok' });
  });

  it.each(['gzip', 'deflate', 'br'])(
    'a body that is packed (%s) is refused, however little it is',
    async (encoding) => {
      const body = gzipSync(JSON.stringify({ id: 'x', operations: [] }));
      const answer = await send(base, {
        method: 'POST',
        path: `/api/books/${bookId}/changes`,
        headers: { cookie: owner.cookie, 'content-type': 'application/json', 'content-encoding': encoding },
        body,
      });
      expect(answer.status).toBe(400);
      expect(answer.text).toContain('it is packed');
    },
  );

  it('a body over the limit of its route is refused in words, announced or not', async () => {
    const large = { name: 'x'.repeat(40 * 1024) };
    expect(codesOf(await owner.post('/api/books', large).expect(413))).toEqual(['too-large']);
    const headers = { cookie: owner.cookie, 'content-type': 'application/json', 'transfer-encoding': 'chunked' };
    const body = Buffer.from(JSON.stringify(large));
    const answer = await send(base, { method: 'POST', path: '/api/books', headers, body });
    expect([answer.status, answer.text]).toEqual([413, expect.stringContaining('32 kB at most')]);
  });
});

describe('the memory for bodies', () => {
  /** What is in use, counted anew from all that was claimed and not given back. */
  interface Held {
    readonly who: { readonly id: string; readonly isGuest: boolean };
    bytes: number;
  }
  const sumOf = (held: readonly Held[], isCounted: (each: Held) => boolean) =>
    held.filter(isCounted).reduce((sum, { bytes }) => sum + bytes, 0);

  it('refuses where one, the guests together, or all have too much, and is empty when all is answered', () => {
    const step = fc.record({
      who: fc.constantFrom('anna', 'ben', 'cleo', 'guest 1', 'guest 2', 'guest 3'),
      megabytes: fc.integer({ min: 1, max: 16 }),
      pieces: fc.integer({ min: 1, max: 4 }),
      isAnswered: fc.boolean(),
    });
    fc.assert(
      fc.property(fc.array(step, { maxLength: 60 }), (steps) => {
        const memory = new BodyMemory();
        const held: Held[] = [];
        const releases: (() => void)[] = [];
        for (const { who: id, megabytes, pieces, isAnswered } of steps) {
          const who = { id, isGuest: id.startsWith('guest') };
          const claim = memory.begin(who);
          const mine: Held = { who, bytes: 0 };
          held.push(mine);
          let isRefused = false;
          for (let piece = 0; piece < pieces && !isRefused; piece += 1) {
            mine.bytes += megabytes * MEGABYTE;
            const isTooMuch =
              sumOf(held, (each) => each.who.id === id) > (who.isGuest ? 48 : 96) * MEGABYTE ||
              (who.isGuest && sumOf(held, (each) => each.who.isGuest) > 96 * MEGABYTE) ||
              sumOf(held, () => true) > 256 * MEGABYTE;
            try {
              claim.add(megabytes * MEGABYTE);
            } catch {
              isRefused = true;
            }
            expect(isRefused).toBe(isTooMuch);
          }
          if (isRefused || isAnswered) {
            claim.release();
            held.pop();
          } else releases.push(() => claim.release());
          expect(memory.isFull).toBe(sumOf(held, () => true) + MEGABYTE > 256 * MEGABYTE);
        }
        releases.forEach((release) => release());
        const all = memory.begin({ id: 'anna', isGuest: false });
        expect(() => all.add(96 * MEGABYTE)).not.toThrow();
      }),
      { numRuns: 200 },
    );
  });
});

describe('a body as it comes', () => {
  afterEach(() => vi.useRealTimers());

  /** A request whose body is sent by the test. */
  const incoming = (): Request & EventEmitter =>
    Object.assign(new EventEmitter(), {
      is: () => 'application/json',
      get: () => undefined,
    }) as unknown as Request & EventEmitter;

  it.each([
    ['a byte every second', 1, true],
    ['three kilobytes a second', 3 * 1024, true],
    ['five kilobytes a second', 5 * 1024, false],
  ])('at %s', async (_words, bytes, isTooSlow) => {
    vi.useFakeTimers({ toFake: ['setInterval', 'clearInterval', 'performance'] });
    const request = incoming();
    const taken: number[] = [];
    const body = readBody(request, 15 * MEGABYTE, (more) => taken.push(more)).then(
      (all) => all.length,
      (error: { problems: { code: string }[] }) => error.problems[0]?.code,
    );
    for (let second = 0; second < 60; second += 1) {
      request.emit('data', Buffer.alloc(bytes));
      vi.advanceTimersByTime(1000);
    }
    request.emit('end');
    expect(await body).toBe(isTooSlow ? 'too-slow' : 60 * bytes);
    expect(taken.length).toBe(isTooSlow ? 12 : 60);
  });

  it('ends where a piece of it is refused, and takes no more', async () => {
    const request = incoming();
    const taken: number[] = [];
    const refusal = new Error('no more');
    const body = readBody(request, 1000, (more) => {
      taken.push(more);
      if (taken.length === 2) throw refusal;
    });
    for (let piece = 0; piece < 4; piece += 1) request.emit('data', Buffer.alloc(10));
    await expect(body).rejects.toBe(refusal);
    expect(taken).toEqual([10, 10]);
  });
});
