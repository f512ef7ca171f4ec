// What a fresh machine lacks, put there: packages, Debian programs for the tests, fonts and profiles in public/.
import { execFileSync, spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, readFileSync, readdirSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';

export const root = new URL('..', import.meta.url).pathname;

export const run = (command, args, options = {}) =>
  execFileSync(command, args, { cwd: root, stdio: 'inherit', ...options });

function apt(...args) {
  const env = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' };
  const sudo = process.getuid?.() === 0 ? [] : ['sudo', '-E'];
  const [command, ...rest] = [...sudo, 'apt-get', ...args];
  run(command, rest, { env, stdio: ['ignore', 'ignore', 'inherit'] });
}

/** Installs the packages of the lock file, when they are not there or the lock file changed. */
export function installPackages() {
  const lock = createHash('sha256')
    .update(readFileSync(join(root, 'package-lock.json')))
    .digest('hex');
  const note = join(root, 'node_modules', '.yellow-sheet-lock');
  if (existsSync(note) && readFileSync(note, 'utf8') === lock) return;
  console.error('Installing packages (a few minutes the first time) …');
  // With Debian’s SQLite at hand the database driver is linked in seconds; without it, its own copy is compiled.
  const header = '/usr/include/sqlite3.h';
  if (!existsSync(header)) {
    try {
      apt('update', '-qq');
      apt('install', '-y', '-qq', '--no-install-recommends', 'libsqlite3-dev');
    } catch {
      console.error('Debian’s SQLite could not be installed; compiling a copy takes two minutes longer.');
    }
  }
  const env = existsSync(header) ? { ...process.env, npm_config_sqlite: '/usr' } : process.env;
  run('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error'], { env });
  writeFileSync(note, lock);
}

/** Programs the tests compare with, and the Debian package of each. */
const PROGRAMS = {
  chromium: 'chromium',
  gs: 'ghostscript',
  pdfinfo: 'poppler-utils',
  qpdf: 'qpdf',
  mutool: 'mupdf-tools',
  transicc: 'liblcms2-utils',
  paperconf: 'libpaper-utils',
  units: 'units',
};

/** Modules of Debian's own Python that the tests ask, with their packages. */
const MODULES = {
  shapely: 'python3-shapely',
  ezdxf: 'python3-ezdxf',
  reportlab: 'python3-reportlab',
  cairo: 'python3-cairo',
  PIL: 'python3-pil',
  holidays: 'python3-holidays',
  icalendar: 'python3-icalendar',
};
const hasModule = (name) => spawnSync('/usr/bin/python3', ['-c', `import ${name}`]).status === 0;

/** Files the tests compare with, and the Debian package of each. */
const FILES = { '/usr/share/color/icc/FOGRA39L.ti3': 'icc-profiles-free' };

/** Installs the Debian programs that are missing. */
export function installPrograms() {
  const missing = [
    ...Object.entries(PROGRAMS).filter(([name]) => spawnSync('which', [name]).status !== 0),
    ...Object.entries(MODULES).filter(([name]) => !hasModule(name)),
    ...Object.entries(FILES).filter(([path]) => !existsSync(path)),
  ];
  if (missing.length === 0) return;
  const packages = missing.map(([, name]) => name);
  console.error(`Installing ${packages.join(', ')} …`);
  apt('update', '-qq');
  apt('install', '-y', '-qq', '--no-install-recommends', ...packages);
}

const newest = (folder) =>
  Math.max(
    0,
    ...readdirSync(join(root, folder), { withFileTypes: true }).map((entry) => {
      const path = join(folder, entry.name);
      return entry.isDirectory() ? newest(path) : statSync(join(root, path)).mtimeMs;
    }),
  );

const time = (path) => statSync(join(root, path), { throwIfNoEntry: false })?.mtimeMs ?? 0;

/** Builds pages and command line when their sources are newer than what was built. */
export async function buildApplication() {
  run(process.execPath, ['scripts/prepare-public.mjs']);
  const { buildCli } = await import('./build-cli.mjs');
  await buildCli();
  const sources = Math.max(newest('src'), time('next.config.ts'), time('package-lock.json'));
  if (time('.next/BUILD_ID') > sources) return;
  console.error('Building (about a minute) …');
  run('npx', ['next', 'build'], { stdio: ['ignore', 'ignore', 'inherit'] });
}
