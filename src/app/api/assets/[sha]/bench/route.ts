import { PROFILES, type ProfileName } from '@/core/shop';
import type { Params } from '@/server/params';
import { Problem } from '@/server/problem';
import { file } from '@/server/files';
import { route } from '@/server/respond';
import { benchPicture } from '@/server/views';

const isProfile = (name: string | null): name is ProfileName => (PROFILES as readonly (string | null)[]).includes(name);

export const GET = route<Params<'sha'>>(async (request, { params }) => {
  const profile = new URL(request.url).searchParams.get('profile');
  if (!isProfile(profile)) throw new Problem(400, 'There is no such output profile.', 'Reload the page.');
  const { bytes, type } = await benchPicture((await params).sha, profile);
  return file(bytes, type, 'forever');
});
