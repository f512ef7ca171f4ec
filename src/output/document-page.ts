import { pagePng } from '../bring-in/document';
import { CannotExport } from './cannot-export';
import { shipped } from './home';

/** A page of a document as a PNG, `wide` pixels across. @throws CannotExport when it is damaged */
export async function documentPage(bytes: Uint8Array, page: number, wide: number): Promise<Uint8Array> {
  try {
    return await pagePng(bytes, page, wide, shipped('node_modules', 'pdfjs-dist'));
  } catch {
    throw new CannotExport(`Page ${page} of this PDF cannot be drawn: it is damaged. Save or export it again.`);
  }
}
