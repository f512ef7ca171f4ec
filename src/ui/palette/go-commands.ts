import { inGroup, type Command } from '../open-job/command';
import type { CommandContext, Present } from './context';

/** To a station, a side, another version or format. */
export function goCommands(context: CommandContext, { state }: Present): readonly Command[] {
  const { surfaces } = context.desk.blank;
  const { side, job, go, show } = state;
  const turn = (by: 1 | -1) => {
    const at = surfaces.findIndex((s) => s.name === side);
    const to = surfaces[(at + by + surfaces.length) % surfaces.length];
    if (to) show(to.name);
  };
  const hasSeveral = surfaces.length > 1;
  return inGroup('Go', [
    ...state.stations.map((station, i) => ({
      id: `go-${station.id}`,
      title: station.title,
      keys: [`Alt+${i + 1}`],
      run: () => go(station),
    })),
    ...surfaces.map(({ name }, i) => ({
      id: `show-${name}`,
      title: `Show ${/^(page|month)/.test(name) ? name : `the ${name}`}`,
      keys: SIDE_KEYS[i] ?? [],
      run: () => show(name),
    })),
    { id: 'side-next', title: 'Next side or page', keys: ['PageDown'], enabled: hasSeveral, run: () => turn(1) },
    { id: 'side-previous', title: 'Previous side or page', keys: ['PageUp'], enabled: hasSeveral, run: () => turn(-1) },
    {
      id: 'compare',
      title: 'Compare with the version before',
      keys: ['Shift+V'],
      enabled: job.previous !== null,
      run: context.compare,
    },
    { id: 'beside', title: 'Versions kept beside this job', run: context.lookBeside },
    { id: 'search', title: 'Find and replace in the job', keys: ['Ctrl+F'], run: context.search },
    { id: 'copy-to', title: 'Copy the piece to another format', keys: ['Shift+C'], run: context.copyTo },
    { id: 'palette', title: 'Find a command', keys: ['/', 'Ctrl+K'], run: context.openPalette },
  ]);
}

/** Keys of the first two sides. */
const SIDE_KEYS: readonly (readonly string[])[] = [['F'], ['B']];
