import type { Params } from '@/server/params';
import { route } from '@/server/respond';
import { by, drawingArt } from '@/server/views';

/** A drawing that was brought in, as paths with their colours. */
export const GET = route<Params<'sha'>>(async (request, { params }) => drawingArt((await params).sha, by(request)));
