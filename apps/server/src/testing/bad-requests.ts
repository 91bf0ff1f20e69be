import { fieldsOf, KIND_NAMES, newId, type Kind } from '@nuvar/book';
import fc, { type Arbitrary } from 'fast-check';
import type { RawRequest } from './raw-request.js';

/** What of the description of the API is needed to ask for everything in it. */
export interface ApiDescription {
  readonly paths: Readonly<Record<string, Readonly<Record<string, ApiOperation>>>>;
}
interface ApiOperation {
  readonly parameters?: readonly { readonly name: string; readonly in: string }[];
  readonly requestBody?: { readonly content: Readonly<Record<string, { readonly schema: Schema }>> };
}
interface Schema {
  readonly $ref?: string;
  readonly properties?: Readonly<Record<string, unknown>>;
}

/** What the requests may be about. */
export interface Subjects {
  /** Ids that mean something: of books and people, own and foreign ones. */
  readonly ids: readonly string[];
  /** Ids of rows that are there. */
  readonly rowIds: readonly string[];
  /** Cookies of people, and none. */
  readonly cookies: readonly string[];
}

const LONG = 'x'.repeat(150_000);
const deep = (levels: number): unknown => (levels === 0 ? 1 : [deep(levels - 1)]);

/** Texts that programs have stumbled over. */
const TEXTS = [
  '',
  ' ',
  '\0',
  'a\0b',
  '\ud800',
  'a\udc00',
  '__proto__',
  'constructor',
  'hasOwnProperty',
  'toString',
  'ΟΔΟΣ',
  'οδοσ',
  'İ',
  'ﷺ'.repeat(120),
  '💥'.repeat(60),
  '0000-01-01',
  '2026-02-30',
  '9999-12-31',
  '-0',
  '1e9',
  '999999999999999.999999999999',
  "'; DROP TABLE books; --",
  '%',
  '../../etc/passwd',
  '{"a":1}',
  'kg',
  'EUR',
  '2026-03-31',
  '12.50',
];

/** Values where a text, a number or nothing belongs. */
const VALUES: readonly unknown[] = [
  ...TEXTS,
  LONG,
  null,
  true,
  0,
  -1,
  1.5,
  1e308,
  Number.MAX_SAFE_INTEGER,
  2 ** 53,
  [],
  {},
  ['a'],
  { toString: 1 },
  { toString: 'x', valueOf: null },
  { __proto__: null, constructor: { name: 'x' } },
  JSON.parse('{"__proto__":{"admin":true}}') as unknown,
  deep(40),
  deep(3_000),
];

/** Bodies that are no JSON, or not what they say. */
const BYTES: readonly Buffer[] = [
  '',
  '{',
  'null',
  '"text"',
  '[]',
  'NaN',
  '\ufeff{}',
  '['.repeat(100_000),
  '{"a":'.repeat(50_000),
  `[${'[],'.repeat(50_000)}[]]`,
]
  .map((text) => Buffer.from(text))
  .concat([Buffer.from([0xff, 0xfe, 0x7b, 0x7d]), Buffer.from([0x22, 0xc0, 0xaf, 0x22])]);

const KEYS = ['__proto__', 'constructor', 'hasOwnProperty', 'toString', 'id', 'version', 'colour'];

const value = fc.constantFrom(...VALUES);

/** An object with the given keys, most of them, and now and then another. `__proto__` is a key like any other here. */
const objectOf = (entries: Readonly<Record<string, Arbitrary<unknown>>>): Arbitrary<unknown> =>
  fc
    .tuple(fc.record(entries, { requiredKeys: [] }), fc.option(fc.tuple(fc.constantFrom(...KEYS), value), { freq: 8 }))
    .map(([known, strange]) => {
      const made: Record<string, unknown> = { ...known };
      if (strange !== null)
        Object.defineProperty(made, strange[0], { value: strange[1], enumerable: true, configurable: true });
      return made;
    });

function rowOf(kind: Kind, ids: Arbitrary<unknown>): Arbitrary<unknown> {
  const fields = fieldsOf(kind).map(({ name, type }) => {
    const fitting: Readonly<Record<string, Arbitrary<unknown>>> = {
      reference: ids,
      flag: fc.boolean(),
      integer: fc.nat(100),
      decimal: fc.constantFrom('0', '1', '12.50'),
      day: fc.constant('2026-03-31'),
      unit: fc.constantFrom('kg', 'each'),
      currency: fc.constantFrom('EUR', 'USD'),
    };
    return [name, fc.oneof({ weight: 9, arbitrary: fitting[type] ?? fc.constantFrom('a', 'b') }, value)] as const;
  });
  return objectOf({ ...Object.fromEntries(fields), id: ids });
}

function changes({ rowIds }: Subjects): Arbitrary<unknown> {
  const ids = fc.oneof(
    { weight: 6, arbitrary: fc.constantFrom(...rowIds) },
    { weight: 3, arbitrary: fc.nat().map(() => newId()) },
    value,
  );
  const operation = fc.constantFrom(...KIND_NAMES).chain((kind) => {
    const row = rowOf(kind, ids);
    const kinds = fc.oneof({ weight: 12, arbitrary: fc.constant(kind) }, value);
    return fc.oneof(
      objectOf({ action: fc.constant('create'), kind: kinds, row }),
      objectOf({ action: fc.constant('update'), kind: kinds, id: ids, before: row, after: row }),
      objectOf({ action: fc.constant('remove'), kind: kinds, id: ids, version: fc.oneof(fc.constant(1), value) }),
    );
  });
  return objectOf({
    id: fc.oneof({ weight: 9, arbitrary: fc.nat().map(() => newId()) }, value),
    operations: fc.oneof({ weight: 9, arbitrary: fc.array(operation, { maxLength: 4 }) }, value),
    undoes: fc.option(value, { freq: 6, nil: undefined }),
  });
}

function bookFiles(): Arbitrary<unknown> {
  const settings = objectOf({ id: fc.nat().map(() => newId()), name: fc.constant('A book') });
  const rows = fc.constantFrom(...KIND_NAMES).chain((kind) => {
    const row = fc.oneof(
      {
        weight: 6,
        arbitrary: rowOf(
          kind,
          fc.nat().map(() => newId()),
        ),
      },
      value,
    );
    return objectOf({ settings: fc.tuple(settings), [kind]: fc.oneof(fc.array(row, { maxLength: 3 }), value) });
  });
  return objectOf({
    format: fc.oneof({ weight: 9, arbitrary: fc.constant('nuvar-book') }, value),
    version: fc.oneof({ weight: 9, arbitrary: fc.constantFrom(1, 2, 3) }, value),
    rows: fc.oneof({ weight: 9, arbitrary: rows }, value),
  });
}

function bodyOf(operation: ApiOperation, schemas: Readonly<Record<string, Schema>>, subjects: Subjects) {
  const schema = operation.requestBody?.content['application/json']?.schema;
  const name = schema?.$ref?.split('/').at(-1) ?? '';
  const properties = Object.keys((schemas[name] ?? schema)?.properties ?? {});
  const fitting =
    name === 'Change'
      ? changes(subjects)
      : properties.length === 0
        ? bookFiles()
        : objectOf(Object.fromEntries(properties.map((each) => [each, value])));
  const bytes = fitting.map((made) => Buffer.from(JSON.stringify(made)));
  return fc.oneof({ weight: 5, arbitrary: bytes }, fc.constantFrom(...BYTES));
}

const SIGNING_IN = /^\/api\/(session|accounts)/;

/** Text of an address as it is sent: mostly escaped, now and then not. */
const inAddress = (texts: Arbitrary<string>) =>
  fc
    .tuple(texts, fc.integer({ min: 0, max: 9 }))
    .map(([text, raw]) => (raw === 0 && /^[!-~]*$/.test(text) ? text : encodeLoosely(text)));

const encodeLoosely = (text: string) => {
  try {
    return encodeURIComponent(text.slice(0, 4_000));
  } catch {
    return '%ED%A0%80';
  }
};

/** Requests for everything that the API offers, most of them wrong in one way or another. */
export function badRequests(
  description: ApiDescription & { readonly components: { readonly schemas: Readonly<Record<string, Schema>> } },
  subjects: Subjects,
): Arbitrary<RawRequest> {
  const ids = fc.constantFrom(...subjects.ids, ...subjects.ids.map((id) => id.toUpperCase()));
  const inPath = inAddress(fc.oneof({ weight: 6, arbitrary: ids }, fc.constantFrom(...TEXTS, '%E0%A4%A')));
  const inQuery = inAddress(fc.constantFrom(...TEXTS, '7', 'true', 'all', LONG.slice(0, 3_000)));
  const headers = fc.record({
    cookie: fc.constantFrom(...subjects.cookies, 'nuvar.sid=s%3Anothing.nothing'),
    'content-type': fc.oneof(
      { weight: 12, arbitrary: fc.constant('application/json') },
      fc.constantFrom('text/plain', 'application/json; charset=utf-16', 'multipart/form-data', 'nonsense'),
    ),
    'accept-encoding': fc.constantFrom('gzip', 'identity', '*;q=0'),
  });
  const routes = Object.entries(description.paths).flatMap(([path, operations]) =>
    Object.entries(operations)
      // What would take away the ground that the others stand on is tried by name elsewhere.
      .filter(([method]) => !(method === 'delete' && ['/api/session', '/api/books/{id}'].includes(path)))
      .map(([method, operation]) => ({ path, method, operation })),
  );
  return fc.constantFrom(...routes).chain(({ path, method, operation }) => {
    const parameters = (operation.parameters ?? []).filter((each) => each.in === 'query');
    const names = path.match(/\{\w+\}/g) ?? [];
    return fc
      .record({
        filled: fc.tuple(...names.map(() => inPath)),
        asked: fc.tuple(...parameters.map(() => fc.option(inQuery, { freq: 2 }))),
        twice: fc.integer({ min: 0, max: 9 }),
        headers,
        body: operation.requestBody
          ? bodyOf(operation, description.components.schemas, subjects)
          : fc.constant(undefined),
      })
      .map(({ filled, asked, twice, headers: sent, body }) => {
        const query = parameters.flatMap(({ name }, index) => {
          const text = asked[index];
          if (text === null || text === undefined) return [];
          return twice === 0 ? [`${name}=${text}`, `${name}[a]=${text}`, `${name}=1`] : [`${name}=${text}`];
        });
        const address = names.reduce((so, name, index) => so.replace(name, filled[index] ?? ''), path);
        return {
          method: method.toUpperCase(),
          path: query.length === 0 ? address : `${address}?${query.join('&')}`,
          // Whoever signs in leaves the session that the other requests are made in.
          headers: method === 'post' && SIGNING_IN.test(path) ? { ...sent, cookie: '' } : sent,
          body,
        };
      });
  });
}
