import { readFile } from 'node:fs/promises';
import { readConversion } from '../core/colour';
import type { Job } from '../core/job';
import { PROFILES, type ProfileKey, type ProfileName } from '../core/shop';
import { openProfile, type LoadPackage, type OpenProfile } from '../bring-in/profile';
import type { AssetSource } from './assets';
import { CannotExport } from './cannot-export';
import { shipped } from './home';

/**
 * How an output profile is called in a press file; a condition has a name where the characterisation registry lists it.
 */
export interface ProfileFacts {
  readonly condition: string | undefined;
  readonly about: string;
}

const SHIPPED: Readonly<Record<ProfileName, ProfileFacts>> = {
  'coated-fogra39': { condition: 'FOGRA39', about: 'Coated stock, FOGRA39L characterisation data' },
  'uncoated-fogra29': { condition: 'FOGRA29', about: 'Uncoated stock, FOGRA29L characterisation data' },
};

const isShipped = (key: string): key is ProfileName => (PROFILES as readonly string[]).includes(key);

export const readSrgb = (): Promise<Uint8Array> => readFile(shipped('assets', 'profiles', 'srgb.icc'));

/** Fetches Little CMS on this machine. */
export const loadLittleCms: LoadPackage = () => import(/* turbopackIgnore: true */ 'lcms-wasm');

/** The file of an output profile. @throws CannotExport when it is gone */
async function readProfile(key: string, assets: AssetSource): Promise<Uint8Array> {
  if (isShipped(key)) return readFile(shipped('assets', 'profiles', `${key}.icc`));
  const bytes = key.startsWith('icc-') ? await assets.get(key.slice(4)) : undefined;
  if (!bytes) throw new CannotExport('The file of the output profile is gone. Bring it in again, or choose another.');
  return bytes;
}

/** The output profile of a job, as a press file carries it. */
export async function outputProfile(
  job: Job,
  key: ProfileKey,
  assets: AssetSource,
): Promise<ProfileFacts & { readonly bytes: Uint8Array }> {
  const bytes = await readProfile(key, assets);
  if (isShipped(key)) return { bytes, ...SHIPPED[key] };
  const asset = job.assets[key.slice(4)];
  return {
    bytes,
    condition: undefined,
    about: asset?.kind === 'profile' ? asset.about : 'Output profile of the printer',
  };
}

const opened = new Map<string, Promise<OpenProfile>>();

/** A conversion as Little CMS opens it, on this machine; opened once, since its tables take a fifth of a second. */
export function openConversion(conversion: string, assets: AssetSource): Promise<OpenProfile> {
  const before = opened.get(conversion);
  if (before) return before;
  const way = readConversion(conversion);
  const opening = readProfile(way.profile, assets).then((bytes) =>
    openProfile(conversion, bytes, loadLittleCms, way).catch((error: unknown) => {
      throw new CannotExport('The output profile cannot be used. Bring it in again, or choose another.', {
        cause: error,
      });
    }),
  );
  opened.set(conversion, opening);
  // One that failed is tried again.
  opening.catch(() => opened.delete(conversion));
  return opening;
}

/** One of the profiles that ship, the usual way. */
export const openShipped = (name: ProfileName): Promise<OpenProfile> =>
  openConversion(name, { get: () => Promise.resolve(undefined) });
