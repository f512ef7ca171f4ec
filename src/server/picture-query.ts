import 'server-only';
import { Adjust } from '@/core/element';
import { PROFILES, type ProfileName } from '@/core/shop';
import { Problem } from './problem';

const isProfile = (name: string | null): name is ProfileName => (PROFILES as readonly (string | null)[]).includes(name);

/** The output profile that a picture is wanted through. */
export function profileOf(query: URLSearchParams): ProfileName {
  const profile = query.get('profile');
  if (!isProfile(profile)) throw new Problem(400, 'There is no such output profile.', 'Reload the page.');
  return profile;
}

/** What is done to its colours. */
export function adjustOf(query: URLSearchParams): Adjust | undefined {
  const text = query.get('adjust');
  if (text === null) return undefined;
  try {
    return Adjust.parse(JSON.parse(text));
  } catch {
    throw new Problem(400, 'This adjustment cannot be read.', 'Reload the page.');
  }
}
