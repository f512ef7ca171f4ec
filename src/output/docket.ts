import { createHash } from 'node:crypto';
import { finishesOf } from '../core/job';
import { writeDay } from '../core/dates';
import { plateNames } from '../core/drawing';
import { FIGURE_GROUPS } from '../core/figure';
import { formatCount, formatSize } from '../core/measure';
import { docketSheet, type Docket } from '../core/paperwork';
import { STEP_TITLES } from '../core/schedule';
import { FINISH_TITLES, type FinishKind } from '../core/shop';
import { CannotExport } from './cannot-export';
import type { Desk } from './desk';
import type { OutputFile } from './file';
import { fileStem } from './file-name';
import { pagesPdf } from './paperwork';
import { planAt } from './plan-at';
import { valueWords } from './value-words';
import { pngAsset, previewPng } from './preview';

/** Longest side of the picture of the front, px: it is 62 mm on the page. */
const PIXELS = 700;

/** What is done after printing, in the order of the shop, and what can hurt in it (common practice). */
const CAUTIONS: readonly (readonly [FinishKind, caution?: string])[] = [
  ['coating', 'Solvents and lamps: air, gloves and shields, by the rules of the house.'],
  ['score'],
  ['perforation', 'Blades: hands away while it runs.'],
  ['cut', 'A die cutter is for trained people; guards closed.'],
  ['kiss-cut', 'Blades: hands away while it runs.'],
  ['fold', 'Rollers pull: no loose sleeves or hair.'],
  ['glue', 'Hot glue burns: gloves, by the rules of the house.'],
  ['drill', 'A clamp on the pile, hands away from the bit.'],
  ['saddle', 'Wire heads: hands away while it runs.'],
  ['perfect', 'Hot glue and a milling cutter: guards closed.'],
  ['wire'],
  ['trim', 'A guillotine is for trained people: clamp, guards, both hands on the machine.'],
];

/** What a docket is printed for. */
export interface DocketFor {
  readonly at: Date;
  /** The number under which this state was saved, where it was. */
  readonly revision: number | undefined;
  /** It leaves the shop: what was noted for ourselves stays here. */
  readonly isForHouse?: boolean;
}

/** The docket of a job: pages for its bag. */
export async function docketFile(desk: Desk, wanted: DocketFor): Promise<OutputFile> {
  const { at } = wanted;
  const { job, sides } = desk;
  const [front] = sides;
  if (!front) throw new CannotExport('The job has no side. Begin one under Size.');
  const png = await previewPng(desk, front, PIXELS);
  const sha = createHash('sha256').update(png).digest('hex');
  const pages = docketSheet({ ...docketOf(desk, wanted), picture: { sha, asset: pngAsset(png) } });
  return {
    name: `${fileStem(job.name)}-docket.pdf`,
    type: 'application/pdf',
    bytes: await pagesPdf(pages, at, new Map([[sha, png]])),
  };
}

/** What a docket says, its picture left out. */
export function docketOf({ job, sides }: Desk, { at, revision, isForHouse = false }: DocketFor): Docket {
  const plan = planAt(job, at);
  const blanks = new Map(sides.map(({ piece, blank }) => [piece, blank] as const));
  const [blank] = blanks.values();
  const inks = new Set(sides.flatMap(({ drawing }) => plateNames(drawing.frames.flatMap(({ items }) => items))));
  const finishes = finishesOf(job);
  const { stock, house, quantity, due } = job;
  return {
    name: job.name,
    client: job.client,
    language: job.language,
    day: at.toISOString().slice(0, 10),
    state: revision === undefined ? '' : `state ${revision}`,
    picture: undefined,
    facts: [
      ['Copies', quantity === null ? 'not decided yet' : formatCount(quantity)],
      ['Finished', blank ? formatSize(blank.finished, job.unit) : ''],
      ['Sides', String(sides.length)],
      ['Inks', [...inks].join(', ')],
      ['Paper', [stock.name || stock.kind, stock.grammage === null ? '' : `${stock.grammage} g/m²`].join(' ').trim()],
      ['Printer', house.name || 'not chosen yet'],
      ['Due', due ?? 'not decided yet'],
    ],
    steps: (plan?.steps ?? []).map(({ id, to, why, state }) => ({
      title: STEP_TITLES[id],
      ends: writeDay(to),
      words: why,
      isDone: state === 'done',
    })),
    finishing: CAUTIONS.filter(([kind]) => finishes.has(kind)).map(([kind, caution]) => ({
      what: FINISH_TITLES[kind],
      caution,
    })),
    figures: [...blanks].flatMap(([, { figures }]) =>
      FIGURE_GROUPS.flatMap((group) =>
        figures
          .filter((figure) => figure.group === group)
          .map(({ name, value, unit }): readonly [string, string] => [
            name,
            `${valueWords(value, 2)} ${unit === 'count' ? '' : unit}`.trim(),
          ]),
      ),
    ),
    notes: isForHouse ? '' : job.notes.slice(0, 400),
    code: `yellow-sheet:${job.id}${revision === undefined ? '' : `@${revision}`}`,
  };
}
