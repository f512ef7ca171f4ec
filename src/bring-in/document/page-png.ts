import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { PDFDocument } from '@cantoo/pdf-lib';
import { shownBox, type PageItem } from '../../core/drawing';
import { around, cornersOf, edges, type EdgeLengths, type Rect } from '../../core/layout';

/** What this asks of the package that draws pages; its own types speak of the browser. */
interface PageDrawer {
  readonly getDocument: (options: Record<string, unknown>) => {
    readonly promise: Promise<DrawnDocument>;
    readonly destroy: () => Promise<void>;
  };
}
interface DrawnDocument {
  readonly canvasFactory: {
    readonly create: (
      width: number,
      height: number,
    ) => {
      readonly canvas: { readonly toBuffer: (type: 'image/png') => Uint8Array };
      readonly context: { fillStyle: string; readonly fillRect: (x: number, y: number, w: number, h: number) => void };
    };
  };
  readonly getPage: (number: number) => Promise<{
    readonly getViewport: (options: { scale: number; offsetX?: number; offsetY?: number }) => Viewport;
    readonly render: (options: Record<string, unknown>) => { readonly promise: Promise<void> };
  }>;
}

/** How a page is laid on pixels. */
interface Viewport {
  readonly convertToViewportPoint: (x: number, y: number) => readonly number[];
}

/** So little of a pixel is none. */
const PART = 1e-6;

/** Largest side of a page’s picture, pixels. */
const MOST = 4000;

/**
 * A page of a document as a PNG for the bench and the preview, by its trim box and what is wished beyond it; the press
 * gets the page itself. Scripts in it are not run, and nothing is fetched.
 * @param wide   pixels across
 * @param folder where the package that draws pages lies
 */
export async function pagePng(
  bytes: Uint8Array,
  { page: number, beyond = edges(0) }: Pick<PageItem, 'page' | 'beyond'>,
  wide: number,
  folder: string,
): Promise<Uint8Array> {
  const shown = await shownOf(bytes, number, beyond);
  const library = pathToFileURL(join(folder, 'legacy', 'build', 'pdf.mjs')).href;
  const { getDocument } = (await import(/* turbopackIgnore: true */ /* webpackIgnore: true */ library)) as PageDrawer;
  const task = getDocument({
    data: new Uint8Array(bytes),
    isEvalSupported: false,
    enableXfa: false,
    disableFontFace: true,
    useSystemFonts: false,
    standardFontDataUrl: `${join(folder, 'standard_fonts')}/`,
    verbosity: 0,
  });
  try {
    const document = await task.promise;
    const page = await document.getPage(number);
    const natural = seen(page.getViewport({ scale: 1 }), shown);
    const scale = Math.min(wide / natural.width, MOST / Math.max(natural.width, natural.height));
    const { x, y, width, height } = seen(page.getViewport({ scale }), shown);
    const viewport = page.getViewport({ scale, offsetX: -x, offsetY: -y });
    const { canvas, context } = document.canvasFactory.create(Math.ceil(width - PART), Math.ceil(height - PART));
    await page.render({ canvasContext: context, viewport, background: 'rgba(0,0,0,0)' }).promise;
    return canvas.toBuffer('image/png');
  } finally {
    await task.destroy();
  }
}

/** What is shown of a page, in its own points. */
async function shownOf(bytes: Uint8Array, number: number, beyond: EdgeLengths): Promise<Rect> {
  const document = await PDFDocument.load(bytes, { updateMetadata: false });
  const page = document.getPage(number - 1);
  return shownBox({ trim: page.getTrimBox(), rotate: page.getRotation().angle }, beyond);
}

/** A box of a page on the pixels of a viewport. */
const seen = (viewport: Viewport, box: Rect): Rect =>
  around(
    cornersOf(box).map((corner) => {
      const [x = 0, y = 0] = viewport.convertToViewportPoint(corner.x, corner.y);
      return { x, y };
    }),
  );
