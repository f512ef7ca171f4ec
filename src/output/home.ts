import { join } from 'node:path';

/** A path inside the application: fonts, profiles and wasm that ship with it. */
export const shipped = (...parts: readonly string[]): string =>
  join(/* turbopackIgnore: true */ process.env['YS_HOME'] ?? process.cwd(), ...parts);
