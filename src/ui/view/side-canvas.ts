import type { BlankSurface } from '@/core/format';
import { itemsOf, leavesOf, type Drawing } from '@/core/drawing';
import type { Rect } from '@/core/layout';
import { svgItems, type SvgContext } from '@/paint/svg';

export interface SidePicture {
  readonly surface: BlankSurface;
  readonly drawing: Drawing | undefined;
  readonly context: SvgContext;
  /** What of the side is shown, mm. */
  readonly box: Rect;
  /** Of its longest side. */
  readonly pixels: number;
}

/**
 * A printed side as a picture.
 * @returns undefined where it could not be drawn
 */
export async function sideCanvas({
  surface,
  drawing,
  context,
  box,
  pixels,
}: SidePicture): Promise<HTMLCanvasElement | undefined> {
  const items = drawing ? itemsOf(drawing) : [];
  // A picture inside a picture cannot fetch; it has to carry its parts.
  const pictures = new Map<string, string>();
  for (const item of leavesOf(items)) {
    const href = item.kind === 'picture' ? context.picture(item) : item.kind === 'page' ? context.page(item) : '';
    if (href && !pictures.has(href)) pictures.set(href, await asDataUrl(href));
  }
  const carried = (href: string) => pictures.get(href) ?? '';
  const k = pixels / Math.max(box.width, box.height);
  const [width, height] = [Math.max(1, Math.round(box.width * k)), Math.max(1, Math.round(box.height * k))];
  const art = svgItems(items, {
    ...context,
    picture: (item) => carried(context.picture(item)),
    page: (item) => carried(context.page(item)),
  });
  const svg =
    `<svg xmlns="http://www.w3.org/2000/svg" viewBox="${box.x} ${box.y} ${box.width} ${box.height}" ` +
    `width="${width}" height="${height}">` +
    `<rect x="${box.x}" y="${box.y}" width="100%" height="100%" fill="#ffffff"/>` +
    `${items.length > 0 ? art : labels(surface)}</svg>`;
  const image = new Image();
  image.src = `data:image/svg+xml;charset=utf-8,${encodeURIComponent(svg)}`;
  try {
    await image.decode();
  } catch {
    return undefined;
  }
  const canvas = document.createElement('canvas');
  [canvas.width, canvas.height] = [width, height];
  canvas.getContext('2d')?.drawImage(image, 0, 0, width, height);
  return canvas;
}

/** A side with nothing on it yet shows what its panels are called. */
function labels(surface: BlankSurface): string {
  return surface.panels
    .map((p, i) => {
      const size = Math.min(p.height * 0.2, (p.width / p.name.length) * 1.5, 14);
      const [x, y] = [p.x + p.width / 2, p.y + p.height / 2];
      const turn = p.turned ? ` transform="rotate(180 ${x} ${y})"` : '';
      return (
        `<rect x="${p.x}" y="${p.y}" width="${p.width}" height="${p.height}" ` +
        `fill="${i % 2 === 0 ? '#eef2f6' : '#fbfbf7'}"/>` +
        `<text x="${x}" y="${y}"${turn} text-anchor="middle" dominant-baseline="middle" ` +
        `font-family="sans-serif" font-weight="700" font-size="${size}" ` +
        `fill="#4a5265">${p.name.replace(/&/g, '&amp;').replace(/</g, '&lt;')}</text>`
      );
    })
    .join('');
}

async function asDataUrl(href: string): Promise<string> {
  const blob = await (await fetch(href)).blob();
  return new Promise((resolve, reject) => {
    const reader = new FileReader();
    reader.onload = () => resolve(typeof reader.result === 'string' ? reader.result : '');
    reader.onerror = () => reject(new Error('A picture could not be read.'));
    reader.readAsDataURL(blob);
  });
}
