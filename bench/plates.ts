import { execFileSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { exportJob, gathered, openDesk, picturesFor, plateItems, plateSource } from '../src/output';
import { plateNames } from '../src/core/drawing';
import { readPlates } from '../src/paint/plates';
import { demoPiece } from '../src/testing/demo';
import { mean, ms, note, once, times } from './report';

const AT = new Date('2026-05-01T09:00:00Z');
/** Pixels to the inch of a screen that shows an A4 side whole. */
const SCREEN = 75;

/** The plates of an A4 side with pictures and shadows; the floor is Ghostscript’s separation of its press file. */
export async function plates(): Promise<void> {
  const { job, assets } = await demoPiece('visitor-folder');
  const desk = await openDesk(job, assets);
  const [side] = desk.sides;
  const [made] = await exportJob({ job, assets, kind: 'press', at: AT });
  if (!side || !made) throw new Error('no side');
  const file = await gathered(made);
  const items = plateItems(desk, side, AT, { marks: false });
  const names = plateNames(items);
  const read = async (ppi: number) => {
    const view = { box: side.surface.boxes.bleed, scale: ppi / 25.4 };
    const picture = await picturesFor(desk, side, items, view.scale);
    return () => readPlates(items, names, view, plateSource(desk, picture));
  };
  const folder = mkdtempSync(join(tmpdir(), 'yellow-sheet-'));
  try {
    writeFileSync(join(folder, 'f.pdf'), file.bytes);
    const separate = (ppi: number) => async () => {
      execFileSync('gs', [
        '-q',
        '-dNOPAUSE',
        '-dBATCH',
        '-dSAFER',
        '-sDEVICE=tiffsep',
        `-r${ppi}`,
        '-dLastPage=1',
        `-sOutputFile=${join(folder, 'p.tif')}`,
        join(folder, 'f.pdf'),
      ]);
      return Promise.resolve();
    };
    const fine = await read(300);
    fine();
    const ours = await mean(fine);
    const theirs = await once(separate(300));
    note(
      'plates of an A4 side with four pictures at 300 ppi, inks of its pictures at hand (wanted: under 1.5 ' +
        's; floor: tiffsep)',
      ms(ours),
      ms(theirs),
      times(ours, theirs),
    );
    const seen = await read(SCREEN);
    seen();
    const view = await mean(seen);
    const coarse = await once(separate(SCREEN));
    note(
      `… as a screen shows them, at ${SCREEN} ppi (wanted: under 100 ms; floor: tiffsep)`,
      ms(view),
      ms(coarse),
      times(view, coarse),
    );
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}
