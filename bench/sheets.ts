import { seededRandom } from '../src/core/chance';
import { bestPattern, gangUp } from '../src/core/impose';
import { imposed } from '../src/core/job';
import { pieceOf } from '../src/core/edit';
import { exportJob } from '../src/output';
import { demoPiece } from '../src/testing/demo';
import { mean, ms, note, once, times } from './report';

/** Pieces on the sheets of the press: laying them out, and writing them. */
export async function sheets(): Promise<void> {
  await patterns();
  gangs();
  await signatures();
}

async function patterns(): Promise<void> {
  const kind = { width: 91, height: 61, value: 1, turns: true };
  for (const [name, room] of [
    ['SRA3', { width: 310, height: 433 }],
    ['720 × 1020', { width: 704, height: 1000 }],
  ] as const) {
    const made = bestPattern(room, [kind], 3);
    note(
      `the best of three stages, cards on ${name}: ${made.value} up`,
      ms(await mean(() => bestPattern(room, [kind], 3))),
    );
  }
}

/** Forty jobs of sizes that are common, in quantities that differ tenfold. */
function gangs(): void {
  const random = seededRandom(40);
  const sizes = [
    [85, 55],
    [105, 148],
    [148, 210],
    [99, 210],
    [60, 160],
    [74, 105],
  ] as const;
  const demands = Array.from({ length: 40 }, () => {
    const [width, height] = sizes[Math.floor(random() * sizes.length)] ?? [85, 55];
    return { width: width + 6, height: height + 6, quantity: 100 * Math.ceil(1 + 9 * random()), turns: true };
  });
  const room = { width: 1004, height: 700 };
  const started = performance.now();
  const gang = gangUp(room, demands, { forms: 4, formCosts: 50 });
  const took = performance.now() - started;
  const said = gang
    ? `${gang.forms.length} forms, ${gang.sheets} sheets; fewer than ${gang.leastSheets} cannot be ` +
      `(+ ${Math.round(100 * (gang.sheets / gang.leastSheets - 1))} %)`
    : 'no gang';
  note(`a gang of 40 pieces: ${said} (wanted: under 5 s)`, ms(took));
}

/** The catalogue of the demo in signatures, beside its plain press file. */
async function signatures(): Promise<void> {
  const { job, assets } = await demoPiece('catalogue', 0.3);
  const at = new Date('2026-05-01T09:00:00Z');
  const made = imposed(job, pieceOf(job));
  if (!made.ok) throw new Error(made.message);
  const plain = await once(() => exportJob({ job, assets, kind: 'press', at }));
  const laid = await once(() => exportJob({ job, assets, kind: 'sheets', at }));
  note(
    `100 pages in ${made.sheets.length} sheets (wanted: under 1.5 × the plain export; floor: that)`,
    ms(laid),
    ms(plain),
    times(laid, plain),
  );
}
