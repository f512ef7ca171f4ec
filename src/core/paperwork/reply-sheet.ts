import { counted } from '../measure';
import type { Job, PictureAsset } from '../job';
import { MARGIN, SheetOf, WIDTH } from './sheet';

/** What a print house says of one thing, as it stands on its reply. */
export interface ReplyLine {
  /** How much it weighs, in a word. */
  readonly weight: string;
  readonly title: string;
  readonly found: string;
  readonly wish: string;
  /** On which page and where, in words; empty for the whole file. */
  readonly place: string;
  readonly picture?: { readonly sha: string; readonly asset: PictureAsset } | undefined;
}

export interface ReplySheet {
  readonly house: string;
  readonly file: string;
  readonly answer: string;
  /** Pages and size of the file, in words. */
  readonly facts: string;
  /** The day, as it is written. */
  readonly day: string;
  readonly lines: readonly ReplyLine[];
}

/** A reply is one page: so many remarks have room on it, the others are counted. */
const MOST = 7;
const [TOP, PITCH, PICTURE] = [64, 30, { width: 38, height: 23.75 }] as const;

/** A house’s reply to a file, on one page. */
export function replySheet({ house, file, answer, facts, day, lines }: ReplySheet): Job {
  const wide = WIDTH - 2 * MARGIN;
  const sheet = new SheetOf()
    .words(house, { x: MARGIN, y: MARGIN, width: wide - 40, height: 7 }, { sizePt: 11, weight: 600 })
    .words(day, { x: WIDTH - MARGIN - 40, y: MARGIN, width: 40, height: 7 }, { isSoft: true, align: 'right' })
    .words(answer, { x: MARGIN, y: 30, width: wide, height: 13 }, { sizePt: 26, weight: 700 })
    .words(`${file} · ${facts}`, { x: MARGIN, y: 45, width: wide, height: 7 }, { sizePt: 11 })
    .rule(MARGIN, 56, wide, 1);
  if (lines.length === 0)
    sheet.words('Nothing stands in the way. It goes to press as it is.', { x: MARGIN, y: TOP, width: wide, height: 8 });
  lines.slice(0, MOST).forEach(({ weight, title, found, wish, place, picture }, i) => {
    const y = TOP + i * PITCH;
    const text = picture ? wide - PICTURE.width - 6 : wide;
    sheet
      .words(`${weight} · ${title}`, { x: MARGIN, y, width: text, height: 6 }, { sizePt: 11, weight: 600 })
      .words(found, { x: MARGIN, y: y + 6, width: text, height: 9 })
      .words(
        [place, `Wanted: ${wish}`].filter(Boolean).join(' · '),
        { x: MARGIN, y: y + 15, width: text, height: 9 },
        {
          sizePt: 9,
          isSoft: true,
        },
      );
    if (picture) sheet.picture(picture.sha, picture.asset, { x: WIDTH - MARGIN - PICTURE.width, y, ...PICTURE });
    sheet.rule(MARGIN, y + PITCH - 4, wide, 0.25);
  });
  const more = lines.length - MOST;
  if (more > 0)
    sheet.words(`and ${counted(more, 'further remark')}`, { x: MARGIN, y: TOP + MOST * PITCH, width: wide, height: 7 });
  return sheet.job('reply', `Reply to ${file}`.slice(0, 120), 'en-GB');
}
