import next from 'eslint-config-next/core-web-vitals';
import typescript from 'eslint-config-next/typescript';
import prettier from 'eslint-config-prettier';

/** What each part of src may import from; everything else is refused. See docs/architecture.md. */
const MAY_IMPORT = {
  core: [],
  inputs: ['core'],
  words: ['core', 'inputs'],
  db: ['core'],
  workers: ['core'],
  services: ['core', 'inputs', 'db'],
  demo: ['core', 'db', 'services'],
  cli: ['core', 'inputs', 'words'],
  ui: ['core', 'inputs', 'words', 'workers'],
  app: ['core', 'inputs', 'words', 'workers', 'services', 'ui'],
};

/** The same between the areas of the core. */
const CORE_MAY_IMPORT = {
  numerics: [],
  need: [],
  metrology: ['numerics'],
  signature: ['numerics', 'metrology'],
  mesh: ['metrology'],
  layers: ['mesh'],
  findings: ['mesh', 'layers'],
  solids: ['mesh'],
  fits: ['numerics', 'metrology', 'signature'],
  sheets: ['metrology', 'signature', 'fits', 'solids', 'mesh'],
  gauges: ['numerics', 'metrology', 'signature', 'fits', 'solids', 'mesh'],
  resins: ['numerics', 'fits'],
  virtual: ['numerics', 'metrology', 'signature', 'fits', 'resins'],
};

const OUTSIDE_OF_CORE = [
  'react',
  'react-dom',
  'next',
  'next/*',
  'three',
  'drizzle-orm',
  'better-sqlite3',
  'node:*',
  'zod',
];

function arrows(files, forbidden, message) {
  return {
    files,
    ignores: ['**/tests/**'],
    rules: { 'no-restricted-imports': ['error', { patterns: [{ group: forbidden, message }] }] },
  };
}

const layers = Object.entries(MAY_IMPORT)
  .filter(([layer]) => layer !== 'core')
  .map(([layer, allowed]) => {
    const others = Object.keys(MAY_IMPORT).filter((other) => other !== layer && !allowed.includes(other));
    const forbidden = [...others.flatMap((other) => [`@/${other}`, `@/${other}/**`]), '@/core/*/*'];
    return arrows(
      [`src/${layer}/**/*.{ts,tsx}`],
      forbidden,
      `${layer} may import ${allowed.join(', ')} only, by area.`,
    );
  });

const areas = Object.entries(CORE_MAY_IMPORT).map(([area, allowed]) => {
  const others = Object.keys(CORE_MAY_IMPORT).filter((other) => other !== area && !allowed.includes(other));
  const outside = Object.keys(MAY_IMPORT).filter((layer) => layer !== 'core');
  const forbidden = [
    ...others.flatMap((other) => [`@/core/${other}`, `@/core/${other}/**`, `../${other}`, `../${other}/**`]),
    ...outside.flatMap((layer) => [`@/${layer}`, `@/${layer}/**`]),
    ...OUTSIDE_OF_CORE,
    '@/core/*/*',
  ];
  return arrows(
    [`src/core/${area}/**/*.ts`],
    forbidden,
    `core/${area} may import ${allowed.join(', ') || 'nothing'} only.`,
  );
});

const config = [
  { ignores: ['.next/', 'node_modules/', 'next-env.d.ts', 'data/', 'demo-data/', '.tmp/'] },
  ...next,
  ...typescript,
  prettier,
  ...layers,
  ...areas,
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
  {
    files: ['**/*.{ts,tsx}'],
    ignores: ['src/core/numerics/normal.ts'],
    rules: {
      'max-lines': ['error', { max: 500 }],
      'max-depth': ['error', 3],
      'max-params': ['error', 5],
      eqeqeq: 'error',
    },
  },
];

export default config;
