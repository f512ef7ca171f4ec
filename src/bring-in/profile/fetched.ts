import { readConversion } from '../../core/colour';
import { shippedAt } from '../shipped';
import { openProfile, type OpenProfile } from './little-cms';

const LITTLE_CMS = shippedAt('/wasm/lcms.js');

/** From our own address, beside its WebAssembly. */
const loadLittleCms = (): Promise<typeof import('lcms-wasm')> => {
  return import(/* turbopackIgnore: true */ /* webpackIgnore: true */ LITTLE_CMS) as Promise<
    typeof import('lcms-wasm')
  >;
};

/** Where a page finds a profile: one that ships, or one that was brought in (`icc-` and its SHA-256). */
const addressOf = (profile: string): string =>
  profile.startsWith('icc-') ? `/api/assets/${profile.slice(4)}/profile` : shippedAt(`/profiles/${profile}.icc`);

/** What a page fetches to open a conversion. */
export const profileFiles = (conversion: string): readonly string[] => [
  addressOf(readConversion(conversion).profile),
  shippedAt('/wasm/lcms.wasm'),
];

/** A conversion as a page or its worker opens it. @throws Error when it cannot be loaded */
export async function fetchProfile(conversion: string): Promise<OpenProfile> {
  const way = readConversion(conversion);
  const response = await fetch(addressOf(way.profile));
  if (!response.ok) throw new Error('The output profile could not be loaded.');
  return openProfile(conversion, new Uint8Array(await response.arrayBuffer()), loadLittleCms, way);
}
