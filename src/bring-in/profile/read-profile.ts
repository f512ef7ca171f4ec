import { parse, type IccProfile } from 'icc';
import type { ProfileAsset } from '../../core/job';
import { USUAL } from '../../core/colour';
import { openProfile, type LoadPackage } from './little-cms';

/** What is read of a profile, or what is wrong with it. */
export type ProfileRead =
  { readonly ok: true; readonly profile: ProfileAsset } | { readonly ok: false; readonly problem: string };

/**
 * Reads an output profile that was brought in: it has to be of a printer, in CMYK, and to convert both ways.
 * @param name what its file is called
 */
export async function readProfileFile(name: string, bytes: Uint8Array, load: LoadPackage): Promise<ProfileRead> {
  const refuse = (why: string): ProfileRead => ({ ok: false, problem: `“${name}” ${why}` });
  const facts = factsOf(bytes);
  if (!facts) return refuse('cannot be read as an ICC profile. Ask for it again: it may be cut short.');
  if (facts.colorSpace !== 'CMYK')
    return refuse(`is a profile for ${facts.colorSpace ?? 'other'} colours. A press needs one for CMYK.`);
  if (facts.deviceClass !== 'Printer')
    return refuse('is not the profile of a printing condition. Ask the printer for the output profile.');
  try {
    await openProfile(name, bytes, load, USUAL);
  } catch {
    return refuse('does not convert both ways. Ask the printer for the whole output profile.');
  }
  const about = facts.description?.replace(/\0/g, '').trim() ?? '';
  return { ok: true, profile: { kind: 'profile', name: name.slice(0, 255), about: (about || name).slice(0, 200) } };
}

/**
 * What the profile of a picture is for; undefined for sRGB, which everything understands, and for one that cannot be
 * read.
 */
export function colourOfProfile(icc: Uint8Array): 'rgb' | 'grey' | undefined {
  const facts = factsOf(icc);
  switch (facts?.colorSpace) {
    case 'RGB':
      return /srgb/i.test(facts.description ?? '') ? undefined : 'rgb';
    case 'GRAY':
      return 'grey';
    default:
      return undefined;
  }
}

/** Where the table of tags begins, with their number, and how long each entry is (ICC.1, 7.3). */
const [TAGS, TAG_BYTES] = [128, 12];

/** What a profile says of itself; undefined for bytes that are none, or are cut short. */
function factsOf(bytes: Uint8Array): IccProfile | undefined {
  if (bytes.length < TAGS + 4) return undefined;
  const buffer = Buffer.from(bytes);
  // The package counts on what is said here: four thousand million tags take it minutes.
  if (TAGS + 4 + buffer.readUInt32BE(TAGS) * TAG_BYTES > bytes.length) return undefined;
  try {
    return parse(buffer);
  } catch {
    return undefined;
  }
}
