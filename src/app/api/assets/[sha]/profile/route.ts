import { assetBytes, assetFacts } from '@/server/assets';
import { file } from '@/server/files';
import type { Params } from '@/server/params';
import { Problem } from '@/server/problem';
import { route } from '@/server/respond';

/** An output profile that was brought in, for the colours of the bench. */
export const GET = route<Params<'sha'>>(async (_request, { params }) => {
  const { sha } = await params;
  const [facts, bytes] = [await assetFacts(sha), await assetBytes(sha)];
  if (facts.kind !== 'profile' || !bytes) throw new Problem(404, 'This profile is not here.', 'Bring it in again.');
  return file(bytes, 'application/vnd.iccprofile', 'forever');
});
