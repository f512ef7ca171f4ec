import { assetBytes, assetFacts } from '@/server/assets';
import { file } from '@/server/files';
import type { Params } from '@/server/params';
import { route } from '@/server/respond';
import { missing } from '@/server/problems';

/** An output profile that was brought in, for the colours of the bench. */
export const GET = route<Params<'sha'>>(async (_request, { params }) => {
  const { sha } = await params;
  const [facts, bytes] = [await assetFacts(sha), await assetBytes(sha)];
  if (facts.kind !== 'profile' || !bytes) throw missing.profile();
  return file(bytes, 'application/vnd.iccprofile', 'forever');
});
