/**
 * The rooms and the arrows between them: a room may know those before it in its list and none after
 * it. `docs/architecture.md` has the picture.
 */
const CORE = [
  'units',
  'statistics',
  'setup',
  'body',
  'club',
  'turn',
  'method',
  'path',
  'reading',
  'advice',
  'trial',
  'ladder',
  'balance',
  'formats',
  'phrases',
  'card',
  'photo',
];
const APP = ['domain', 'workers', 'ui', 'plan', 'state', 'cards', 'features', 'app'];
const SERVER = ['config', 'store', 'recompute', 'transfer', 'accounts', 'devices', 'demo', 'http'];

/** Tests stand beside what they test and may know helpers of the whole workspace. */
const TESTS = '\\.(test|spec)\\.tsx?$|^(core|server|app)/test/';

const onlyDown = (workspace, rooms) =>
  rooms.slice(0, -1).map((room, at) => ({
    name: `${workspace}-${room}-knows-what-is-below-it`,
    severity: 'error',
    comment: `${workspace}/${room} may import only ${rooms.slice(0, at).join(', ') || 'libraries'}.`,
    from: { path: `^${workspace}/${room}/`, pathNot: TESTS },
    to: { path: `^${workspace}/(${rooms.slice(at + 1).join('|')})/` },
  }));

const never = (name, comment, from, to, fromNot = TESTS) => ({
  name,
  comment,
  severity: 'error',
  from: { path: from, pathNot: fromNot },
  to: { path: to },
});

/** Rooms are listed here or they are nowhere. */
const onlyRooms = (workspace, rooms) => ({
  name: `${workspace}-has-only-these-rooms`,
  severity: 'error',
  comment: `A new room of ${workspace} goes into the list of .dependency-cruiser.cjs, in its place.`,
  from: {},
  to: {
    path: `^${workspace}/[^/]+/`,
    pathNot: [`^${workspace}/(${rooms.join('|')})/`, TESTS, 'node_modules'],
  },
});

module.exports = {
  forbidden: [
    {
      name: 'no-circles',
      comment: 'Two modules that import each other are one module, or one of them knows too much.',
      severity: 'error',
      from: {},
      to: { circular: true },
    },
    ...onlyDown('core', CORE),
    ...onlyDown('app', APP),
    ...onlyDown('server', SERVER),
    onlyRooms('core', CORE),
    onlyRooms('app', APP),
    onlyRooms('server', SERVER),
    {
      name: 'features-do-not-know-each-other',
      comment: 'What two features share is a card, a piece of state or part of the domain.',
      severity: 'error',
      from: { path: '^app/features/([^/]+)/', pathNot: TESTS },
      to: { path: '^app/features/[^/]+/', pathNot: '^app/features/$1/' },
    },
    never(
      'core-is-pure',
      'core imports nothing but itself and maths libraries.',
      '^core/',
      '^(contract|server|app|e2e)/|^node:|node_modules/(react|react-native|express|pg|zod|zustand)/',
    ),
    { ...never('core-has-no-node', 'core runs anywhere.', '^core/', ''), to: { dependencyTypes: ['core'] } },
    never('contract-knows-core', 'contract knows core and Zod.', '^contract/', '^(server|app|e2e)/'),
    never(
      'card-knows-core-and-contract',
      'the card’s page knows core and contract, nothing of the app or the server.',
      '^card/',
      '^(server|app|e2e)/',
    ),
    never('server-knows-no-app', 'the server knows nothing of the app.', '^server/', '^(app|e2e)/'),
    never('app-knows-no-server', 'the app knows the contract, not the server.', '^app/', '^(server|e2e)/'),
    never(
      'domain-is-pure',
      'domain is plain functions: no interface, no storage.',
      '^app/domain/',
      'node_modules/(react|react-native|zustand|idb)/',
    ),
    never(
      'devices-have-their-own-equations',
      'What is simulated may not share the model it is tested against.',
      '^server/devices/',
      '^core/(?!setup/|units/)',
    ),
    {
      name: 'no-orphans',
      comment: 'A file that nobody imports is not needed.',
      severity: 'error',
      from: {
        orphan: true,
        pathNot: [TESTS, '\\.d\\.ts$', '\\.config\\.', '^app/app/', '^server/main\\.ts$', '^bench/'],
      },
      to: {},
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: 'dist/|\\.expo/' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.base.json' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'require', 'node', 'default'],
    },
  },
};
