import { faceFor, facesNeeded } from '../core/compose';
import type { Job } from '../core/job';
import type { Face, FontSet } from '../core/type';
import type { AssetSource } from './assets';
import { CannotExport } from './cannot-export';
import { readShippedFont } from './shipped-font';

/** The faces of a job, opened, with what a file needs to embed them. */
export interface JobFonts {
  readonly set: FontSet;
  readonly bytes: (key: string) => Uint8Array;
  readonly postscript: (key: string) => string;
}

/** Opens every face that a job’s text asks for: its own first, then the shipped ones. */
export async function loadFonts(job: Job, assets: AssetSource): Promise<JobFonts> {
  const { createFontSet, openFont, toSfnt } = await import('../bring-in/font');
  const bytes = new Map<string, Uint8Array>();
  const names = new Map<string, string>();
  const opened = new Map<string, Face>();

  const open = async (
    face: Omit<Face, 'files'>,
    keys: readonly string[],
    read: (key: string) => Promise<Uint8Array>,
  ) => {
    const id = `${face.family}/${face.weight}/${face.italic}`;
    if (opened.has(id)) return;
    const files = [];
    for (const key of keys) {
      const data = await read(key);
      bytes.set(key, data);
      names.set(key, face.postscript);
      try {
        files.push(openFont(key, data));
      } catch (error) {
        throw new CannotExport(`The font “${face.family}” is damaged. Bring it in again, or choose another.`, {
          cause: error,
        });
      }
    }
    opened.set(id, { ...face, files });
  };

  for (const need of facesNeeded(job)) {
    const source = faceFor(job, need);
    if (source?.from === 'job') {
      const { family, weight, italic, postscript, sha } = source.font;
      const data = await assets.get(sha);
      if (data) await open({ family, weight, italic, postscript }, [sha], () => toSfnt(data));
    } else if (source) {
      const { family, weight, italic, postscript, files } = source.face;
      await open({ family, weight, italic, postscript }, files, readShippedFont);
    }
  }

  const known = <T>(map: ReadonlyMap<string, T>, key: string): T => {
    const value = map.get(key);
    if (value === undefined) throw new Error(`The font file “${key}” was not opened.`);
    return value;
  };
  return {
    set: createFontSet([...opened.values()]),
    bytes: (key) => known(bytes, key),
    postscript: (key) => known(names, key),
  };
}
