import { join } from 'node:path';
import { pathToFileURL } from 'node:url';

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
    readonly view: readonly number[];
    readonly getViewport: (options: { scale: number }) => { readonly width: number; readonly height: number };
    readonly render: (options: Record<string, unknown>) => { readonly promise: Promise<void> };
  }>;
}

/** Largest side of a page’s picture, pixels. */
const MOST = 4000;

/**
 * A page of a document as a PNG for the bench and the preview, by its crop box; the press gets the page itself.
 * Scripts in it are not run, and nothing is fetched.
 * @param wide   pixels across
 * @param folder where the package that draws pages lies
 */
export async function pagePng(bytes: Uint8Array, number: number, wide: number, folder: string): Promise<Uint8Array> {
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
    const natural = page.getViewport({ scale: 1 });
    const scale = Math.min(wide / natural.width, MOST / Math.max(natural.width, natural.height));
    const viewport = page.getViewport({ scale });
    const { canvas, context } = document.canvasFactory.create(Math.ceil(viewport.width), Math.ceil(viewport.height));
    await page.render({ canvasContext: context, viewport, background: 'rgba(0,0,0,0)' }).promise;
    return canvas.toBuffer('image/png');
  } finally {
    await task.destroy();
  }
}
