import { readConversion } from '../../core/colour';
import { openProfile, type OpenProfile } from './little-cms';

/** From our own address, beside its WebAssembly. */
const loadLittleCms = (): Promise<typeof import('lcms-wasm')> => {
  const address = '/wasm/lcms.js';
  return import(/* turbopackIgnore: true */ /* webpackIgnore: true */ address) as Promise<typeof import('lcms-wasm')>;
};

/** Where a page finds a profile: one that ships, or one that was brought in (`icc-` and its SHA-256). */
const addressOf = (profile: string): string =>
  profile.startsWith('icc-') ? `/api/assets/${profile.slice(4)}/profile` : `/profiles/${profile}.icc`;

/** A conversion as a page or its worker opens it. @throws Error when it cannot be loaded */
export async function fetchProfile(conversion: string): Promise<OpenProfile> {
  const way = readConversion(conversion);
  const response = await fetch(addressOf(way.profile));
  if (!response.ok) throw new Error('The output profile could not be loaded.');
  return openProfile(conversion, new Uint8Array(await response.arrayBuffer()), loadLittleCms, way);
}
