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

function installDriver() {
  if (driverLoads()) return;
  const cached = driverCache();
  if (existsSync(cached)) {
    mkdirSync(path.dirname(DRIVER), { recursive: true });
    copyFileSync(cached, DRIVER);
    if (driverLoads()) return;
  }
  console.log('Compiling the database driver; about two minutes, once a machine …');
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

/** From Debian's packages: Chromium and its driver for the browser tests, and the tracer that ends writes half way. */
export function installTestTools() {
  if (['chromium', 'chromedriver', 'strace'].every((name) => existsSync(`/usr/bin/${name}`))) return;
  console.log('Installing Chromium, its driver and strace …');
  const asRoot = process.getuid?.() === 0 ? [] : ['sudo'];
  const apt = (...args) => {
    const [command, ...rest] = [...asRoot, 'apt-get', ...args];
    run(command, rest, { DEBIAN_FRONTEND: 'noninteractive' });
  };
  apt('update', '-qq');
  apt('install', '-y', '-qq', '--no-install-recommends', 'chromium', 'chromium-driver', 'strace');
}
