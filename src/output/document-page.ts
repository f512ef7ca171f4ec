import type { PageItem } from '../core/drawing';
import { pagePng } from '../bring-in/document';
import { CannotExport } from './cannot-export';
import { shipped } from './home';

/** A page of a document as a PNG, `wide` pixels across. @throws CannotExport when it is damaged */
export async function documentPage(
  bytes: Uint8Array,
  shown: Pick<PageItem, 'page' | 'beyond'>,
  wide: number,
): Promise<Uint8Array> {
  try {
    return await pagePng(bytes, shown, wide, shipped('node_modules', 'pdfjs-dist'));
  } catch {
    throw new CannotExport(`Page ${shown.page} of this PDF cannot be drawn: it is damaged. Save or export it again.`);
  }
}
