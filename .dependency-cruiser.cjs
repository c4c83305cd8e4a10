/** The direction of the house; see docs/architecture.md. Type-only imports count. */
const concept = (name) => `^src/core/${name}/`;
/** Concepts of the core by level; each may use only those of lower levels (and interchange's formats each other's doors). */
const LEVELS = [
  ['units'],
  ['document', 'breath', 'speech', 'signal', 'meaning'],
  ['words', 'voice'],
  ['movement'],
  ['plan'],
  ['pacing', 'timeline', 'plain-script'],
  ['script', 'interchange', 'conductor', 'practice'],
  ['checks', 'live'],
  ['align'],
  ['reading'],
  ['report'],
  ['learn', 'cuts'],
  ['publish'],
];

const levelRules = LEVELS.flatMap((names, level) =>
  names.map((name) => ({
    name: `core-${name}-only-looks-down`,
    severity: 'error',
    from: { path: concept(name), pathNot: '\\.test\\.ts$' },
    to: {
      path: '^src/core/',
      pathNot: [concept(name), ...LEVELS.slice(0, level).flat().map(concept)],
    },
  })),
);

/** Rooms of the plain script, from a word to a class; each may use only those before it. */
const SCRIPT_ROOMS = ['model', 'tidy-form', 'tokens', 'phrases', 'line-kinds', 'layout', 'lines', 'speech', 'builder'];
const scriptRules = SCRIPT_ROOMS.map((name, level) => ({
  name: `plain-script-${name}-only-looks-down`,
  severity: 'error',
  from: { path: `^src/core/plain-script/${name}/`, pathNot: '\\.test\\.ts$' },
  to: {
    path: '^src/core/plain-script/',
    pathNot: SCRIPT_ROOMS.slice(0, level + 1).map((room) => `^src/core/plain-script/${room}/`),
  },
}));

/** Every arrow between the rooms beside the core, which each may ask; what is not listed here is forbidden. */
const ARROWS = {
  api: [],
  messages: [],
  templates: [],
  files: [],
  sound: [],
  editing: ['api'],
  workers: ['files', 'sound'],
  'service-worker': [],
  ui: ['api', 'messages'],
  islands: ['api', 'editing', 'files', 'messages', 'service-worker', 'ui', 'workers'],
  db: ['api'],
  server: ['api', 'db', 'messages', 'templates'],
  demo: ['db', 'templates'],
  pages: ['api', 'db', 'islands', 'server', 'ui'],
};

const roomRules = Object.entries(ARROWS).map(([room, asks]) => ({
  name: `${room}-asks-only-${['core', ...asks].join('-')}`,
  severity: 'error',
  from: { path: `^src/${room}/`, pathNot: '\\.test\\.ts$' },
  to: { path: '^src/[^/]+/', pathNot: `^src/(core|${[room, ...asks].join('|')})/` },
}));

module.exports = {
  forbidden: [
    { name: 'no-cycles', severity: 'error', from: {}, to: { circular: true } },
    ...levelRules,
    ...scriptRules,
    {
      name: 'core-concepts-by-their-door',
      comment: 'Another concept is imported through its index.ts.',
      severity: 'error',
      from: { path: '^src/core/([^/]+)/', pathNot: '\\.test\\.ts$' },
      to: { path: '^src/core/', pathNot: ['^src/core/$1/', '^src/core/[^/]+/index\\.ts$'] },
    },
    {
      name: 'others-by-the-core-door',
      severity: 'error',
      from: { path: '^src/(?!core/)' },
      to: { path: '^src/core/', pathNot: '^src/core/[^/]+/index\\.ts$' },
    },
    {
      name: 'core-is-pure',
      severity: 'error',
      from: { path: '^src/core/', pathNot: '\\.test\\.ts$' },
      to: { path: '^src/(?!core/)|^node:' },
    },
    {
      name: 'core-uses-few-packages',
      severity: 'error',
      from: { path: '^src/core/', pathNot: '\\.test\\.ts$' },
      to: {
        dependencyTypes: ['npm', 'npm-dev'],
        path: 'node_modules',
        pathNot: 'node_modules/(yup|fft\\.js|papaparse|stemmer)/',
      },
    },
    ...roomRules,
    {
      name: 'no-orphans-in-production-of-tests',
      severity: 'error',
      from: { path: '^src/', pathNot: '\\.test\\.ts$' },
      to: { path: '^tests/' },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.json' },
    enhancedResolveOptions: { exportsFields: ['exports'], conditionNames: ['import', 'default', 'types'] },
  },
};
