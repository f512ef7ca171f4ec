import type { PixelBox } from './coverage';
import type { Plates } from './read-plates';

/** How much of a part of a page each plate covers, 0 to 1, by name. */
export function coverageOf({ width, names, pixels }: Plates, box: PixelBox): ReadonlyMap<string, number> {
  return new Map(
    names.map((name, p) => {
      const plate = pixels[p] ?? new Uint8Array(0);
      let sum = 0;
      for (let y = box.y; y < box.y + box.height; y += 1) {
        const base = y * width;
        for (let x = box.x; x < box.x + box.width; x += 1) sum += plate[base + x] ?? 0;
      }
      return [name, sum / 255 / Math.max(1, box.width * box.height)];
    }),
  );
}

/** The most ink of all plates together, percent, and where it lies. */
export function mostInk(
  { width, names, pixels }: Plates,
  counted: (plate: string) => boolean,
): { readonly total: number; readonly x: number; readonly y: number } {
  const plates = pixels.filter((_, p) => counted(names[p] ?? ''));
  let most = 0;
  let at = 0;
  const size = plates[0]?.length ?? 0;
  for (let i = 0; i < size; i += 1) {
    let sum = 0;
    for (const plate of plates) sum += plate[i] ?? 0;
    if (sum > most) {
      most = sum;
      at = i;
    }
  }
  return { total: most / 2.55, x: at % width, y: Math.floor(at / width) };
}

/** Pixels that differ between two readings of the same page, by plate; plates that one of them lacks count as bare. */
export function differences(one: Plates, two: Plates): ReadonlyMap<string, number> {
  const names = [...new Set([...one.names, ...two.names])];
  return new Map(
    names.map((name) => {
      const [a, b] = [one, two].map(({ names: own, pixels }) => pixels[own.indexOf(name)]);
      const size = a?.length ?? b?.length ?? 0;
      let count = 0;
      for (let i = 0; i < size; i += 1) if ((a?.[i] ?? 0) !== (b?.[i] ?? 0)) count += 1;
      return [name, count];
    }),
  );
}
