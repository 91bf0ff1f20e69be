import { readFileSync } from 'node:fs';

const ARCHITECTURE = readFileSync(new URL('docs/architecture.md', import.meta.url), 'utf8');

/** The order of the rooms in a part of the house, as docs/architecture.md lists it: each imports only those before it. */
function roomsOf(part) {
  const [, list] = new RegExp(`^- ${part}: (.*)$`, 'm').exec(ARCHITECTURE) ?? [];
  if (list === undefined) throw new Error(`docs/architecture.md has no list of the rooms of ${part}.`);
  return list.split(', ').map((room) => room.replace(' (to come)', ''));
}

const ROOMS = { 'packages/core/src': roomsOf('core'), 'apps/web/src': roomsOf('web') };

/** One rule a room: what stands in it does not import from the rooms after it. Tests may. */
const roomRules = Object.entries(ROOMS).flatMap(([source, rooms]) =>
  rooms.slice(0, -1).map((room, index) => ({
    name: `order-of-rooms-${room}`,
    comment: `${room} comes before ${rooms.slice(index + 1).join(', ')}.`,
    severity: 'error',
    from: { path: `^${source}/${room}/`, pathNot: '\\.test\\.tsx?$' },
    to: { path: `^${source}/(${rooms.slice(index + 1).join('|')})/` },
  })),
);

/** Every file of core and web stands in a room of the list, but for the public face, the entry and test helpers. */
const noOtherRooms = Object.entries(ROOMS).map(([source, rooms]) => ({
  name: 'a-room-of-the-list',
  severity: 'error',
  from: { path: `^${source}/`, pathNot: `^${source}/((${rooms.join('|')}|testing)/|[^/]+$)` },
  to: {},
}));

/** The house rule: book <- core <- server and book <- core <- web; no cycles anywhere, types included. */
export default {
  forbidden: [
    ...roomRules,
    ...noOtherRooms,
    { name: 'no-cycles', severity: 'error', from: {}, to: { circular: true } },
    {
      name: 'book-stands-alone',
      severity: 'error',
      from: { path: '^packages/book' },
      to: { path: '^(packages/core|apps)/' },
    },
    { name: 'core-below-apps', severity: 'error', from: { path: '^packages/core' }, to: { path: '^apps/' } },
    { name: 'server-not-web', severity: 'error', from: { path: '^apps/server' }, to: { path: '^apps/web' } },
    { name: 'web-not-server', severity: 'error', from: { path: '^apps/web' }, to: { path: '^apps/server' } },
    {
      name: 'core-is-pure',
      comment: 'No framework and no I/O in core.',
      severity: 'error',
      from: { path: '^packages/core/src', pathNot: '\\.test\\.ts$' },
      to: { dependencyTypes: ['core'] },
    },
    {
      name: 'packages-by-their-face',
      comment: 'Other packages are reached by their index only.',
      severity: 'error',
      from: { path: '^(packages|apps)/([^/]+)/' },
      to: { path: '^packages/[^/]+/(src|dist)/', pathNot: ['^packages/$2/', 'index\\.(ts|js|d\\.ts)$'] },
    },
  ],
  options: {
    tsConfig: { fileName: 'tsconfig.base.json' },
    tsPreCompilationDeps: true,
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '(^|/)dist/' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['nuvar-source', 'import', 'default'],
      extensions: ['.ts', '.tsx', '.js'],
    },
  },
};
