import { setFlagsFromString } from 'node:v8';
import { runInNewContext } from 'node:vm';

let collect: (() => void) | undefined;

/**
 * Collects garbage at once. By itself V8 waits until it needs room, which on a machine with much memory is never: long
 * work would hold what it needed for its beginning until it ends.
 */
export function collectGarbage(): void {
  if (!collect) {
    setFlagsFromString('--expose-gc');
    collect = runInNewContext('gc') as () => void;
  }
  collect();
}
