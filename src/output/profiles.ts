import { readFile } from 'node:fs/promises';
import type { ProfileName } from '../core/shop';
import { openProfile, type OpenProfile } from '../bring-in/profile';
import { shipped } from './home';

/** How an output profile is called in a press file. */
export const PROFILE_FACTS: Readonly<Record<ProfileName, { readonly condition: string; readonly about: string }>> = {
  'coated-fogra39': { condition: 'FOGRA39', about: 'Coated stock, FOGRA39L characterisation data' },
  'uncoated-fogra29': { condition: 'FOGRA29', about: 'Uncoated stock, FOGRA29L characterisation data' },
};

export const readProfile = (name: ProfileName): Promise<Uint8Array> =>
  readFile(shipped('assets', 'profiles', `${name}.icc`));

export const readSrgb = (): Promise<Uint8Array> => readFile(shipped('assets', 'profiles', 'srgb.icc'));

const opened = new Map<ProfileName, Promise<OpenProfile>>();

/** An output profile as Little CMS opens it, on this machine; opened once, since its tables take a fifth of a second. */
export function openOutputProfile(name: ProfileName): Promise<OpenProfile> {
  const before = opened.get(name);
  if (before) return before;
  const opening = readProfile(name).then((bytes) =>
    openProfile(name, bytes, () => import(/* turbopackIgnore: true */ 'lcms-wasm')),
  );
  opened.set(name, opening);
  // One that failed is tried again.
  opening.catch(() => opened.delete(name));
  return opening;
}
