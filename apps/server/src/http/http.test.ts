import type { Server } from 'node:http';
import { createConnection } from 'node:net';
import { mkdtempSync, mkdirSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Writable } from 'node:stream';
import type { NestExpressApplication } from '@nestjs/platform-express';
import { pino } from 'pino';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { signUp, testServer } from '../testing/client.js';
import { send } from '../testing/raw-request.js';
import { requestLogTo } from './logger.js';

let app: NestExpressApplication;
let base: string;
let folder: string;

beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'nuvar-web-'));
  mkdirSync(join(folder, 'assets'));
  writeFileSync(join(folder, 'index.html'), '<!doctype html><title>Nuvar</title>');
  writeFileSync(join(folder, 'assets/app-1.js'), 'export {};');
  app = await testServer({ webFolder: folder });
  base = await app.getUrl();
});
afterAll(async () => {
  await app.close();
  rmSync(folder, { recursive: true });
});

const get = (path: string, headers: Record<string, string> = {}) => send(base, { method: 'GET', path, headers });

describe('addresses', () => {
  it.each([
    '/api/nowhere',
    '/API/nowhere',
    '/Api',
    '//api/x',
    '/%61pi/x',
    '/./api/x',
    '/books/../api/x',
    '/api%2Fbooks',
    '/\\api/x',
    '/api/..%2f',
    '/api/../',
    '/api/..%2Fbooks',
  ])('under /api give no page, however they are spelled: %s', async (path) => {
    const { status, contentType } = await get(path);
    expect(status).toBe(404);
    expect(contentType).toContain('json');
  });

  it.each(['/', '/books', '/books/0198-something/buy', '/sign-in?to=%2Fbooks', '/apis'])(
    'of screens give the page: %s',
    async (path) => {
      const { status, contentType } = await get(path);
      expect([status, contentType]).toEqual([200, 'text/html; charset=utf-8']);
    },
  );

  it.each(['/assets/app-1.js.map', '/assets/other.js', '/app.map', '/robots.txt'])(
    'of files that are not there give nothing: %s',
    async (path) => expect((await get(path)).status).toBe(404),
  );

  it('answer to HEAD as they do to GET, without the page itself, and never lead elsewhere', async () => {
    const head = await send(base, { method: 'HEAD', path: '/books' });
    expect([head.status, head.contentType, head.text]).toEqual([200, 'text/html; charset=utf-8', '']);
    expect((await send(base, { method: 'HEAD', path: '/api/session' })).status).toBe(200);
    expect((await get('/assets')).status).toBe(200);
  });

  it('of built files give them for a year', async () => {
    expect((await get('/assets/app-1.js')).headers['cache-control']).toContain('immutable');
  });
});

describe('the log', () => {
  it('holds neither cookies nor what was asked for behind the question mark', async () => {
    let written = '';
    const sink = new Writable({
      write(chunk, _encoding, done) {
        written += String(chunk);
        done();
      },
    });
    const server = await testServer({ requestLog: requestLogTo(pino({ level: 'info' }, sink)) });
    const signedIn = await signUp(server);
    await signedIn.get('/api/books?note=a-secret-word').expect(200);
    await server.close();
    expect(written).toContain('/api/books');
    expect(written).not.toMatch(/nuvar\.sid|a-secret-word|set-cookie/i);
  });
});

describe('connections', () => {
  it('of whoever is slow to say what they ask for are cut off', async () => {
    const server = app.getHttpServer() as Server;
    expect(server.headersTimeout).toBe(10_000);
    server.headersTimeout = 1_000;
    const { port } = new URL(base);
    const answer = await new Promise<string>((done) => {
      const socket = createConnection(Number(port), '127.0.0.1', () =>
        socket.write('GET /api/health HTTP/1.1\r\nHost: x\r\n'),
      );
      let heard = '';
      const dripping = setInterval(() => socket.write('X-Slow: 1\r\n'), 300);
      socket.on('data', (data) => (heard += String(data)));
      socket.on('error', () => undefined);
      socket.on('close', () => {
        clearInterval(dripping);
        done(heard);
      });
    });
    expect(answer).toContain('408');
  });

  it('that wait for news do not keep the server from stopping', async () => {
    const server = await testServer();
    const stranger = await signUp(server);
    const address = await server.getUrl();
    const streams = await Promise.all(
      Array.from({ length: 5 }, () => fetch(`${address}/api/events`, { headers: { cookie: stranger.cookie } })),
    );
    expect(streams.map(({ status }) => status)).toEqual([200, 200, 200, 200, 200]);
    const begun = performance.now();
    await server.close();
    expect(performance.now() - begun).toBeLessThan(3_000);
  });
});
