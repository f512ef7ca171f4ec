import { pagePng } from '../bring-in/document';
import { shipped } from './home';

/** A page of a document as a PNG, `wide` pixels across. */
export const documentPage = (bytes: Uint8Array, page: number, wide: number): Promise<Uint8Array> =>
  pagePng(bytes, page, wide, shipped('node_modules', 'pdfjs-dist'));
