import { toSfnt } from '@/bring-in/font';
import { assetFacts, assetStore } from '@/server/assets';
import { file } from '@/server/files';
import type { Params } from '@/server/params';
import { Problem } from '@/server/problem';
import { route } from '@/server/respond';

/** A brought-in font as sfnt bytes, for shaping on the bench. */
export const GET = route<Params<'sha'>>(async (_request, { params }) => {
  const { sha } = await params;
  const [facts, bytes] = [await assetFacts(sha), await assetStore.get(sha)];
  if (facts.kind !== 'font' || !bytes) throw new Problem(404, 'This font is not here.', 'Bring it in again.');
  return file(await toSfnt(bytes), 'font/sfnt', 'forever');
});
