import type { Params } from '@/server/params';
import { route } from '@/server/respond';
import { drawingArt } from '@/server/views';

/** A drawing that was brought in, as paths with their colours. */
export const GET = route<Params<'sha'>>(async (_request, { params }) => drawingArt((await params).sha));
