import { PROFILES, type ProfileName } from '@/core/shop';
import { Adjust } from '@/core/element';
import type { Params } from '@/server/params';
import { Problem } from '@/server/problem';
import { file } from '@/server/files';
import { route } from '@/server/respond';
import { benchPicture } from '@/server/views';

const isProfile = (name: string | null): name is ProfileName => (PROFILES as readonly (string | null)[]).includes(name);

function adjustOf(text: string | null): Adjust | undefined {
  if (text === null) return undefined;
  try {
    return Adjust.parse(JSON.parse(text));
  } catch {
    throw new Problem(400, 'This adjustment cannot be read.', 'Reload the page.');
  }
}

export const GET = route<Params<'sha'>>(async (request, { params }) => {
  const query = new URL(request.url).searchParams;
  const profile = query.get('profile');
  if (!isProfile(profile)) throw new Problem(400, 'There is no such output profile.', 'Reload the page.');
  const { bytes, type } = await benchPicture((await params).sha, profile, adjustOf(query.get('adjust')));
  return file(bytes, type, 'forever');
});
