// What a change can touch: the files that differ from the branch it goes to, and the tests that reach them.
import { spawnSync } from 'node:child_process';
import { existsSync } from 'node:fs';
import { join } from 'node:path';

const said = (root, command, args) => {
  const { status, stdout } = spawnSync(command, args, { cwd: root, encoding: 'utf8', maxBuffer: 1 << 28 });
  return status === 0 ? stdout : '';
};

const lines = (text) => text.split('\n').filter((line) => line !== '');

/** Files that differ from where the branch left the one that is shared, those not added yet among them. */
export function changedFiles(root) {
  const base = said(root, 'git', ['merge-base', 'HEAD', 'origin/main']).trim() || 'HEAD';
  const changed = [
    ...lines(said(root, 'git', ['diff', '--name-only', base])),
    ...lines(said(root, 'git', ['ls-files', '--others', '--exclude-standard'])),
  ];
  return [...new Set(changed)].filter((file) => existsSync(join(root, file)));
}

/**
 * Of the unit tests, those that import one of these files, directly or through others; of the browser tests, those
 * that changed themselves or whose helpers did: what else of the page they would meet, no import tells.
 */
export function testsTouching(root, files) {
  const source = files.filter((file) => /^(src|e2e)\/.*\.tsx?$/.test(file));
  if (source.length === 0) return { unit: [], browser: [] };
  const exactly = `^(${source.map((file) => file.replaceAll(/[.[\]()+]/g, '\\$&')).join('|')})$`;
  const args = ['depcruise', 'src', 'e2e', '--config', '.dependency-cruiser.cjs', '--reaches', exactly];
  const { stdout } = spawnSync('npx', [...args, '--output-type', 'json'], {
    cwd: root,
    encoding: 'utf8',
    maxBuffer: 1 << 28,
  });
  const reaching = JSON.parse(stdout).modules.map((module) => module.source);
  return {
    unit: reaching.filter((file) => /\.test\.tsx?$/.test(file)),
    browser: reaching.filter((file) => file.endsWith('.e2e.ts') && source.some((s) => s.startsWith('e2e/'))),
  };
}
