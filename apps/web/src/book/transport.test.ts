import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { transport } from './transport.js';

/** The addresses that were asked, and what the server says to each from now on. */
let asked: string[] = [];
let answer: (path: string) => Response = () => Response.json([]);

const snapshot = (revision: number, role: string) =>
  new Response(JSON.stringify({ revision, rows: {} }), { headers: { 'Book-Role': role } });
const refused = (status: number, code: string) =>
  Response.json({ problems: [{ code, sentence: 'Not now.' }] }, { status });
const byPath = (ofBook: () => Response) => (path: string) => (path.includes('/changes') ? Response.json([]) : ofBook());

beforeEach(() => {
  asked = [];
  vi.stubGlobal('fetch', (path: string) => {
    asked.push(path);
    return Promise.resolve(answer(path));
  });
});
afterEach(() => vi.unstubAllGlobals());

it('what was asked ahead opens the book it is of, once, and is asked anew after that', async () => {
  answer = byPath(() => snapshot(7, 'editor'));
  transport.expect('clay');
  const [first, history] = await transport.opening('clay');
  expect(first).toEqual({ ok: true, value: { text: '{"revision":7,"rows":{}}', role: 'editor', filled: 0 } });
  expect(history).toEqual({ ok: true, value: [] });
  expect(asked).toEqual(['/api/books/clay', '/api/books/clay/changes?own=true']);
  answer = byPath(() => snapshot(8, 'editor'));
  const [second] = await transport.opening('clay');
  expect(second.ok && second.value.text).toContain('"revision":8');
});

it('what was asked ahead of another book opens none', async () => {
  answer = byPath(() => snapshot(7, 'owner'));
  transport.expect('clay');
  asked = [];
  await transport.opening('glaze');
  expect(asked).toEqual(['/api/books/glaze', '/api/books/glaze/changes?own=true']);
});

it('what was refused ahead, before somebody had signed in, is asked again', async () => {
  answer = byPath(() => refused(401, 'not-signed-in'));
  transport.expect('clay');
  answer = byPath(() => snapshot(7, 'reader'));
  const [opened] = await transport.opening('clay');
  expect(opened.ok && opened.value.role).toBe('reader');
});

it('tells a refusal by its problems, and whatever else comes as no answer', async () => {
  answer = () => refused(404, 'not-found');
  expect(await transport.since('clay', 3)).toMatchObject({ ok: false, status: 404, problems: [{ code: 'not-found' }] });
  answer = () => new Response('<html>sign in to the network first</html>', { status: 511 });
  expect(await transport.since('clay', 3)).toMatchObject({ ok: false, status: 0 });
  answer = () => new Response('<html>sign in to the network first</html>');
  expect(await transport.since('clay', 3)).toMatchObject({ ok: false, status: 0 });
  expect((await transport.opening('clay'))[0]).toMatchObject({ ok: false, status: 0 });
  answer = () => {
    throw new TypeError('no network');
  };
  expect(await transport.since('clay', 3)).toMatchObject({ ok: false, status: 0 });
});

it('puts a change of many rows together from its pieces, and tells where one of them does not come', async () => {
  const write = (id: string) => ({ kind: 'material', id, before: null, after: null });
  const entry = (revision: number, rest: number | null) => ({ revision, writes: [write(`${revision}-0`)], rest });
  answer = (path) => {
    if (path.includes('since')) return Response.json([entry(4, null), entry(5, 1)]);
    const piece = Number(/piece=(\d+)/.exec(path)?.[1]);
    return Response.json({ writes: [write(`5-${piece}`)], rest: piece < 3 ? piece + 1 : null });
  };
  const whole = await transport.since('clay', 3);
  const ids = whole.ok ? whole.value.map(({ writes }) => writes.map(({ id }) => id)) : [];
  expect(ids).toEqual([['4-0'], ['5-0', '5-1', '5-2', '5-3']]);
  answer = (path) => (path.includes('since') ? Response.json([entry(5, 1)]) : refused(503, 'database-away'));
  expect(await transport.since('clay', 3)).toMatchObject({ ok: false, status: 503 });
});
