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

/** Opens an output profile with Little CMS, on this machine. */
export const openOutputProfile = async (name: ProfileName): Promise<OpenProfile> =>
  openProfile(name, await readProfile(name), () => import(/* turbopackIgnore: true */ 'lcms-wasm'));
