import { existsSync, mkdirSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { hashOf, isRoot, ROOT, stamp, stamped } from './places.mjs';
import { run } from './run.mjs';
import { Plain, step } from './steps.mjs';

/** npm's packages, as the lock file names them. */
export async function setUpPackages() {
  const hash = hashOf(['package-lock.json', '.npmrc']) + process.version;
  if (stamped('packages', hash) && existsSync(join(ROOT, 'node_modules'))) return;
  rmSync(join(ROOT, '.stamp/packages'), { force: true });
  await step('Fetching packages (a minute or two the first time)', async () => {
    await run('npm', ['ci', '--include=dev', '--no-fund', '--no-audit'], { cwd: ROOT, fault: 'The packages could not be fetched' });
    stamp('packages', hash);
  });
}

/** A Debian package, unless what it brings is there already. */
async function setUpDebian(what, found, packages) {
  if (found()) return;
  const names = packages.join(' ');
  if (!isRoot) throw new Plain(`${what} is not on this machine. Install it once, as an administrator: apt-get install ${names}`);
  await step(`Installing ${what} from Debian's packages`, async () => {
    const env = { DEBIAN_FRONTEND: 'noninteractive' };
    const apt = (args) => run('apt-get', ['-o', 'DPkg::Lock::Timeout=300', ...args], { env, fault: `${what} could not be installed` });
    await run('dpkg', ['--configure', '-a'], { env, fault: 'An earlier installation was cut off and cannot be finished' });
    await apt(['update']);
    await apt(['install', '-y', '--no-install-recommends', ...packages]);
    if (!found()) throw new Plain(`${what} was installed, but is not where it is looked for.`);
  });
}

const LIBRARY = '/usr/lib/postgresql';

/** The folder of PostgreSQL's programs, the newest first, or null. */
export function postgresPrograms() {
  if (!existsSync(LIBRARY)) return null;
  const versions = readdirSync(LIBRARY).sort((a, b) => Number(b) - Number(a));
  const found = versions.map((version) => join(LIBRARY, version, 'bin')).find((bin) => existsSync(join(bin, 'initdb')));
  return found ?? null;
}

export async function setUpPostgres() {
  await setUpDebian(
    'PostgreSQL',
    () => {
      if (postgresPrograms() !== null) return true;
      keepFromMakingACluster();
      return false;
    },
    ['postgresql'],
  );
}

/** Debian's package would make and start a cluster of its own; ours is enough. */
function keepFromMakingACluster() {
  if (!isRoot) return;
  mkdirSync('/etc/postgresql-common/createcluster.d', { recursive: true });
  writeFileSync('/etc/postgresql-common/createcluster.d/no-main.conf', 'create_main_cluster = false\n');
}

export const CHROMIUM = '/usr/bin/chromium';

export const setUpChromium = () => setUpDebian('Chromium', () => existsSync(CHROMIUM), ['chromium', 'fonts-liberation']);

/** Reads what was printed: for the tests of paper. */
export const setUpPoppler = () => setUpDebian('a reader of PDF', () => existsSync('/usr/bin/pdftotext'), ['poppler-utils']);

const SERVER_SOURCES = ['package-lock.json', 'tsconfig.base.json', 'tsconfig.build.json', 'packages', 'demo', 'apps/devices', 'apps/server'];
const WEB_SOURCES = ['package-lock.json', 'tsconfig.base.json', 'packages', 'apps/web'];

/** Builds what changed since the last build. */
export async function build() {
  await Promise.all([
    buildPart('server', SERVER_SOURCES, ['apps/server/dist/main.js', 'packages/core/dist/index.js'], () =>
      run('npx', ['tsc', '-b', 'tsconfig.build.json'], { cwd: ROOT, fault: 'The server could not be built' }),
    ),
    buildPart('web', WEB_SOURCES, ['apps/web/dist/index.html'], () =>
      run('npx', ['vite', 'build'], { cwd: join(ROOT, 'apps/web'), fault: 'The web app could not be built' }),
    ),
  ]);
}

async function buildPart(name, sources, results, work) {
  const hash = hashOf(sources);
  if (stamped(`build-${name}`, hash) && results.every((result) => existsSync(join(ROOT, result)))) return;
  rmSync(join(ROOT, `.stamp/build-${name}`), { force: true });
  if (results.some((result) => !existsSync(join(ROOT, result)))) forgetIncremental(name);
  const started = Date.now();
  await work();
  stamp(`build-${name}`, hash);
  console.log(`Building ${name} ... done (${((Date.now() - started) / 1000).toFixed(1)} s)`);
}

/** tsc believes its own notes of what it built: without the results they are wrong. */
function forgetIncremental(name) {
  if (name !== 'server') return;
  for (const part of ['packages/core', 'packages/words', 'packages/api', 'apps/devices', 'demo', 'apps/server'])
    rmSync(join(ROOT, part, 'dist'), { recursive: true, force: true });
}
