import { PDFDocument, type PDFPage } from '@cantoo/pdf-lib';
import { beyondTrim } from '../../core/drawing';
import { EDGE_NAMES, insets, union, type Rect } from '../../core/layout';
import type { DocumentAsset } from '../../core/job';
import { MM_PER_PT } from '../../core/measure';
import { unembeddedFonts } from './unembedded';

/** Less than this is rounding, mm. */
const LEAST = 0.01;

/** Most pages of a document that is brought in. */
const MOST_PAGES = 2000;

export type DocumentReading =
  { readonly ok: true; readonly document: DocumentAsset } | { readonly ok: false; readonly problem: string };

/** Reads a PDF from outside: its pages and their sizes. Nothing in it is run; what is protected is refused. */
export async function readDocument(name: string, bytes: Uint8Array): Promise<DocumentReading> {
  const head = new TextDecoder('latin1').decode(bytes.subarray(0, 1024));
  if (!head.includes('%PDF-')) return bad(`“${name}” is not a PDF.`);
  // A reader that guesses at the rest would lose pages without a word (ISO 32000-1, 7.5.5: a file ends with this mark).
  const tail = new TextDecoder('latin1').decode(bytes.subarray(-2048));
  const damaged = `“${name}” is damaged or cut short and cannot be opened. Save or export it again.`;
  if (!tail.includes('%%EOF')) return bad(damaged);
  try {
    const document = await PDFDocument.load(bytes, { updateMetadata: false });
    const count = document.getPageCount();
    if (count === 0) return bad(`“${name}” has no pages.`);
    if (count > MOST_PAGES)
      return bad(
        `“${name}” has ${count} pages; at most ${MOST_PAGES} can be brought in. Save the ones that are wanted.`,
      );
    const pages = document.getPages().map((page) => {
      const trim = page.getTrimBox();
      const rotate = page.getRotation().angle;
      const turned = Math.abs(rotate % 180) === 90;
      const [w, h] = turned ? [trim.height, trim.width] : [trim.width, trim.height];
      const beyond = beyondTrim({ trim, rotate }, outerBox(page));
      const isMore = EDGE_NAMES.some((edge) => beyond[edge] > LEAST);
      const unembedded = unembeddedFonts(page)
        .map((font) => font.slice(0, 300))
        .slice(0, 1000);
      return {
        width: w * MM_PER_PT,
        height: h * MM_PER_PT,
        ...(isMore && { beyond }),
        ...(unembedded.length > 0 && { unembedded }),
      };
    });
    if (pages.some(({ width, height }) => !(width > 0 && height > 0))) return bad(`A page of “${name}” has no size.`);
    return { ok: true, document: { kind: 'document', name: name.slice(0, 255), pages } };
  } catch (error) {
    const locked = error instanceof Error && /encrypt/i.test(error.message);
    return bad(locked ? `“${name}” is protected by a password. Save it without.` : damaged);
  }
}

/** How far a page goes on: its bleed box where that is more than its trim, otherwise its paper. */
function outerBox(page: PDFPage): Rect {
  const [trim, bleed] = [page.getTrimBox(), page.getBleedBox()];
  const room = insets(trim, bleed);
  const isMore = EDGE_NAMES.some((edge) => room[edge] * MM_PER_PT > LEAST);
  return union([trim, isMore ? bleed : page.getCropBox()]);
}

const bad = (problem: string): DocumentReading => ({ ok: false, problem });
