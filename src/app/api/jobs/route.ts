import { z } from 'zod';
import { createJob, listJobs } from '@/server/jobs';
import { Problem } from '@/server/problem';
import { readJson, route } from '@/server/respond';

const Body = z.object({ document: z.unknown(), label: z.string().max(200) });

export const GET = route(async () => ({ jobs: await listJobs() }));

export const POST = route(async (request) => {
  const body = Body.safeParse(await readJson(request));
  if (!body.success) throw new Problem(400, 'A job is missing in the request.', 'Reload the page and try again.');
  return createJob(body.data.document, body.data.label);
});
