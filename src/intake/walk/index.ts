import type { PDFDict } from '@cantoo/pdf-lib';
import type { Rect } from '../../core/geometry';
import type { Gathering } from './gathering';
import { OPERATORS } from './operators';
import { firstState } from './state';
import { Walker } from './walker';

export { bytesOf, type Gathering } from './gathering';

/** What a page lays on paper. @param clip the page’s own box */
export function walkPage(gathering: Gathering, bytes: Uint8Array, resources: PDFDict, page: number, clip: Rect): void {
  new Walker(gathering, OPERATORS, { page, resources, deep: 0 }, firstState(clip)).run(bytes);
}
