import type { Params } from '@/server/params';
import { route } from '@/server/respond';
import { by, dataRows } from '@/server/views';

/** The rows of a file of records, the first one naming its columns. */
export const GET = route<Params<'sha'>>(async (request, { params }) => dataRows((await params).sha, by(request)));
