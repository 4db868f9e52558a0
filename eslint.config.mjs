import markdown from '@eslint/markdown';
import next from 'eslint-config-next/core-web-vitals';
import typescript from 'eslint-config-next/typescript';
import prettier from 'eslint-config-prettier';
import plainWords from './lint/plain-words.mjs';

/** Rooms that a subject may enter, by their doors; see docs/architecture.md. */
const ground = ['kit', 'workshop/settings', 'workshop/records'];
const SUBJECTS = {
  kit: [],
  'workshop/settings': ['kit'],
  'workshop/records': ['kit'],
  'resin/shelf': ground,
  signature: [...ground, 'resin/shelf'],
  'measure/calipers': ground,
  'job/jobs': [...ground, 'resin/shelf', 'signature', 'measure/calipers'],
  'resin/choice': [...ground, 'resin/shelf', 'signature', 'job/jobs'],
  simulated: [...ground, 'resin/shelf', 'signature', 'job/jobs'],
  'fit/gauges': [...ground, 'signature', 'job/jobs', 'simulated'],
  'fit/mating': [...ground, 'resin/shelf', 'signature', 'job/jobs', 'fit/gauges'],
  'job/sheets': [...ground, 'measure/calipers', 'job/jobs'],
  'job/need': [...ground, 'resin/shelf', 'signature', 'job/jobs', 'resin/choice'],
  part: [...ground, 'resin/shelf', 'signature', 'job/jobs', 'fit/gauges', 'fit/mating'],
  'print/plate': [
    ...ground,
    'resin/shelf',
    'signature',
    'job/jobs',
    'fit/gauges',
    'fit/mating',
    'part',
    'simulated',
  ],
  'print/postprocess': [
    ...ground,
    'resin/shelf',
    'signature',
    'job/jobs',
    'fit/gauges',
    'fit/mating',
    'part',
    'print/plate',
    'simulated',
  ],
  'print/day': [...ground, 'resin/shelf', 'job/jobs', 'print/plate'],
  exposure: [...ground, 'resin/shelf', 'signature', 'job/jobs', 'simulated'],
  log: [...ground, 'resin/shelf', 'signature', 'job/jobs', 'part', 'print/plate', 'simulated'],
  'measure/readings': [...ground, 'signature', 'measure/calipers', 'job/jobs', 'fit/gauges'],
  'job/correct': [...ground, 'signature', 'job/jobs', 'fit/gauges', 'fit/mating', 'exposure'],
  'job/overview': [
    ...ground,
    'resin/shelf',
    'signature',
    'job/jobs',
    'resin/choice',
    'fit/gauges',
    'fit/mating',
    'job/sheets',
    'job/need',
    'part',
    'measure/readings',
    'job/correct',
    'print/plate',
    'print/postprocess',
    'log',
  ],
};

/** The same between the areas of the core. */
const CORE = {
  kit: [],
  'kit/numerics': ['kit'],
  'kit/wording': [],
  measure: ['kit/numerics'],
  signature: ['kit/numerics', 'measure'],
  print: ['kit/numerics'],
  'print/checklist': ['workshop', 'log'],
  'part/mesh': ['measure'],
  'part/layers': ['part/mesh'],
  'part/findings': ['measure', 'part/mesh', 'part/layers', 'print', 'log'],
  'fit/mating': ['kit/numerics', 'measure', 'signature'],
  'fit/solids': ['part/mesh'],
  'fit/gauges': ['kit/numerics', 'measure', 'signature', 'fit/mating', 'fit/solids', 'part/mesh', 'print'],
  exposure: ['kit/numerics', 'measure', 'signature', 'fit/mating'],
  workshop: [],
  resin: ['kit/numerics', 'measure', 'workshop', 'fit/mating', 'print', 'job/need'],
  'job/need': [],
  'job/sheets': ['measure', 'signature', 'fit/mating', 'fit/solids', 'part/mesh'],
  log: ['kit/numerics', 'workshop'],
  simulated: ['kit/numerics', 'measure', 'signature', 'fit/mating', 'resin'],
};

/** Packages that the core may use: file formats and geometry, nothing that knows a screen, a server or a database. */
const CORE_PACKAGES = [
  '@tarikjabiri/dxf',
  'earcut',
  'fflate',
  'manifold-3d',
  'maxrects-packer',
  'meshoptimizer',
  'saxes',
];

const oneOf = (names) => (names.length === 0 ? '(?!)' : `(${names.join('|')})`);
const core = `@/core/${oneOf(Object.keys(CORE))}`;
const room = `@/subjects/${oneOf(Object.keys(SUBJECTS))}`;
const sharedDoor = `${room}/shared`;
const anyDoor = `${room}(/shared)?`;

/** Of the imports that begin so, those named are allowed; all others are refused. Tests stand outside. */
function mayImport(files, allowed, message, also = [], ignores = []) {
  const own = `^@/(?!(${allowed.map((each) => each.replace('@/', '')).join('|') || '(?!)'})$)`;
  return {
    files,
    ignores: ['**/tests/**', ...ignores],
    rules: {
      'no-restricted-imports': [
        'error',
        { patterns: [{ regex: own, message }, ...also.map((regex) => ({ regex, message }))] },
      ],
    },
  };
}

/** Files that lie in the room itself may not climb out of it. */
const CLIMBS = '^\\.\\./';

const subjects = Object.entries(SUBJECTS).flatMap(([room, below]) => {
  const message = `subjects/${room} may import core, store and the doors of: ${below.join(', ') || 'none'}.`;
  const words = [
    `src/subjects/${room}/input*.ts`,
    `src/subjects/${room}/words*.ts`,
    `src/subjects/${room}/shared.ts`,
  ];
  return [
    mayImport(
      [`src/subjects/${room}/*.ts`],
      [core, '@/store', `@/subjects/${oneOf(below)}(/shared)?`],
      message,
      [CLIMBS],
      words,
    ),
    // What the browser and the command line use too may need nothing of the server.
    mayImport(
      words,
      [core, `@/subjects/${oneOf(below)}/shared`],
      `${message} Inputs and words: shared doors only, no store.`,
      [CLIMBS, '^server-only$', '^node:', '^drizzle-orm'],
    ),
  ];
});

/** Areas that lie in the folder of another have arrows of their own. */
const nested = (area) =>
  Object.keys(CORE)
    .filter((each) => each.startsWith(`${area}/`))
    .map((each) => `src/core/${each}/**`);

const areas = Object.entries(CORE).flatMap(([area, below]) => {
  const message = `core/${area} may import ${below.join(', ') || 'nothing'} only, by area.`;
  const ground = area.startsWith('kit') ? [] : ['kit', 'kit/wording'];
  const allowed = [`@/core/${oneOf([...ground, ...below])}`];
  const packages = `^(?!@/|\\.|(${CORE_PACKAGES.join('|')})(/|$))`;
  return [
    mayImport([`src/core/${area}/*.ts`], allowed, message, [packages, CLIMBS]),
    mayImport([`src/core/${area}/*/*.ts`], allowed, message, [packages, '^\\.\\./\\.\\./'], nested(area)),
  ];
});

const layers = [
  mayImport(['src/store/**/*.ts'], [core], 'store may import core only.'),
  mayImport(['src/workers/**/*.ts'], [core], 'workers may import core only.'),
  mayImport(['src/ui/**/*.{ts,tsx}'], [core, '@/workers', sharedDoor], 'ui: core, workers, shared doors.'),
  mayImport(['src/cli/**/*.ts'], [core, sharedDoor], 'cli: core and shared doors.'),
  mayImport(['src/demo/**/*.ts'], [core, '@/store', anyDoor], 'demo: core, store, doors.'),
  mayImport(
    ['src/app/**/*.{ts,tsx}'],
    [core, '@/workers', '@/ui', anyDoor, '@/app/.*'],
    'app: ui, doors, workers, core; never the store.',
  ),
  mayImport(
    ['src/testing/**/*.ts'],
    [core, 'core/signature/(law|observations|scatter-grid|states)', '@/store', anyDoor],
    'testing: core, store, doors.',
  ),
];

const VIEW_WRITES = ['db', 'tx'].map((name) => ({
  selector: `CallExpression[callee.object.name='${name}'][callee.property.name=/^(insert|update|delete|transaction)$/]`,
  message: 'A view reads only; what writes is a verb.',
}));

/** A switch over a code names every code, so that a new one does not compile before it has its place. */
const NO_DEFAULT = {
  selector: 'SwitchCase[test=null]',
  message: 'Name every case: a missing one must not compile.',
};

const lines = (max) => ['error', { max, skipBlankLines: true, skipComments: true }];

/** Formulas and loops over millions of spans whose arguments are the symbols of their source; five plain numbers are clearer there. */
const PUBLISHED = [
  'src/core/fit/mating/joint.ts',
  'src/core/part/layers/*.ts',
  'src/core/part/mesh/weld.ts',
  'src/core/resin/bend.ts',
  'src/core/job/sheets/definition.ts',
  'src/core/job/sheets/kinds/sections.ts',
  'src/core/signature/node.ts',
  'src/core/signature/suspicious.ts',
  'src/core/signature/tries.ts',
];

/** How long and how wide a function and a file may be. */
const budget = [
  {
    files: ['**/*.{ts,tsx}'],
    rules: {
      'max-lines': ['error', { max: 350 }],
      'max-depth': ['error', 3],
      'max-params': ['error', 4],
      'max-lines-per-function': lines(65),
      eqeqeq: 'error',
    },
  },
  { files: ['src/{app,ui}/**/*.tsx'], rules: { 'max-lines-per-function': lines(120) } },
  {
    files: ['**/tests/**', 'e2e/**', 'src/testing/**', 'bench/**'],
    rules: { 'max-lines-per-function': 'off', 'max-lines': ['error', { max: 500 }] },
  },
  { files: PUBLISHED, rules: { 'max-params': ['error', 5] } },
  // A table of data, alone in its file.
  { files: ['src/core/workshop/practice-definitions.ts'], rules: { 'max-lines': 'off' } },
  // Published algorithms, written down whole.
  { files: ['src/core/kit/numerics/normal.ts'], rules: { 'max-depth': 'off' } },
];

const words = { plugins: { words: { rules: { plain: plainWords } } }, rules: { 'words/plain': 'error' } };

/** Texts and comments in code, README and docs contain no phrase of lint/phrases.txt. */
const plain = [
  { files: ['{src,scripts,bench,lint}/**/*.{ts,tsx,mjs}'], ignores: ['**/tests/**'], ...words },
  {
    files: ['README.md', 'docs/*.md'],
    ignores: ['docs/wording.md'],
    language: 'markdown/gfm',
    ...words,
    plugins: { ...words.plugins, markdown },
  },
];

/** Rules for code do not run on Markdown. */
const onCode = (configs) => configs.map((each) => ({ files: ['**/*.{js,mjs,ts,tsx}'], ...each }));

const config = [
  { ignores: ['.next/', 'node_modules/', 'next-env.d.ts', 'data/', 'demo-data/', '.tmp/', 'dist/'] },
  ...onCode([...next, ...typescript, prettier]),
  ...plain,
  ...layers,
  ...subjects,
  ...areas,
  { files: ['src/**/*.{ts,tsx}'], rules: { 'no-restricted-syntax': ['error', NO_DEFAULT] } },
  {
    files: ['src/subjects/**/view-*.ts'],
    rules: { 'no-restricted-syntax': ['error', NO_DEFAULT, ...VIEW_WRITES] },
  },
  {
    files: ['src/core/**/*.ts'],
    ignores: ['**/tests/**'],
    rules: {
      'no-restricted-globals': ['error', 'document', 'window', 'localStorage', 'process', 'Date'],
      'no-restricted-properties': [
        'error',
        { object: 'Math', property: 'random', message: 'Chance comes from a seed.' },
      ],
    },
  },
  ...budget,
];

export default config;
