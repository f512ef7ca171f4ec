import { SLUG_FACE } from '../core/compose';
import { rulesFor } from '../core/job';
import { pageLabel, sideMarks, type MarkedSheet } from '../core/marks';
import type { PagePart, PdfPage, PdfRequest } from '../paint/pdf';
import type { Desk, DeskSide } from './desk';
import { PictureShelf, commonParts, fileId, type Encoding } from './pdf-request';
import { pressPicture } from './pictures';
import { outputProfile } from './profiles';
import { documentsInInks } from './request-parts';
import { sideParts } from './side-parts';

/** Pictures as the press takes them. */
export function pressPictures(desk: Desk): PictureShelf {
  const converter = desk.profile.pictures();
  const how: Encoding = {
    needed: (ppi) => ppi,
    encode: (bytes, use) => pressPicture(bytes, use.asset, use.size, converter, use.treatment),
  };
  return new PictureShelf(desk, how);
}

/** What a file for the press needs beside its pages and pictures. */
export async function pressRequest(
  desk: Desk,
  at: Date,
  kind: string,
): Promise<Omit<PdfRequest, 'pages' | 'further' | 'picture'>> {
  const { document } = desk;
  const [first] = document.pieces;
  if (!first) throw new Error('The job has no piece.');
  const title = kind === 'press' ? document.name : `${document.name}, ${kind}`;
  return {
    purpose: { kind: 'press' },
    metadata: { title, at, id: fileId(document, at, kind) },
    profile: await outputProfile(document, rulesFor(document, first).profile, desk.assets),
    ...(await commonParts(desk)),
    document: await documentsInInks(desk),
  };
}

/** A side with its marks: artwork first, cut where the bleed ends, marks above everything. */
export const pressPage = (desk: Desk, side: DeskSide, at: Date): PdfPage =>
  pageOf(side, sideParts(side), markedSheet(desk, side, at));

/** What lies around a side, and the sheet that it takes. */
export const markedSheet = ({ document, fonts }: Desk, side: DeskSide, at: Date): MarkedSheet => {
  const { piece, surface, drawing, rules, blank } = side;
  const face = fonts.set.find(SLUG_FACE.family, SLUG_FACE.weight, SLUG_FACE.italic);
  const marked = { piece, surface, drawing, rules, scale: blank.scale };
  return sideMarks(document, marked, face, at.toISOString().slice(0, 10));
};

/** A page of what a side lays on paper and of what lies around it. */
export function pageOf(
  { piece, surface }: DeskSide,
  parts: readonly PagePart[],
  { sheet, items }: MarkedSheet,
): PdfPage {
  const { trim, bleed } = surface.boxes;
  return { parts: [...parts, { items }], trim, bleed, sheet, label: pageLabel(piece, surface) };
}
