import { itemsOf, leavesOf, type Item } from '../core/drawing';
import { elementsOf } from '../core/job';
import { nameOf } from '../core/element';
import { counted } from '../core/measure';
import { userUnitFor, writePdf } from '../paint/pdf';
import { CannotExport } from './cannot-export';
import type { Desk } from './desk';
import type { OutputFile, Progress } from './file';
import { fileStem } from './file-name';
import { pressPage, pressPictures, pressRequest } from './press-page';

/** Reasons that are told at once. */
const TOLD = 8;

/**
 * The press file for houses that ask for PDF/X-1a: nothing in it is mixed, and nothing is asked of the house that
 * PDF 1.4 does not know.
 * @throws CannotExport with what would have to be mixed, element by element
 */
export async function flatFile(desk: Desk, at: Date, progress: Progress): Promise<OutputFile> {
  const { document } = desk;
  if (document.records)
    throw new CannotExport(
      'Copies that differ are made as PDF/X-4 alone. Ask the house for that, or take the records off.',
    );
  const pages = desk.sides.map((side) => pressPage(desk, side, at));
  if (pages.some(({ sheet }) => userUnitFor(sheet) > 1))
    throw new CannotExport('A sheet of more than 5 m cannot be in PDF/X-1a. Make the press PDF (PDF/X-4).');
  const shelf = pressPictures(desk);
  await shelf.take(desk.sides, (share, step) => progress(0.1 + 0.8 * share, step));
  const reasons = mixedIn(desk, (item) => item.kind === 'picture' && shelf.picture(item).mask !== undefined);
  if (reasons.length > 0) throw new CannotExport(refusal(reasons));
  progress(0.9, 'Writing the file');
  const request = await pressRequest(desk, at, 'press X-1a');
  const bytes = await writePdf({
    ...request,
    purpose: { kind: 'press', isFlat: true },
    pages,
    picture: shelf.picture,
  });
  progress(1, 'Done');
  return { name: `${fileStem(document.name)}-press-x1a.pdf`, type: 'application/pdf', bytes };
}

function refusal(reasons: readonly string[]): string {
  const more = reasons.length > TOLD ? ` And ${counted(reasons.length - TOLD, 'more', 'more')}.` : '';
  return (
    `PDF/X-1a cannot mix, and this piece does: ${reasons.slice(0, TOLD).join('; ')}.${more} ` +
    'Take that away, or make the press PDF (PDF/X-4), which mixes in the press.'
  );
}

/** What lets through, blends or fades, by the names of the elements. */
function mixedIn(desk: Desk, hasMask: (item: Item) => boolean): readonly string[] {
  const names = new Map(
    desk.job.pieces.flatMap((piece) => elementsOf(piece).map(({ element }) => [element.id, nameOf(element)] as const)),
  );
  const found = new Set<string>();
  for (const { drawing, surface } of desk.sides) {
    for (const item of allOf(itemsOf(drawing))) {
      const why = whyMixed(item, hasMask);
      if (why !== undefined) found.add(`“${names.get(item.from) ?? item.from}” on the ${surface.name} ${why}`);
    }
  }
  return [...found];
}

/** Groups and what is in them. */
const allOf = (items: readonly Item[]): readonly Item[] => [
  ...items.filter(({ kind }) => kind === 'group'),
  ...leavesOf(items),
];

function whyMixed(item: Item, hasMask: (item: Item) => boolean): string | undefined {
  if (item.opacity < 1) return 'lets through what lies beneath';
  if (item.blend) return 'is blended with what lies beneath';
  if (item.kind === 'group') return 'has an effect that is mixed as one';
  if (item.kind === 'page') return 'is a page of a PDF, which may mix';
  if (hasMask(item)) return 'is a picture that is partly clear';
  const ink = item.kind === 'path' ? item.fill : undefined;
  return ink?.kind === 'gradient' && ink.stops.some(({ opacity }) => opacity < 1) ? 'fades out' : undefined;
}
