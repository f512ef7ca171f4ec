import type { Asset } from '../../core/job';
import type { LoadPackage } from '../profile';

/** What was read of a file that is brought in, or what is wrong with it. */
export type AssetReading =
  | {
      readonly ok: true;
      readonly asset: Asset;
      /** What was in the file and cannot be used, in words. */
      readonly left: readonly string[];
    }
  | { readonly ok: false; readonly problem: string };

export interface HowToRead {
  /** Fetches Little CMS, for profiles. */
  readonly littleCms: LoadPackage;
}

const MB = 1024 * 1024;

/** Largest file of each sort that is taken in, MB. */
const MOST_MB: Readonly<Record<Asset['kind'], number>> = {
  font: 20,
  picture: 200,
  drawing: 20,
  profile: 20,
  document: 200,
  data: 50,
};

/** Largest file of any sort that is taken in, bytes. */
export const MAX_ASSET_BYTES = Math.max(...Object.values(MOST_MB)) * MB;

/** Told apart by what is in it, and fonts and rows by their name, for they begin like others. */
export function sortOf(name: string, bytes: Uint8Array): Asset['kind'] {
  if (/\.(ttf|otf|woff2?|ttc)$/i.test(name)) return 'font';
  if (/\.(csv|tsv)$/i.test(name)) return 'data';
  // The signature of an ICC profile stands at byte 36 (ICC.1, 7.2.9).
  if (/\.(icc|icm)$/i.test(name) || String.fromCharCode(...bytes.subarray(36, 40)) === 'acsp') return 'profile';
  const head = new TextDecoder('latin1').decode(bytes.subarray(0, 5000));
  if (head.startsWith('%PDF-') || head.slice(0, 1024).includes('\n%PDF-')) return 'document';
  if (/<svg[\s>]/i.test(head)) return 'drawing';
  return 'picture';
}

/** Reads a file as what it is. Each reader is fetched when it is needed. */
export const readAsset = (name: string, bytes: Uint8Array, how: HowToRead): Promise<AssetReading> =>
  readAs(sortOf(name, bytes), name, bytes, how);

/** Reads a file as what it is said to be. */
export async function readAs(
  sort: Asset['kind'],
  name: string,
  bytes: Uint8Array,
  how: HowToRead,
): Promise<AssetReading> {
  const most = MOST_MB[sort];
  if (bytes.length > most * MB)
    return { ok: false, problem: `“${name}” is larger than ${most} MB. Save it smaller and try again.` };
  switch (sort) {
    case 'font': {
      const read = await (await import('../font')).readFont(name, bytes);
      return read.ok ? { ok: true, asset: read.font, left: [] } : read;
    }
    case 'picture': {
      const read = await (await import('../picture')).readPicture(name, bytes);
      return read.ok ? { ok: true, asset: read.picture, left: [] } : read;
    }
    case 'drawing': {
      const read = (await import('../svg')).readSvg(new TextDecoder().decode(bytes));
      if (!read.ok) return read;
      const { width, height, shapes } = read.art;
      const asset: Asset = { kind: 'drawing', name: name.slice(0, 255), width, height, shapes: shapes.length };
      return { ok: true, asset, left: read.left };
    }
    case 'profile': {
      const read = await (await import('../profile')).readProfileFile(name, bytes, how.littleCms);
      return read.ok ? { ok: true, asset: read.profile, left: [] } : read;
    }
    case 'document': {
      const read = await (await import('../document')).readDocument(name, bytes);
      return read.ok ? { ok: true, asset: read.document, left: [] } : read;
    }
    case 'data': {
      const read = (await import('../data')).readDataFile(name, bytes);
      return read.ok ? { ok: true, asset: read.asset, left: [] } : read;
    }
  }
}
