import { spawnSync } from 'node:child_process';

function follow(program: string, args: readonly string[], home: string) {
  // Without the options of the test runner.
  const env = { ...process.env, NODE_OPTIONS: '', YS_HOME: home };
  const { status, stdout, stderr } = spawnSync(process.execPath, [program, ...args], {
    encoding: 'utf8',
    env,
    maxBuffer: 1 << 28,
  });
  return { status, stdout, stderr, json: () => JSON.parse(stdout) as unknown };
}

/** Runs the command line as a person would, without the package manager. */
export const ys = (...args: readonly string[]) => follow('scripts/ys.mjs', args, process.cwd());

/** Runs the bundle as it lies in another folder. */
export const ysIn = (home: string, ...args: readonly string[]) => follow('dist/ys.mjs', args, home);
