// Everything that has to hold before a change lands, or with --changed what the change can touch. Ends with “N passed,
// N failed”.
import { spawn, spawnSync } from 'node:child_process';
import { mkdirSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { changedFiles, testsTouching } from './changed.mjs';
import { buildApplication, installPackages, installPrograms, root } from './setup.mjs';

let passed = 0;
let failed = 0;
/** By name, said again at the end: what a runner printed of it is far above by then. */
const failures = [];
/** How long each file of unit tests and each browser test took, ms. */
const times = [];

const started = Date.now();
const seconds = () => `${Math.round((Date.now() - started) / 1000)} s`;

/** How many of the slowest tests are named. */
const SLOWEST = 20;

/** For what hangs, not for what is slow. */
const HOUR = 3_600_000;

function step(name, command, args, env = {}) {
  console.log(`\n── ${name} (${seconds()})`);
  const { status } = spawnSync(command, args, {
    cwd: root,
    stdio: ['ignore', 'inherit', 'inherit'],
    env: { ...process.env, ...env },
    timeout: HOUR,
  });
  return status === 0;
}

/** What reads the whole code makes so much that is soon gone that collecting it took a fifth of the time. */
const LARGE_NURSERY = { ...process.env, NODE_OPTIONS: '--max-semi-space-size=128' };

/** Checks that do not disturb each other, side by side; each says what it has to say when it is done. */
async function together(checks) {
  console.log(`\n── ${checks.map(([name]) => name).join(', ')} (${seconds()})`);
  await Promise.all(
    checks.map(
      ([name, command, args]) =>
        new Promise((resolve) => {
          const child = spawn(command, args, { cwd: root, stdio: ['ignore', 'pipe', 'pipe'], env: LARGE_NURSERY });
          let said = '';
          child.stdout.on('data', (data) => (said += data));
          child.stderr.on('data', (data) => (said += data));
          child.on('close', (status) => {
            if (status === 0) passed += 1;
            else {
              failed += 1;
              failures.push(name);
              console.log(`${said}\n✕ ${name}`);
            }
            resolve();
          });
        }),
    ),
  );
}

/** Counts what a runner reports in JSON, and names what failed; a runner that reports nothing has failed. */
function counted(name, report, command, args, env, read) {
  const path = join(root, 'test-results', report);
  rmSync(path, { force: true });
  const isFine = step(name, command, args, env);
  try {
    const { good, bad, took } = read(JSON.parse(readFileSync(path, 'utf8')));
    passed += good;
    times.push(...took);
    failed += bad.length;
    failures.push(...bad);
    if (isFine || bad.length > 0) return;
    failed += 1;
    failures.push(`${name} ended badly`);
  } catch {
    failed += 1;
    failures.push(`${name} reported nothing`);
  }
}

const specsOf = (suite) => [...suite.specs, ...(suite.suites ?? []).flatMap(specsOf)];

mkdirSync(join(root, 'test-results'), { recursive: true });
installPackages();
installPrograms();

// Building first: it also writes the type declarations that the type check reads.
await buildApplication();
passed += 1;

/** With --changed, the files that differ from the shared branch and the tests that reach them; else everything. */
const changed = process.argv.includes('--changed') ? changedFiles(root) : undefined;
const touched = changed && testsTouching(root, changed);
if (changed?.length === 0) {
  console.log('\nNothing differs from the shared branch.\n0 passed, 0 failed');
  process.exit(0);
}
if (touched)
  console.log(
    `\n── ${changed.length} files changed: ${touched.unit.length} files of unit tests and ` +
      `${touched.browser.length} of browser tests reach them. The others are run by npm test.`,
  );

await together([
  ['formatting', 'npx', ['prettier', '--check', '--log-level', 'warn', '--ignore-unknown', ...(changed ?? ['.'])]],
  // What a change breaks may lie in files that it does not touch: types are seen from everywhere.
  ['lint and types', 'npx', ['oxlint', '--deny-warnings', '.']],
  ['dependency rules', 'npx', ['depcruise', 'src', '--config', '.dependency-cruiser.cjs']],
  // The same types again, read by the compiler that the editor has, with those that the build writes for the routes.
  ...(process.env['YS_ALL'] === undefined ? [] : [['types of the routes', 'npx', ['tsc', '--noEmit']]]),
]);

/** Runs a runner on everything, or on the files that are named; on none, where there are none. */
function countedOn(files, ...rest) {
  const [name, report, command, args, env, read] = rest;
  if (files?.length !== 0) counted(name, report, command, [...args, ...(files ?? [])], env, read);
}

countedOn(
  touched?.unit,
  'unit tests',
  'jest.json',
  'npx',
  ['jest', '--json', '--outputFile=test-results/jest.json', ...(touched ? ['--runTestsByPath'] : [])],
  { NODE_OPTIONS: '--import=./scripts/test-modules.mjs --no-warnings' },
  (report) => ({
    good: report.numPassedTests,
    bad: report.testResults.flatMap(({ name, status, assertionResults }) => {
      const bad = assertionResults.filter((a) => a.status === 'failed').map((a) => `${name}: ${a.fullName}`);
      return status === 'failed' && bad.length === 0 ? [name] : bad;
    }),
    took: report.testResults.map(({ name, startTime, endTime }) => ({ name, ms: endTime - startTime })),
  }),
);
countedOn(
  touched?.browser,
  'browser tests',
  'playwright.json',
  'npx',
  ['playwright', 'test'],
  { PLAYWRIGHT_JSON_OUTPUT_NAME: 'test-results/playwright.json' },
  ({ stats, suites }) => ({
    good: stats.expected,
    bad: suites
      .flatMap(specsOf)
      .filter((spec) => !spec.ok || spec.tests.some((t) => t.status === 'flaky'))
      .map(({ file, title }) => `${file}: ${title}`),
    took: suites.flatMap(specsOf).map(({ file, title, tests }) => ({
      name: `${file}: ${title}`,
      ms: tests.flatMap((t) => t.results).reduce((sum, { duration }) => sum + duration, 0),
    })),
  }),
);

console.log('\n── the slowest');
for (const { name, ms } of times.sort((a, b) => b.ms - a.ms).slice(0, SLOWEST))
  console.log(`${(ms / 1000).toFixed(1).padStart(7)} s  ${name.replace(`${root}/`, '')}`);

for (const name of failures) console.log(`✕ ${name.replace(`${root}/`, '')}`);
console.log(`\nTook ${seconds()}.`);
console.log(`${passed} passed, ${failed} failed`);
process.exit(failed > 0 ? 1 : 0);
