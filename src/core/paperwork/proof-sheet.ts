import type { Job, PictureAsset } from '../job';
import { FIGURES, HEIGHT, MARGIN, SheetOf, WIDTH } from './sheet';

/** One side of a piece on a page of its proof. */
export interface ProofSheet {
  /** What the job is called, and for whom. */
  readonly name: string;
  readonly client: string;
  /** What the side is called, and its number among how many. */
  readonly side: string;
  readonly page: string;
  /** The state of the job that is shown. */
  readonly version: string;
  readonly day: string;
  /** The figures that matter, each with its name. */
  readonly figures: readonly (readonly [name: string, value: string])[];
  readonly picture: { readonly sha: string; readonly asset: PictureAsset };
  readonly language: string;
}

const CHOICES = ['approved as shown', 'approved with the changes noted', 'changes wanted, another proof please'];
const [TOP, FOOT, ROW] = [42, 58, 5.6] as const;

/** A side for the client: with a watermark, its version and day, its figures, and boxes to tick. */
export function proofSheet(facts: ProofSheet, number: number): Job {
  const { name, client, side, page, version, day, figures, picture, language } = facts;
  const wide = WIDTH - 2 * MARGIN;
  const box = { x: MARGIN, y: TOP, width: wide, height: HEIGHT - TOP - FOOT - MARGIN - figures.length * 0.5 };
  const foot = HEIGHT - MARGIN - FOOT;
  const half = wide / 2;
  const sheet = new SheetOf(number)
    .words(name, { x: MARGIN, y: MARGIN - 4, width: wide - 50, height: 9 }, { sizePt: 16, weight: 700 })
    .words(client, { x: MARGIN, y: MARGIN + 5, width: wide - 50, height: 6 }, { isSoft: true })
    .words(`${side} · ${page}`, { x: MARGIN, y: MARGIN + 12, width: wide - 50, height: 6 }, { weight: 600 })
    .words(version, { x: WIDTH - MARGIN - 50, y: MARGIN - 3, width: 50, height: 6 }, { weight: 600, align: 'right' })
    .words(day, { x: WIDTH - MARGIN - 50, y: MARGIN + 5, width: 50, height: 6 }, { isSoft: true, align: 'right' })
    .picture(picture.sha, picture.asset, box)
    .watermark('PROOF', box)
    .rule(MARGIN, foot, wide, 1);
  figures.forEach(([title, value], i) => {
    const y = foot + 4 + i * ROW;
    sheet
      .words(title, { x: MARGIN, y, width: 32, height: ROW }, { sizePt: 9, isSoft: true })
      .words(value, { x: MARGIN + 32, y, width: half - 36, height: ROW }, { sizePt: 9, family: FIGURES });
  });
  CHOICES.forEach((choice, i) => {
    const y = foot + 4 + i * 8;
    sheet.tick(MARGIN + half, y).words(choice, { x: MARGIN + half + 7, y: y - 0.4, width: half - 7, height: 6 });
  });
  sheet
    .rule(MARGIN + half, foot + 44, half, 0.5)
    .words(
      'name, date, signature',
      { x: MARGIN + half, y: foot + 45, width: half, height: 5 },
      { sizePt: 8, isSoft: true },
    )
    .words(
      'Colours on a screen or a desk printer are near, not those of the press.',
      {
        x: MARGIN,
        y: HEIGHT - MARGIN - 3,
        width: wide,
        height: 5,
      },
      { sizePt: 8, isSoft: true },
    );
  return sheet.job('proof', `${name}, proof`.slice(0, 120), language);
}
