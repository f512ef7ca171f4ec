import { spawnSync } from 'node:child_process';

/** Runs the command line as a person would, without the package manager. */
export function ys(...args: readonly string[]) {
  // Without the options of the test runner.
  const env = { ...process.env, NODE_OPTIONS: '' };
  const { status, stdout, stderr } = spawnSync(process.execPath, ['scripts/ys.mjs', ...args], {
    encoding: 'utf8',
    env,
    maxBuffer: 1 << 28,
  });
  return { status, stdout, stderr, json: () => JSON.parse(stdout) as unknown };
}
