// Everything that has to hold before a change lands. Ends with “N passed, N failed”.
import { spawnSync } from 'node:child_process';
import { mkdirSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { buildApplication, installPackages, installPrograms, root } from './setup.mjs';

let passed = 0;
let failed = 0;

const started = Date.now();
const seconds = () => `${Math.round((Date.now() - started) / 1000)} s`;

function step(name, command, args, env = {}) {
  console.log(`\n── ${name} (${seconds()})`);
  const { status } = spawnSync(command, args, {
    cwd: root,
    stdio: ['ignore', 'inherit', 'inherit'],
    env: { ...process.env, ...env },
  });
  return status === 0;
}

function check(name, command, args) {
  if (step(name, command, args)) passed += 1;
  else {
    failed += 1;
    console.log(`✕ ${name}`);
  }
}

/** Counts what a runner reports in JSON; a runner that reports nothing has failed. */
function counted(name, report, command, args, env, read) {
  const path = join(root, 'test-results', report);
  rmSync(path, { force: true });
  const isFine = step(name, command, args, env);
  try {
    const [good, bad] = read(JSON.parse(readFileSync(path, 'utf8')));
    passed += good;
    failed += bad;
    if (!isFine && bad === 0) failed += 1;
  } catch {
    failed += 1;
    console.log(`✕ ${name} reported nothing`);
  }
}

mkdirSync(join(root, 'test-results'), { recursive: true });
installPackages();
installPrograms();

// Building first: it also writes the type declarations that the type check reads.
await buildApplication();
passed += 1;

check('formatting', 'npx', ['prettier', '--check', '--log-level', 'warn', '.']);
check('lint', 'npx', ['eslint', '--max-warnings', '0', '.']);
check('types', 'npx', ['tsc', '--noEmit']);
check('dependency rules', 'npx', ['depcruise', 'src', '--config', '.dependency-cruiser.cjs']);

counted(
  'unit tests',
  'jest.json',
  'npx',
  ['jest', '--json', '--outputFile=test-results/jest.json'],
  { NODE_OPTIONS: '--experimental-vm-modules --no-warnings' },
  (report) => [report.numPassedTests, report.numFailedTests + report.numRuntimeErrorTestSuites],
);
counted(
  'browser tests',
  'playwright.json',
  'npx',
  ['playwright', 'test'],
  { PLAYWRIGHT_JSON_OUTPUT_NAME: 'test-results/playwright.json' },
  ({ stats }) => [stats.expected, stats.unexpected + stats.flaky],
);

console.log(`\nTook ${seconds()}.`);
console.log(`${passed} passed, ${failed} failed`);
process.exit(failed > 0 ? 1 : 0);
