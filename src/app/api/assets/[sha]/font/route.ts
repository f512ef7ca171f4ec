import { file } from '@/server/files';
import type { Params } from '@/server/params';
import { route } from '@/server/respond';
import { by, fontFile } from '@/server/views';

/** A brought-in font as sfnt bytes, for shaping on the bench. */
export const GET = route<Params<'sha'>>(async (request, { params }) =>
  file(await fontFile((await params).sha, by(request)), 'font/sfnt', 'forever'),
);
