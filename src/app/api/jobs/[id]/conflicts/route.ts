import { listConflicts } from '@/server/conflicts';
import type { Params } from '@/server/params';
import { route } from '@/server/respond';

export const GET = route<Params<'id'>>(async (_request, { params }) => ({
  versions: await listConflicts((await params).id),
}));
