import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

/** Runs a program of Debian’s and gives what it prints. */
export const run = (program: string, args: readonly string[], input?: string): string =>
  execFileSync(program, args, { encoding: 'utf8', input, stdio: ['pipe', 'pipe', 'ignore'], maxBuffer: 1 << 28 });

/** What a few lines of Debian’s Python print, with JSON on their standard input and output. */
export function python(code: string, input: unknown): unknown {
  const out = execFileSync('/usr/bin/python3', ['-c', `import sys, json\ndata = json.load(sys.stdin)\n${code}`], {
    encoding: 'utf8',
    input: JSON.stringify(input),
    maxBuffer: 1 << 28,
  });
  return JSON.parse(out);
}

/** A folder that lasts as long as the work in it. */
export async function inFolder<T>(work: (folder: string) => Promise<T> | T): Promise<T> {
  const folder = mkdtempSync(join(tmpdir(), 'yellow-sheet-'));
  try {
    return await work(folder);
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}

export interface PageBoxes {
  readonly MediaBox: readonly number[];
  readonly BleedBox: readonly number[];
  readonly TrimBox: readonly number[];
}

/** Boxes of every page in points as poppler reads them, from the file’s own numbers. */
export function pageBoxes(path: string): readonly PageBoxes[] {
  const out = run('pdfinfo', ['-box', '-f', '1', '-l', '99999', path]);
  const pages = [...out.matchAll(/Page\s+(\d+) MediaBox:/g)].map(([, page]) => page ?? '');
  return pages.map((page) => {
    const box = (name: string) => {
      const found = new RegExp(`Page\\s+${page} ${name}:\\s+([-\\d.]+)\\s+([-\\d.]+)\\s+([-\\d.]+)\\s+([-\\d.]+)`).exec(
        out,
      );
      if (!found) throw new Error(`pdfinfo shows no ${name}:\n${out}`);
      return found.slice(1, 5).map(Number);
    };
    return { MediaBox: box('MediaBox'), BleedBox: box('BleedBox'), TrimBox: box('TrimBox') };
  });
}

/** Boxes of one page. @param page from 1 */
export function boxesOf(path: string, page: number): PageBoxes {
  const boxes = pageBoxes(path)[page - 1];
  if (!boxes) throw new RangeError(`There is no page ${page}.`);
  return boxes;
}

/** The words of every page as poppler reads them. */
export const pageTexts = (path: string): readonly string[] => run('pdftotext', ['-raw', path, '-']).split('\f');

/** One plate as Ghostscript’s tiffsep separates it: 0 is no ink, 1 is solid. */
export interface Plate {
  readonly width: number;
  readonly height: number;
  readonly at: (x: number, y: number) => number;
  /** Row by row, 255 is solid: for loops over every pixel, where a call and a rounding each would take seconds. */
  readonly ink: Uint8Array;
  /** Mean over the page. */
  readonly mean: number;
}

/**
 * The plates of one page, by name (Cyan, Magenta, Yellow, Black and spots).
 * @param finer drawn so many times finer and averaged, so that edges are grey as far as they cover their pixels
 */
export async function platesOf(
  pdf: Uint8Array,
  page: number,
  ppi: number,
  finer = 1,
): Promise<ReadonlyMap<string, Plate>> {
  const { default: sharp } = await import('sharp');
  return inFolder(async (folder) => {
    writeFileSync(join(folder, 'f.pdf'), pdf);
    run('gs', [
      '-q',
      '-dNOPAUSE',
      '-dBATCH',
      '-dSAFER',
      '-sDEVICE=tiffsep',
      `-r${ppi * finer}`,
      `-dDownScaleFactor=${finer}`,
      `-dFirstPage=${page}`,
      `-dLastPage=${page}`,
      `-sOutputFile=${join(folder, 'p.tif')}`,
      join(folder, 'f.pdf'),
    ]);
    const plates = new Map<string, Plate>();
    for (const file of readdirSync(folder)) {
      const name = /^p\((.+)\)\.tif$/.exec(file)?.[1];
      if (!name) continue;
      const { data, info } = await sharp(readFileSync(join(folder, file)))
        .greyscale()
        .raw()
        .toBuffer({ resolveWithObject: true });
      const ink = new Uint8Array(data.length);
      let sum = 0;
      for (let i = 0; i < ink.length; i += 1) sum += ink[i] = 255 - (data[i] ?? 0);
      plates.set(name, {
        ink,
        width: info.width,
        height: info.height,
        at: (x, y) => (ink[Math.floor(y) * info.width + Math.floor(x)] ?? 0) / 255,
        mean: sum / ink.length / 255,
      });
    }
    return plates;
  });
}
