import { z } from 'zod';
import { listRevisions, saveSteps } from '@/server/jobs';
import type { Params } from '@/server/params';
import { REVISION_KINDS } from '@/server/revision-kinds';
import { Problem } from '@/server/problem';
import { readJson, route } from '@/server/respond';

const Body = z.object({
  base: z.number().int().min(1),
  steps: z
    .array(z.object({ kind: z.enum(REVISION_KINDS), label: z.string().max(200), document: z.unknown() }))
    .min(1)
    .max(200),
});

export const GET = route<Params<'id'>>(async (_request, { params }) => ({
  revisions: await listRevisions((await params).id),
}));

export const POST = route<Params<'id'>>(async (request, { params }) => {
  const body = Body.safeParse(await readJson(request));
  if (!body.success)
    throw new Problem(400, 'A save names its base revision and its states.', 'Reload the page and try again.');
  return saveSteps((await params).id, body.data.base, body.data.steps);
});
