import { SaveRequest } from '@/core/save';
import { listRevisions } from '@/server/jobs';
import type { Params } from '@/server/params';
import { readJson, route } from '@/server/respond';
import { saveSteps } from '@/server/save';
import { unclear } from '@/server/problems';

export const GET = route<Params<'id'>>(async (_request, { params }) => ({
  revisions: await listRevisions((await params).id),
}));

export const POST = route<Params<'id'>>(async (request, { params }) => {
  const body = SaveRequest.safeParse(await readJson(request));
  if (!body.success) throw unclear.noStates();
  return saveSteps((await params).id, body.data);
});
