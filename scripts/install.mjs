/** Brings a fresh machine to where the program can be built: packages, the database driver, a browser when asked. */
import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { copyFileSync, existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { homedir } from 'node:os';
import path from 'node:path';

const STAMP = 'node_modules/.mellow-installed';
const DRIVER = 'node_modules/better-sqlite3/build/Release/better_sqlite3.node';

/** Runs a command with its output shown; throws when it fails. */
export function run(command, args, environment = {}) {
  const { status, error } = spawnSync(command, args, {
    stdio: 'inherit',
    env: { ...process.env, ...environment },
  });
  if (error) throw error;
  if (status !== 0) throw new Error(`${command} ${args.join(' ')} ended with ${status}`);
}

/** Where Node's own headers lie, so that the driver compiles without fetching them. */
function headers() {
  const prefix = path.dirname(path.dirname(process.execPath));
  return existsSync(path.join(prefix, 'include/node/node.h')) ? { npm_config_nodedir: prefix } : {};
}

/** Built drivers are kept a machine, outside the checkout: compiling takes minutes. */
function driverCache() {
  const { version } = JSON.parse(readFileSync('node_modules/better-sqlite3/package.json', 'utf8'));
  const folder = path.join(process.env.XDG_CACHE_HOME ?? path.join(homedir(), '.cache'), 'mellow-caliper');
  const kind = `${process.versions.modules}-${process.platform}-${process.arch}`;
  return path.join(folder, `better-sqlite3-${version}-${kind}.node`);
}

function driverLoads() {
  if (!existsSync(DRIVER)) return false;
  const probe = "new (require('better-sqlite3'))(':memory:').close()";
  return spawnSync(process.execPath, ['-e', probe], { stdio: 'ignore' }).status === 0;
}

/** Whether what the driver is compiled with is there. */
const hasCompiler = () =>
  ['g++', 'make', 'python3'].every(
    (name) => spawnSync(name, ['--version'], { stdio: 'ignore' }).error === undefined,
  );

function installDriver() {
  if (driverLoads()) return;
  const cached = driverCache();
  if (existsSync(cached)) {
    mkdirSync(path.dirname(DRIVER), { recursive: true });
    copyFileSync(cached, DRIVER);
    if (driverLoads()) return;
  }
  if (!hasCompiler())
    end(
      'The database driver must be compiled, and there is no C++ compiler. Install: sudo apt-get install g++ make python3',
    );
  console.log('Compiling the database driver; about two minutes, once per computer …');
  run('npm', ['rebuild', 'better-sqlite3'], {
    ...headers(),
    npm_config_build_from_source: 'true',
    CFLAGS: '-O2',
    CXXFLAGS: '-O2',
  });
  mkdirSync(path.dirname(cached), { recursive: true });
  copyFileSync(DRIVER, cached);
}

/** Installs packages when package-lock.json is not what was installed last. */
export function installPackages() {
  const wanted = createHash('sha256').update(readFileSync('package-lock.json')).digest('hex');
  const installed = existsSync(STAMP) && readFileSync(STAMP, 'utf8') === wanted;
  if (!installed) {
    console.log('Installing packages …');
    run('npm', ['ci', '--ignore-scripts', '--no-audit', '--no-fund', '--loglevel', 'error']);
  }
  installDriver();
  writeFileSync(STAMP, wanted);
}

/** Where each tool of the tests stands, and the Debian package that brings it. */
const TEST_TOOLS = [
  ['/usr/bin/chromium', 'chromium'],
  ['/usr/bin/chromedriver', 'chromium-driver'],
];
/** The tracer that ends writes half way. */
const DEEP_TOOLS = [['/usr/bin/strace', 'strace']];

function end(sentence) {
  console.error(sentence);
  process.exit(1);
}

/**
 * What the tests need beside packages: Chromium and its driver, for the deep ones a tracer too. For root, missing
 * packages are installed; other users get a list of packages to install.
 */
export function installTestTools({ isDeep }) {
  const isRoot = process.getuid?.() === 0;
  if (isDeep && !isRoot)
    end(
      'npm run test:deep mounts a small disk and needs root. Run it as root, or run npm test, which needs none.',
    );
  const tools = isDeep ? [...TEST_TOOLS, ...DEEP_TOOLS] : TEST_TOOLS;
  const missing = tools.filter(([place]) => !existsSync(place)).map(([, name]) => name);
  if (missing.length === 0) return;
  if (!isRoot)
    end(
      `The browser tests need ${missing.join(' and ')}. Install: sudo apt-get install ${missing.join(' ')}`,
    );
  console.log(`Installing ${missing.join(', ')} …`);
  const apt = (...args) => run('apt-get', args, { DEBIAN_FRONTEND: 'noninteractive' });
  apt('update', '-qq');
  apt('install', '-y', '-qq', '--no-install-recommends', ...missing);
}
